import { daysBetween } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import type { NamedFood } from '../foods/findFood';
import { isSoldFrozen } from '../foods/isSoldFrozen';
import { saysHomeMade } from '../foods/preparedFood';
import type { Food } from '../model/food';
import type { IntakeLine } from '../model/intakeLine';
import type { QuickDraft } from './quickDraft';
import { unsaidStart } from './unsaidAge';

/** What is asked where nobody said how old it is. */
export const AGE_ASKED = 'How old is it? Say so in the line, or once for all that lies here.';

/** Without a word on when it came in: today, or the day it was opened or frozen if that is longer ago. */
export function earliest(draft: QuickDraft): string {
  return (
    [draft.vocabulary.today, draft.line.openedOn, draft.line.frozenOn]
      .filter((date): date is string => date !== null)
      .sort()[0] ?? draft.vocabulary.today
  );
}

/** What lies there already did not come in today: where the line says no age, the zone's answer counts, or is asked for. */
export function askAge(
  draft: QuickDraft,
  food: NamedFood & Partial<Pick<Food, 'readiness'>>,
  typed: string,
): void {
  const { line, vocabulary, text } = draft;
  const { unsaidAge, today } = vocabulary;
  if (unsaidAge === undefined || draft.start || line.openedOn !== null || line.frozenOn !== null) return;
  // A maker dates a closed pack, but for what is raw.
  if (line.printed !== null && food.readiness !== 'raw-animal')
    draft.start = { did: 'bought', on: today, unknown: true };
  else if (unsaidAge === null)
    draft.faults.push({ from: text.length, to: text.length, says: AGE_ASKED, candidates: [] });
  else {
    draft.start = unsaidStart(unsaidAge, saysHomeMade(typed) ? 'cooked' : 'bought', today);
    draft.part('happened', { from: text.length }, text.length, `since ${sayPlainDate(draft.start.on)}`, true);
  }
}

/** True when it would not have kept in a fridge since: it was frozen then ("raspberries july"). */
const isLongAgo = (
  on: string,
  today: string,
  { fridgeDaysMax }: Partial<Pick<Food, 'fridgeDaysMax'>>,
): boolean => typeof fridgeDaysMax === 'number' && daysBetween(on, today) > fridgeDaysMax;

/**
 * What nobody says about freezing: what shops sell frozen was frozen from the start; what else goes to a freezer is frozen
 * the day it came in, if that is told, else today. What lives in no fridge asks for its freezer.
 */
export function freezeByPlace(
  draft: QuickDraft,
  food: NamedFood & Partial<Pick<Food, 'fridgeDaysMax'>>,
): void {
  const { line, vocabulary } = draft;
  const zone = vocabulary.zones.find(({ id }) => id === line.zone);
  const start: IntakeLine['start'] = draft.start ?? { did: 'bought' as const, on: earliest(draft) };
  if (isSoldFrozen(food) && start.did !== 'cooked') {
    draft.start = { ...start, on: line.frozenOn ?? start.on, frozen: true };
    line.frozenOn = null;
  }
  const frozen = draft.start?.frozen ?? false;
  const goesIn = zone?.cold === 'freezer' || draft.intoFreezer;
  if (goesIn && line.frozenOn === null && !frozen)
    line.frozenOn =
      draft.about === '' && vocabulary.zoneId === undefined && !isLongAgo(start.on, vocabulary.today, food)
        ? vocabulary.today
        : start.on;
  const keptFrozen =
    food.fridgeDaysMax === 0 || (isSoldFrozen(food) && start.did !== 'cooked' && !draft.placed);
  if (!keptFrozen || zone?.cold === 'freezer' || (vocabulary.placedLater && !draft.placed)) return;
  const freezers = vocabulary.zones.filter(({ cold }) => cold === 'freezer');
  const [first] = freezers;
  const alone = freezers.every(({ appliance }) => appliance === first?.appliance);
  if (first && alone && !draft.placed) {
    line.zone = first.id;
    draft.parts.push({
      meaning: 'place',
      from: draft.text.length,
      to: draft.text.length,
      says: `to ${first.name}, ${first.appliance}`,
      guessed: true,
    });
    return;
  }
  draft.fault(
    { from: draft.text.length },
    draft.text.length,
    `${food.name} lives in a freezer. Which one?`,
    freezers.slice(0, 6).map((one) => ` > ${one.name} ${one.appliance}`),
  );
}
