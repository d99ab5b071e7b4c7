import { sayFullDate } from '@/core/calendar/sayDate';
import { forWhom } from '@/core/foods/forWhom';
import { keepingOn } from '@/core/keeping/judgeKeeping';
import type { TrailLine } from '@/core/model/history';
import type { IntakeLine } from '@/core/model/intakeLine';
import { storeHaul } from '@/core/ledger/haul/storeHaul';
import type { StoringWorld } from '@/core/ledger/package/storeLot';
import { sayPackSizes } from '@/core/portions/sayPackSizes';
import { Refusal } from '@/core/model/refusal';
import type { QuickReading } from '@/core/quickline/quickLine';
import type { KnownVocabulary } from './useVocabulary';

/** What storing the line would make: packs in words and the date they would get, or the rule that says no. */
export interface LinePreview {
  packs: string;
  due: string | null;
  trail: TrailLine[];
  refused: string | null;
  /** It is refused by a rule of the household's own, which the cook may overrule. */
  overrule: boolean;
  /** What is wrong with it already: past its date when it comes in. */
  warning: string;
  /** Whom of the household it is not for (K14). */
  notFor: string;
}

function sayPacks({ amount, packs, unit }: IntakeLine): string {
  const size = sayPackSizes(amount, packs, unit);
  return packs === 1 ? `one package of ${size}` : `${packs} packages of ${size}`;
}

/** As much of the world as storing needs, out of what the browser holds; nothing is stored. */
function previewWorld(
  { today, caution, currency, foods, zones }: KnownVocabulary,
  ownFood: QuickReading['ownFood'],
): StoringWorld {
  const known = <Item>(item: Item | undefined): Item => {
    if (item === undefined) throw new Refusal('place', 'That is not known here any more.');
    return item;
  };
  return {
    today,
    at: new Date().toISOString(),
    currency,
    caution,
    food: (id) => known(foods.byId.get(id === ownFood?.name ? ownFood.copy : id)),
    zone: (id) => known(zones.find((zone) => zone.id === id)),
    newId: () => 'preview',
    newCode: () => '',
  };
}

/** Runs what the door would run over the line, so that what is shown is what is stored, in every zone. */
export function previewLine(
  line: IntakeLine,
  vocabulary: KnownVocabulary,
  ownFood: QuickReading['ownFood'] = null,
): LinePreview {
  const packs = sayPacks(line);
  const nothing = { packs, due: null, trail: [], refused: null, overrule: false, warning: '', notFor: '' };
  try {
    const world = previewWorld(vocabulary, ownFood);
    const [event] = storeHaul([line], world).events;
    if (!event) return nothing;
    const { after } = event;
    const { verdict } = keepingOn(
      { ...after, governing: { date: after.governingDate, kind: after.governingKind } },
      vocabulary.today,
    );
    const kind = after.governingKind === 'use-by' ? 'use by' : 'best by';
    return {
      ...nothing,
      due: `${verdict === 'discard' || verdict === 'look-first' ? 'past since' : kind} ${sayFullDate(after.governingDate)}`,
      trail: after.trail,
      notFor: forWhom(world.food(after.foodId), {
        marks: vocabulary.marks ?? {},
        caution: vocabulary.caution,
      }),
      warning:
        verdict === 'discard'
          ? 'Not for eating any more: throw it out.'
          : verdict === 'look-first'
            ? 'Look at it first.'
            : '',
    };
  } catch (error) {
    const refused = error instanceof Refusal ? error.says : 'This line cannot be stored.';
    return { ...nothing, refused, overrule: error instanceof Refusal && error.rule === 'P4' };
  }
}
