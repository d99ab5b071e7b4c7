import Joi from 'joi';
import { daysBetween } from '@/core/calendar/calendarDate';
import { usualGoal } from '@/core/haul/usualGoal';
import type { Food } from '@/core/model/food';
import type { Goal } from '@/core/model/haul';
import type { IntakeLine } from '@/core/model/intakeLine';
import { MOST_LINES } from '@/core/model/limits';
import { packedLitres } from '@/core/packaging/packedLitres';
import { liesClosed } from '@/core/placement/liesClosed';
import type { PlacingPackage } from '@/core/placement/placing';
import type { QuickPlace } from '@/core/quickline/placedReading';
import { solvePlacement } from '../calculators/solvePlacement';
import { lineSchema, type RawLine, toLine } from '../door/schemas/line';
import { validate } from '../door/validate';
import { viewContext } from '../household/context';
import { readKitchenContents } from './kitchenContents';

export const placesSchema = Joi.object({
  lines: Joi.array().items(lineSchema).min(1).max(MOST_LINES).required(),
});

/** What was cooked today is warm still: it cools before it goes anywhere. */
const isWarm = ({ start, frozenOn }: IntakeLine, today: string): boolean =>
  start.did === 'cooked' && start.on === today && frozenOn === null;

function goalOf({ start, frozenOn }: IntakeLine, food: Food): Goal {
  return start.frozen || frozenOn !== null || food.fridgeDaysMax === 0 ? 'freezer' : usualGoal(food, 1);
}

function asPackage(line: IntakeLine, food: Food, key: string, goes: Goal, today: string): PlacingPackage {
  const { amount, packs, unit, form, wrap, start, openedOn, printed } = line;
  const days = [
    (food.fridgeDaysMax ?? 30) - daysBetween(start.on, today),
    ...(printed ? [daysBetween(today, printed.date)] : []),
  ];
  const closedAs = { opened: openedOn !== null, wrap, did: start.did, loose: start.loose ?? false };
  return {
    id: key,
    food,
    closed: liesClosed(closedAs, food),
    state: goes === 'freezer' ? 'frozen' : 'chilled',
    litres: packs * packedLitres({ amount: amount / packs, unit, form, wrap }, food.densityKgPerL),
    rigidMm: null,
    daysLeft: goes === 'freezer' ? null : Math.min(...days),
    takesPerWeek: 0,
  };
}

/**
 * Where lines of the quick line would go that name no zone, all at once: what one takes, the next has not. Nothing is
 * stored.
 *
 * @returns a place for each line, in their order; a zone of `null` leaves it on the counter, with why
 * @throws Problem 400
 */
export async function placesForLines(body: unknown): Promise<{ places: QuickPlace[] }> {
  const { lines } = validate<{ lines: RawLine[] }>(placesSchema, body);
  const context = await viewContext();
  const { reference, today } = context;
  const { zones, lying } = await readKitchenContents(context);
  const places = lines.map((): QuickPlace => ({ zone: null, says: 'It stays out of the cold.', rule: '' }));
  const wanted = lines.map(toLine).flatMap((line, at): PlacingPackage[] => {
    const food = reference.byId.get(line.food);
    const goes = food && !isWarm(line, today) ? goalOf(line, food) : 'room';
    if (food && isWarm(line, today))
      places[at] = { zone: null, says: 'On the counter, where it cools first.', rule: '' };
    return !food || goes === 'room' ? [] : [asPackage(line, food, String(at), goes, today)];
  });
  const open = zones.filter(({ keptEmpty }) => !keptEmpty);
  const { assignments, refused } = await solvePlacement(open, lying, wanted, new Map());
  for (const {
    package: { id },
    zone,
    score,
  } of assignments) {
    const { id: zoneId, name, applianceName: appliance, cold } = zone;
    places[Number(id)] = {
      zone: { id: zoneId, name, appliance, cold },
      says: score.reasons[0] ?? '',
      rule: '',
    };
  }
  for (const {
    package: { id },
    rule,
    says,
  } of refused)
    places[Number(id)] = { zone: null, says, rule };
  return { places };
}
