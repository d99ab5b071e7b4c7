'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { GripVertical } from 'lucide-react';
import type { CSSProperties, ReactNode } from 'react';
import type { MealsView, MealView } from '@/services/meals/week';
import { useSay } from '../units/useSay';
import type { Suggested } from './suggested';

interface Deeds {
  busy: boolean;
  onPlan: (on: string, slot: string) => void;
  onOpen: (meal: MealView) => void;
  onEat: (meal: MealView) => void;
  onTake: (one: Suggested) => void;
  onRefuse: (one: Suggested) => void;
}

/** The week: a column a day, a row a time; on a phone day by day. Meals are dragged, also by keys. */
export function WeekBoard({
  view,
  offered,
  ...deeds
}: { view: MealsView; offered: readonly Suggested[] } & Deeds) {
  const { slots } = view.rhythm;
  return (
    <ol aria-label="The week" className="grid gap-x-3 gap-y-2 lg:grid-cols-7">
      {view.days.map(({ on, words, full }) => (
        <li
          key={on}
          className="grid min-w-0 content-start gap-2 lg:[grid-row:span_var(--rows)] lg:grid-rows-subgrid"
          style={{ '--rows': slots.length + 1 } as CSSProperties}
        >
          <h2 className="flex items-baseline gap-2 border-b-2 border-line pb-1 text-lg" title={full}>
            {words}
          </h2>
          {slots.map((slot) => {
            const meal = view.meals.find(
              (one) => one.on === on && one.slot === slot.id && one.state !== 'skipped',
            );
            const skipped = view.meals.find(
              (one) => one.on === on && one.slot === slot.id && one.state === 'skipped',
            );
            const offer = offered.find((one) => one.on === on && one.slot === slot.id);
            return (
              <Place key={slot.id} id={`${on} ${slot.id}`} label={`${words}, ${slot.name}`}>
                <p className="text-[0.9375rem] text-slate">
                  {slot.name} {slot.at}
                  {skipped && !meal ? ' · skipped' : ''}
                </p>
                {meal ? (
                  <MealCard meal={meal} {...deeds} />
                ) : offer ? (
                  <OfferCard offer={offer} {...deeds} />
                ) : (
                  <button
                    type="button"
                    className="button w-full border-dashed"
                    aria-label={`Plan ${words}, ${slot.name.toLowerCase()}`}
                    disabled={deeds.busy}
                    onClick={() => deeds.onPlan(on, slot.id)}
                  >
                    Plan
                  </button>
                )}
              </Place>
            );
          })}
        </li>
      ))}
    </ol>
  );
}

/** Packages alike, told as one: "Haddock 2 × 300 g". */
function alike<Take extends { called: string; amount_words: string }>(
  takes: readonly Take[],
): { first: Take; many: number }[] {
  const groups = new Map<string, { first: Take; many: number }>();
  for (const take of takes) {
    const key = `${take.called} ${take.amount_words}`;
    const known = groups.get(key);
    if (known) known.many += 1;
    else groups.set(key, { first: take, many: 1 });
  }
  return [...groups.values()];
}

function Place({ id, label, children }: { id: string; label: string; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div
      ref={setNodeRef}
      role="group"
      aria-label={label}
      className={`space-y-1 rounded-part p-1 ${isOver ? 'bg-ice-foot' : ''}`}
    >
      {children}
    </div>
  );
}

function MealCard({ meal, busy, onOpen, onEat }: { meal: MealView } & Deeds) {
  const say = useSay();
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: meal.id,
    disabled: meal.state !== 'planned',
    attributes: { roleDescription: 'meal to move' },
  });
  const missing = meal.takes.filter((take) => take.missing !== '');
  const eaten = meal.state === 'eaten';
  return (
    <article
      ref={setNodeRef}
      aria-label={meal.name}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className={`card space-y-1 p-2 ${isDragging ? 'relative z-20 shadow-lg' : ''} ${eaten ? 'bg-rime' : ''}`}
    >
      <div className="flex items-start gap-1">
        <button
          type="button"
          className="min-h-11 min-w-0 flex-1 text-left font-heading font-semibold break-words hover:underline"
          onClick={() => onOpen(meal)}
        >
          {say(meal.name)}
        </button>
        {!eaten && (
          <button
            type="button"
            className="flex size-11 shrink-0 cursor-grab touch-none items-center justify-center text-slate"
            aria-label={`Move ${meal.name}: space, arrows, space`}
            {...attributes}
            {...listeners}
          >
            <GripVertical aria-hidden size={20} />
          </button>
        )}
      </div>
      <ul className="space-y-1 text-[0.9375rem]">
        {alike(meal.takes).map(({ first, many }) => (
          <li key={first.package} className="rounded-sm border border-tape-edge bg-tape px-1.5">
            {first.called}{' '}
            <b className="font-heading font-semibold">
              {many > 1 ? `${many} × ` : ''}
              {say(first.amount_words)}
            </b>
            {first.view?.state === 'frozen' ? ' · frozen' : ''}
            {first.view && first.view.not_for !== '' && (
              <b className="block text-beet">{first.view.not_for}</b>
            )}
          </li>
        ))}
      </ul>
      {missing.length > 0 && (
        <p className="border-l-4 border-beet pl-2 text-[0.9375rem] text-beet">
          {missing.map((take) => say(`${take.missing} of ${take.called}`)).join(', ')} is not here any more.
          Plan again.
        </p>
      )}
      {meal.buys.length > 0 && (
        <p className="text-[0.9375rem] text-slate">
          {meal.buys.every(({ bought }) => bought) ? 'bought' : 'to buy'}:{' '}
          {meal.buys.map(({ called }) => called).join(', ')}
        </p>
      )}
      {eaten ? (
        <p className="text-[0.9375rem] text-slate">
          eaten{meal.log && meal.log.ate.length > 0 ? ` by ${meal.log.ate.join(', ')}` : ''}
          {meal.log && meal.log.made.length > 0 ? ` · put by: ${meal.log.made.join(', ')}` : ''}
        </p>
      ) : (
        meal.over && (
          <button type="button" className="button w-full" disabled={busy} onClick={() => onEat(meal)}>
            Eaten
          </button>
        )
      )}
    </article>
  );
}

function OfferCard({ offer, busy, onTake, onRefuse }: { offer: Suggested } & Deeds) {
  const say = useSay();
  return (
    <article
      aria-label={`Suggested: ${offer.name}`}
      className="space-y-1 rounded-card border-2 border-dashed border-slate p-2"
    >
      <h3 className="font-heading font-semibold">{offer.name}</h3>
      <ul className="text-[0.9375rem]">
        {alike(offer.takes).map(({ first, many }) => (
          <li key={first.package}>
            {first.called} {many > 1 ? `${many} × ` : ''}
            {say(first.amount_words)}
          </li>
        ))}
      </ul>
      {offer.saves !== '' && <p className="text-[0.9375rem] text-slate">{say(offer.saves)}</p>}
      <div className="flex flex-wrap gap-1">
        <button
          type="button"
          className="button px-3"
          disabled={busy}
          onClick={() => onTake(offer)}
          aria-label={`Take ${offer.name}`}
        >
          Take
        </button>
        <button
          type="button"
          className="button border-transparent px-2"
          disabled={busy}
          onClick={() => onRefuse(offer)}
          aria-label={`No ${offer.takes[0]?.called ?? ''} this week`}
        >
          No
        </button>
      </div>
    </article>
  );
}
