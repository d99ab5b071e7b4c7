'use client';

import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { MealsView, MealView } from '@/services/meals/week';
import type { WeekSuggestion } from '@/services/meals/suggest';
import { postJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { sayAmount } from '@/core/units/sayAmount';
import { useSay } from '../units/useSay';
import { DinnersSheet } from './DinnersSheet';
import { EatSheet } from './EatSheet';
import { mealCommand } from './mealCommands';
import { MealSheet } from './MealSheet';
import { RhythmSheet } from './RhythmSheet';
import { RoutesCard } from './RoutesCard';
import { ThawedCard } from './ThawedCard';
import type { Suggested } from './suggested';
import { ThawPlan } from './ThawPlan';
import { WeekBoard } from './WeekBoard';
import { IfMay } from '../door/IfMay';

/** A meal that is being planned: one that is there, or a free place. */
type Editing = { meal: MealView } | { on: string; slot: string };

const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const STRAY = 3;

/** By keys a meal goes from place to place: the nearest in the arrow's direction. */
const toNextPlace: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const arrow = ARROWS[event.code];
  const { collisionRect, droppableRects } = context;
  if (!arrow || !collisionRect) return undefined;
  event.preventDefault();
  const [dx, dy] = arrow;
  const places = [...droppableRects.values()].flatMap((rect) => {
    const [x, y] = [
      rect.left + rect.width / 2 - (collisionRect.left + collisionRect.width / 2),
      rect.top + rect.height / 2 - (collisionRect.top + collisionRect.height / 2),
    ];
    const along = x * dx + y * dy;
    const across = Math.abs(x * dy) + Math.abs(y * dx);
    return along > rect.width / 3 || (dy !== 0 && along > rect.height / 3)
      ? [{ x, y, far: along + STRAY * across }]
      : [];
  });
  const [next] = places.sort((a, b) => a.far - b.far);
  return next ? { x: currentCoordinates.x + next.x, y: currentCoordinates.y + next.y } : undefined;
};

const asCommand = (one: Suggested) => ({
  type: 'meal.set',
  meal: newUuid(),
  ...{ on: one.on, slot: one.slot, name: one.name, eaters: one.eaters, buys: [], pinned: false },
  takes: one.takes.map((take) => ({ package: take.package, amount: take.amount })),
});

