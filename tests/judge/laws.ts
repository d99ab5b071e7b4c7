import { food } from '../fixtures/reference';
import type { Store } from '../fixtures/memoryStore';
import { countedMinutes, minutesBetween } from '../../src/core/keeping/counterMinutes';
import { doubtHistory } from '../../src/core/ledger/package/doubtHistory';
import type { Package } from '../../src/core/model/package';
import type { Chance } from './chance';
import { type Around, secondKeeping, type Told } from './secondKeeping';

const DAY = 24 * 60 * 60_000;

/** Something a law forbids, with all that is needed to see it again. */
export class Broken extends Error {}

export interface Run {
  store: Store;
  chance: Chance;
  at: string;
  log: string[];
  /** Minutes out of the cold of each package, as far as they were ever known. */
  minutes: Map<string, number>;
  wished: Map<string, { fridge?: number; opened?: number }>;
  count: number;
}

export const dayOf = ({ at }: Run): string => at.slice(0, 10);

export const here = ({ store }: Run): Package[] =>
  [...store.packages.values()].filter(({ gone }) => gone === null);

export function fail(run: Run, law: string, more: unknown): never {
  throw new Broken(`${law}\n${run.log.join('\n')}\n${JSON.stringify(more)}`);
}

function aroundOf(run: Run, one: Package): Around {
  return {
    printed: one.printed,
    wrap: one.wrap ?? 'zip-bag',
    blanched: one.blanched,
    fridgeC: 4,
    freezerC: -18,
    caution: run.store.settings.caution,
    thawHours: null,
    accepted: true,
    wish: run.wished.get(one.foodId) ?? {},
  };
}

/** Laws that hold after every command, whatever it was. */
export function checkStanding(run: Run): void {
  for (const one of here(run)) {
    const plain = secondKeeping(one.foodId, one.history as unknown as Told[], aroundOf(run, one));
    const stored = { useBy: one.useBy, bestBy: one.bestBy, dead: one.condemned };
    if (typeof plain === 'string') fail(run, 'stored though a rule refuses it', { one, plain });
    const { minutes: _m, ...dates } = plain;
    if (JSON.stringify(dates) !== JSON.stringify(stored))
      fail(run, 'stored is not what the rules say', { stored, plain, one });
    checkCaps(run, one);
    const elsewhere = { today: dayOf(run), food, caution: run.store.settings.caution };
    if (doubtHistory(one, elsewhere) !== one) fail(run, 'an honest history is doubted', one);
    const stay =
      one.counterSince === null
        ? 0
        : countedMinutes(one.state, minutesBetween(one.counterSince, run.at), false);
    const minutes = one.counterMinutes + stay;
    if (minutes < (run.minutes.get(one.id) ?? 0)) fail(run, 'minutes fell', { one, minutes });
    run.minutes.set(one.id, minutes);
    if (food(one.foodId).controlled && one.counterMinutes >= 120 && !one.condemned)
      fail(run, 'two hours out, and kept', one);
  }
}

/** Caps that no event may pass: printed until frozen, a finding until frozen or thawed, the end for good. */
function checkCaps(run: Run, one: Package): void {
  const slept = one.history.findLastIndex(({ did }) =>
    ['frozen', 'refrozen', 'thawing', 'thawed'].includes(did),
  );
  const [start] = one.history;
  const cameFrozen = start !== undefined && 'frozen' in start;
  const { printed } = one;
  if (printed && slept < 0 && !cameFrozen && (printed.kind === 'use-by' || printed.kind === 'freeze-by')) {
    if (one.useBy !== null && one.useBy > printed.date) fail(run, 'past a printed use by', one);
  }
  one.history.forEach(({ did, on }, at) => {
    if (did !== 'found-turning' && did !== 'found-bad') return;
    const limit = did === 'found-bad' ? on : new Date(Date.parse(on) + DAY).toISOString().slice(0, 10);
    if (at > slept && one.governingDate > limit) fail(run, 'past a finding', one);
    if (did === 'found-bad' && (one.governingDate > limit || !one.condemned))
      fail(run, 'found bad, and kept', one);
  });
}
