'use client';

import { useState } from 'react';
import { DAY_HABITS, type DayHabit, DIETS, type Diet, type MealRhythm } from '@/core/model/meal';
import { Sheet } from '../door/Sheet';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { Tick } from '../forms/Tick';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const HABIT_WORDS: Readonly<Record<DayHabit, string>> = {
  fish: 'fish',
  quick: 'something quick',
  'no-meat': 'no meat',
};
const DIET_WORDS: Readonly<Record<Diet, string>> = {
  everything: 'everything',
  'no-meat': 'no meat',
  'no-meat-or-fish': 'no meat or fish',
  soft: 'soft food',
};
const APPETITES = [
  ['small', 'small appetite'],
  ['usual', 'usual appetite'],
  ['large', 'large appetite'],
] as const;

/** How the household eats: when, who, how much, what on which day. */
export function RhythmSheet({ rhythm, onClose }: { rhythm: MealRhythm; onClose: () => void }) {
  const { act, busy } = useDoor();
  const [now, setNow] = useState(rhythm);
  const [who, setWho] = useState('');
  const set = (change: Partial<MealRhythm>): void => setNow({ ...now, ...change });
  return (
    <Sheet title="How we eat" onClose={onClose}>
      <form
        className="space-y-5"
        onSubmit={(event) => {
          event.preventDefault();
          void act({ type: 'meal.rhythm', rhythm: now }).then((answers) => answers && onClose());
        }}
      >
        <fieldset className="space-y-2">
          <legend className="text-lg">When</legend>
          {now.slots.map((slot, at) => (
            <div key={slot.id} className="flex items-end gap-2">
              <label className="min-w-0 flex-1">
                <span className="block text-slate">called</span>
                <input
                  className="field"
                  value={slot.name}
                  onChange={(event) =>
                    set({
                      slots: now.slots.map((one, nth) =>
                        nth === at ? { ...one, name: event.target.value } : one,
                      ),
                    })
                  }
                />
              </label>
              <label>
                <span className="block text-slate">at</span>
                <input
                  className="field"
                  type="time"
                  required
                  value={slot.at}
                  onChange={(event) =>
                    set({
                      slots: now.slots.map((one, nth) =>
                        nth === at ? { ...one, at: event.target.value } : one,
                      ),
                    })
                  }
                />
              </label>
              {now.slots.length > 1 && (
                <button
                  type="button"
                  className="button border-transparent"
                  aria-label={`Without ${slot.name}`}
                  onClick={() =>
                    set({
                      slots: now.slots.filter((_, nth) => nth !== at),
                      habits: now.habits.filter((one) => one.slot !== slot.id),
                    })
                  }
                >
                  ✕
                </button>
              )}
            </div>
          ))}
          <button
            type="button"
            className="button"
            onClick={() =>
              set({
                slots: [...now.slots, { id: `time-${Date.now().toString(36)}`, name: 'Supper', at: '20:00' }],
              })
            }
          >
            Another time
          </button>
        </fieldset>
        <fieldset className="space-y-2">
          <legend className="text-lg">Who</legend>
          {now.eaters.map((eater, at) => {
            const change = (more: Partial<typeof eater>): void =>
              set({ eaters: now.eaters.map((one, nth) => (nth === at ? { ...one, ...more } : one)) });
            return (
              <div
                key={eater.name}
                className="grid grid-cols-[1fr_auto] items-end gap-2 border-b border-line pb-2"
              >
                <p className="font-heading font-semibold">{eater.name}</p>
                <button
                  type="button"
                  className="button border-transparent"
                  aria-label={`${eater.name} does not eat here`}
                  onClick={() => set({ eaters: now.eaters.filter((_, nth) => nth !== at) })}
                >
                  ✕
                </button>
                <div className="col-span-2 flex flex-wrap gap-2">
                  <Choice
                    label={`${eater.name}: how much`}
                    value={eater.appetite}
                    choices={APPETITES}
                    onChoose={(appetite) => change({ appetite })}
                  />
                  <Choice
                    label={`${eater.name}: what`}
                    value={eater.diet}
                    choices={DIETS.map((diet) => [diet, DIET_WORDS[diet]] as const)}
                    onChoose={(diet) => change({ diet })}
                  />
                </div>
              </div>
            );
          })}
          <div className="flex items-end gap-2">
            <label className="min-w-0 flex-1">
              <span className="block text-slate">somebody else</span>
              <input
                className="field"
                value={who}
                maxLength={60}
                onChange={(event) => setWho(event.target.value)}
              />
            </label>
            <button
              type="button"
              className="button"
              disabled={
                who.trim() === '' ||
                now.eaters.some(({ name }) => name.toLowerCase() === who.trim().toLowerCase())
              }
              onClick={() => {
                set({ eaters: [...now.eaters, { name: who.trim(), appetite: 'usual', diet: 'everything' }] });
                setWho('');
              }}
            >
              Eats here
            </button>
          </div>
        </fieldset>
        <fieldset className="space-y-2">
          <legend className="text-lg">On which day what</legend>
          {now.habits.map((habit, at) => {
            const change = (more: Partial<typeof habit>): void =>
              set({ habits: now.habits.map((one, nth) => (nth === at ? { ...one, ...more } : one)) });
            return (
              <div key={at} className="flex flex-wrap items-end gap-2">
                <Choice
                  label="on"
                  value={String(habit.weekday)}
                  choices={DAYS.map((day, nth) => [String(nth), day] as const)}
                  onChoose={(day) => change({ weekday: Number(day) })}
                />
                <Choice
                  label="at"
                  value={habit.slot}
                  choices={now.slots.map(({ id, name }) => [id, name.toLowerCase()] as const)}
                  onChoose={(slot) => change({ slot })}
                />
                <Choice
                  label="we have"
                  value={habit.what}
                  choices={DAY_HABITS.map((what) => [what, HABIT_WORDS[what]] as const)}
                  onChoose={(what) => change({ what })}
                />
                <button
                  type="button"
                  className="button border-transparent"
                  aria-label={`Without the habit of ${DAYS[habit.weekday]}`}
                  onClick={() => set({ habits: now.habits.filter((_, nth) => nth !== at) })}
                >
                  ✕
                </button>
              </div>
            );
          })}
          <button
            type="button"
            className="button"
            onClick={() =>
              set({ habits: [...now.habits, { weekday: 5, slot: now.slots.at(-1)?.id ?? '', what: 'fish' }] })
            }
          >
            Another habit
          </button>
        </fieldset>
        <Tick checked={now.apart} onChange={(apart) => set({ apart })}>
          no meat and dairy in one meal
        </Tick>
        <button type="submit" className="button" data-main="true" disabled={busy}>
          Keep
        </button>
      </form>
    </Sheet>
  );
}