/** A week of meals with what they take of the cold store, a week that is suggested, and what must thaw when. */
export function MealsBench({ view }: { view: MealsView }) {
  const { act, tell, busy } = useDoor();
  const say = useSay();
  const [editing, setEditing] = useState<Editing | null>(null);
  const [eating, setEating] = useState<MealView | null>(null);
  const [habits, setHabits] = useState(false);
  const [boxes, setBoxes] = useState(false);
  const [asking, setAsking] = useState(false);
  const [without, setWithout] = useState<string[]>([]);
  const [week, setWeek] = useState<WeekSuggestion | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: toNextPlace }),
  );
  const suggest = async (not: string[]): Promise<void> => {
    setAsking(true);
    setWithout(not);
    try {
      setWeek(
        await postJson<WeekSuggestion>('/api/v1/meals/suggest', { from: view.days[0]?.on, without: not }),
      );
    } catch (error) {
      tell(error instanceof Error ? error.message : 'No week was found.', 'error');
    } finally {
      setAsking(false);
    }
  };
  const free = (one: { on: string; slot: string }): boolean =>
    !view.meals.some((meal) => meal.on === one.on && meal.slot === one.slot && meal.state !== 'skipped');
  const offered = (week?.meals ?? []).filter(free);
  const accept = (...some: Suggested[]): void => void act(...some.map(asCommand));
  const dropped = ({ active, over }: DragEndEvent): void => {
    const meal = view.meals.find(({ id }) => id === active.id);
    const [on = '', slot = ''] = String(over?.id ?? '').split(' ');
    if (!meal || !over || (meal.on === on && meal.slot === slot)) return;
    const other = view.meals.find((one) => one.on === on && one.slot === slot && one.state === 'planned');
    if (other) {
      tell(`${other.name} is there already. Move it first.`, 'error');
      return;
    }
    void act(mealCommand(meal, { on, slot }));
  };
  const called = (id: unknown): string => view.meals.find((meal) => meal.id === id)?.name ?? 'The meal';
  const placed = (id: unknown): string => {
    const [on, slot] = String(id ?? '').split(' ');
    const day = view.days.find((one) => one.on === on)?.words ?? '';
    return `${day}, ${view.rhythm.slots.find((one) => one.id === slot)?.name.toLowerCase() ?? ''}`;
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${called(active.id)} is picked up. Arrows carry it, space puts it down.`,
    onDragOver: ({ active, over }) => (over ? `${called(active.id)} is over ${placed(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) =>
      over ? `${called(active.id)} is put down at ${placed(over.id)}.` : undefined,
    onDragCancel: ({ active }) => `${called(active.id)} stays where it was.`,
  };
  const forgotten = view.meals.filter(({ over }) => over);
  return (
    <div className="space-y-5">
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="mr-auto text-[1.6rem]">Meals</h1>
        <button type="button" className="button" onClick={() => setHabits(true)}>
          How we eat
        </button>
        {view.leftovers.some(({ main }) => main) && (
          <button type="button" className="button" onClick={() => setBoxes(true)}>
            Dinners from leftovers
          </button>
        )}
        <button
          type="button"
          className="button"
          data-main={offered.length === 0}
          disabled={busy || asking}
          onClick={() => void suggest(without)}
        >
          {asking ? 'Working it out …' : week ? 'Suggest again' : 'Suggest the week'}
        </button>
        {offered.length > 0 && (
          <>
            <button
              type="button"
              className="button"
              data-main="true"
              disabled={busy}
              onClick={() => accept(...offered)}
            >
              Take all {offered.length}
            </button>
            <button type="button" className="button" onClick={() => setWeek(null)}>
              Leave it
            </button>
          </>
        )}
      </div>
      {week && (
        <p role="status" className="text-slate">
          {week.meals.length === 0
            ? 'Nothing here makes a meal for the free places of this week.'
            : week.saved_g > 0
              ? `These meals use ${say(sayAmount(week.saved_g, 'g'))} that would not last the week${
                  week.saved_g > week.plainly_g
                    ? `; going by the oldest alone it would be ${say(sayAmount(week.plainly_g, 'g'))}`
                    : ''
                }.`
              : 'Nothing presses this week: the oldest go first all the same.'}
          {without.length > 0 && ` Without ${without.join(', ').toLowerCase()}.`}
        </p>
      )}
      {view.meals.length === 0 && !week && (
        <p className="text-slate">
          Nothing is planned. Press Plan at a free place and say what it takes, or let a week be suggested
          from what must go first. What is planned is promised: nobody takes it unasked.
        </p>
      )}
      {forgotten.length > 0 && (
        <section aria-label="What came of it" className="card space-y-2 border-l-8 border-honey p-4">
          <h2 className="text-lg">What came of it?</h2>
          {forgotten.map((meal) => (
            <div key={meal.id} className="flex flex-wrap items-center gap-2">
              <p className="mr-auto">{meal.name}</p>
              <button type="button" className="button" disabled={busy} onClick={() => setEating(meal)}>
                Eaten
              </button>
              <button
                type="button"
                className="button"
                disabled={busy}
                onClick={() => void act({ type: 'meal.skip', meal: meal.id })}
              >
                Skipped
              </button>
            </div>
          ))}
        </section>
      )}
      <IfMay type="package.cook">
        <ThawedCard thawed={view.thawed} />
      </IfMay>
      <DndContext
        id="meals"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements }}
        onDragEnd={dropped}
      >
        <WeekBoard
          view={view}
          offered={offered}
          busy={busy}
          onPlan={(on, slot) => setEditing({ on, slot })}
          onOpen={(meal) => setEditing({ meal })}
          onEat={setEating}
          onTake={(one) => accept(one)}
          onRefuse={(one) => void suggest([...without, one.takes[0]?.called ?? ''])}
        />
      </DndContext>
      <div
        className={`grid gap-5 ${week && week.left.length > 0 ? 'lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]' : ''}`}
      >
        <ThawPlan view={view} />
        {week && <RoutesCard week={week} />}
      </div>
      {editing && (
        <MealSheet
          key={'meal' in editing ? editing.meal.id : `${editing.on} ${editing.slot}`}
          view={view}
          meal={'meal' in editing ? editing.meal : null}
          place={'meal' in editing ? editing.meal : editing}
          onEat={setEating}
          onClose={() => setEditing(null)}
        />
      )}
      {eating && (
        <EatSheet
          meal={eating}
          rhythm={view.rhythm}
          currency={view.currency}
          onClose={() => setEating(null)}
        />
      )}
      {boxes && <DinnersSheet view={view} onClose={() => setBoxes(false)} />}
      {habits && (
        <IfMay type="meal.rhythm">
          <RhythmSheet rhythm={view.rhythm} onClose={() => setHabits(false)} />
        </IfMay>
      )}
    </div>
  );
}
