import { food } from '../fixtures/reference';
import { addDays } from '../../src/core/calendar/calendarDate';
import type { HistoryEvent, KeepingConditions } from '../../src/core/model/history';
import { judgeKeeping } from '../../src/core/keeping/judgeKeeping';
import { Refusal } from '../../src/core/model/refusal';
import type { Chance } from './chance';
import { foodRows } from './rows';
import { type Around, secondKeeping, type Told } from './secondKeeping';

const LATER = '2032-01-01';
const IDS = [...foodRows.keys()];
const WRAPS = [
  'shop-tray',
  'carton',
  'loose-bag',
  'zip-bag',
  'foil',
  'paper',
  'vacuum',
  'glass',
  'jar',
  'tub',
];
const STEPS = [
  'opened',
  'frozen',
  'thawing',
  'thawed',
  'refrozen',
  'moved',
  'counter',
  'kept-out',
  'topped-up',
  'washed',
  'found-turning',
  'found-bad',
  'cooked',
] as const;

/** A step of a history, of any kind, also such as a rule refuses. */
function step(chance: Chance, did: string, on: string): Told {
  const warm = chance.may(0.5);
  switch (did) {
    case 'thawed':
      return { did, on, method: chance.of(['fridge', 'fridge', 'cold-water', 'microwave', 'metal']) };
    case 'moved':
      return { did, on, c: chance.may(0.5) ? chance.whole(0, 12) : chance.whole(-22, 6) };
    case 'frozen':
    case 'refrozen':
      return { did, on, ...(warm ? { c: chance.whole(-20, -4) } : {}) };
    case 'thawing':
      return { did, on, ...(warm ? { c: chance.whole(0, 10) } : {}) };
    case 'counter':
      return {
        did,
        on,
        minutes: chance.whole(1, chance.may(0.2) ? 900 : 70),
        ...(chance.may(0.2) ? { hot: true } : {}),
      };
    case 'topped-up':
      return { did, on, content: addDays(on, -chance.whole(0, 4)) };
    case 'washed':
      return { did, on, dried: chance.may(0.5) };
    default:
      return { did, on };
  }
}

/** A food, a history and its surroundings, drawn by chance. */
export function drawHistory(chance: Chance): { id: string; history: Told[]; around: Around } {
  const id = chance.of(IDS);
  let on = addDays('2026-11-01', chance.whole(0, 120));
  const history: Told[] = [
    {
      did: chance.of(['bought', 'bought', 'cooked', 'harvested', 'given']),
      on,
      ...(chance.may(0.15) ? { frozen: true, ...(chance.may(0.5) ? { c: chance.whole(-20, -5) } : {}) } : {}),
    },
  ];
  const around = drawAround(chance, on);
  for (let count = chance.whole(0, 8); count > 0; count--) {
    on = addDays(on, chance.may(0.4) ? 0 : chance.whole(0, chance.may(0.2) ? 60 : 3));
    const next = step(chance, chance.of(STEPS), on);
    // Most steps are such as can happen; some that a rule refuses are wanted too.
    const refused = typeof secondKeeping(id, [...history, next], around) === 'string';
    if (refused && !chance.may(0.05)) continue;
    history.push(next);
    if (refused) break;
  }
  return { id, history, around };
}

/** Surroundings of a history that begins on a day. */
function drawAround(chance: Chance, from: string): Around {
  return {
    printed: chance.may(0.4)
      ? {
          kind: chance.of(['use-by', 'best-before', 'sell-by', 'freeze-by']),
          date: addDays(from, chance.whole(-2, 30)),
        }
      : null,
    wrap: chance.of(WRAPS),
    blanched: chance.may(0.7),
    fridgeC: chance.of([2, 4, 4, 5, 7, 9]),
    freezerC: chance.of([-22, -18, -18, -15, -12, -7]),
    caution: chance.of(['usual', 'careful', 'printed']),
    thawHours: chance.may(0.5) ? null : chance.whole(1, 100),
    accepted: chance.may(0.2),
  };
}

/** How the product dates it, in the second reading's terms: dates, or the rule that refuses. */
export function firstReading(id: string, history: readonly Told[], { accepted, ...around }: Around) {
  try {
    const conditions = { ...around, recorded: accepted ? history.length : 0 } as unknown as KeepingConditions;
    const { useBy, bestBy, condemned, counterMinutes } = judgeKeeping(
      food(id),
      history as unknown as HistoryEvent[],
      LATER,
      conditions,
    );
    return { useBy, bestBy, dead: condemned, minutes: counterMinutes };
  } catch (error) {
    if (error instanceof Refusal) return error.rule;
    throw error;
  }
}

/** Compares both readings of some histories. @returns how many were compared, milder and different, and the first that differs */
export function compareHistories(chance: Chance, count: number) {
  const found = { count, milder: 0, different: 0, refused: 0, first: '' };
  for (let at = 0; at < count; at++) {
    const { id, history, around } = drawHistory(chance);
    const ours = firstReading(id, history, around);
    const plain = secondKeeping(id, history, around);
    if (typeof plain === 'string') found.refused += 1;
    if (JSON.stringify(ours) === JSON.stringify(plain)) continue;
    found.different += 1;
    if (isMilder(ours, plain)) found.milder += 1;
    if (found.first === '') found.first = JSON.stringify({ id, history, around, ours, plain });
  }
  return found;
}

type Reading = ReturnType<typeof firstReading>;

function isMilder(ours: Reading, plain: Reading): boolean {
  if (typeof plain === 'string') return typeof ours !== 'string';
  if (typeof ours === 'string') return false;
  const later = (a: string | null, b: string | null): boolean => (a ?? '9999') > (b ?? '9999');
  return later(ours.useBy, plain.useBy) || ours.bestBy > plain.bestBy || (plain.dead && !ours.dead);
}
