import { HOUSEHOLD_MAY } from '../../model/role';
import { MOST_NOTE } from '../../model/limits';
import { checkHaulLine } from '../../haul/checkHaulLine';
import { counterClock } from '../../haul/counterClock';
import type { Haul, HaulLine, HaulPart } from '../../model/haul';
import { lineHistory } from '../../haul/lineHistory';
import { isBlanched, sayPreparation } from '../../haul/preparation';
import type { HistoryEvent } from '../../model/history';
import type { Food } from '../../model/food';
import { packLayout } from '../../portions/packLayout';
import { packingOf } from '../../portions/packing';
import { splitEvenly } from '../../portions/splitEvenly';
import { Refusal } from '../../model/refusal';
import type { Decision } from '../../model/decision';
import { lineEvent, openHaul, presentLine } from './haulWorld';
import type { LedgerEvent, Lot } from '../../model/package';
import type { SettingEvent } from '../../model/setting';
import { type NewPack, storeLot } from '../package/storeLot';
import { discardPackage } from '../package/discardPackage';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** A line to be packed, or thrown out instead: it stood too long. */
export interface PackedLine {
  line: string;
  version: number;
  discard?: boolean;
}

/** Its history until now, with all the minutes it stood out; of what came in frozen the present stay goes on. */
function historyOf(line: HaulLine, { hot }: Haul, world: World): HistoryEvent[] {
  const { stood } = counterClock(line, { controlled: true }, world.at, false);
  return lineHistory(line, world.today, line.start.frozen ? line.stoodMinutes : stood, hot);
}

/** Since when its packs stand out. A stay of frozen food is never cut in two, for each would have its grace (K10). */
const outSinceOf = ({ start, outSince }: HaulLine, { at }: World): string =>
  (start.frozen ? outSince : null) ?? at;

function noteOf(line: HaulLine, pieces: number | null): string {
  const told = [
    line.byEye ? 'about, by eye' : '',
    pieces === null ? '' : `${pieces} pieces`,
    sayPreparation(line.preparation),
    line.cooking.trim(),
  ];
  return told
    .filter((words) => words !== '')
    .join(' · ')
    .slice(0, MOST_NOTE);
}

/** How much a pot that is topped up may hold, in the line's unit: its fill line (K11). `null`: it is no pot. */
function potCap(part: HaulPart, unit: HaulLine['unit'], food: Food, world: World): number | null {
  const packing = packingOf(part.packing);
  if (packing.id !== 'tub' || unit === 'pc') return null;
  const own = part.container === null ? null : world.container(part.container);
  const layout = packLayout(packing, { amount: 1, unit }, food, own);
  if (layout.kind !== 'vessel') return null;
  return Math.max(1, Math.floor(unit === 'ml' ? layout.fillMl : layout.fillMl * food.densityKgPerL));
}

/** The packs of a part, each standing on the counter from now on. */
function packsOf(
  line: HaulLine,
  part: HaulPart,
  pieces: readonly (number | null)[],
  world: World,
): NewPack[] {
  const { form, wrap } = packingOf(part.packing);
  return part.amounts.map((amount, at) => ({
    amount,
    form,
    wrap: wrap ?? (line.start.frozen ? 'carton' : null),
    note: noteOf(line, pieces[at] ?? null),
    zone: null,
    counterSince: outSinceOf(line, world),
    cap: potCap(part, line.unit, world.food(line.food), world),
  }));
}

function packLine(line: HaulLine, haul: Haul, world: World): { lot: Lot; events: LedgerEvent[] } {
  const food = world.food(line.food);
  const fault = checkHaulLine(line, food, world.container);
  if (fault) throw new Refusal(fault.rule, `${line.called}: ${fault.says}`);
  const clock = counterClock(line, food, world.at, haul.hot);
  if (clock.level === 'over') {
    throw new Refusal(
      'K10',
      `${line.called} stood ${clock.stood} minutes out of the cold: throw it out, or say when it really left the cold.`,
    );
  }
  const count = line.parts.reduce((sum, { amounts }) => sum + amounts.length, 0);
  const pieces = line.pieces === null ? null : splitEvenly(line.pieces, count).reverse();
  let from = 0;
  const packs = line.parts.flatMap((part) => {
    const mine = pieces === null ? [] : pieces.slice(from, from + part.amounts.length);
    from += part.amounts.length;
    return packsOf(line, part, mine, world);
  });
  const { called, amount, unit, priceMinor, start, printed } = line;
  const blanched = isBlanched(line.preparation);
  const history = historyOf(line, haul, world);
  const { lot, events } = storeLot(
    { food, called, amount, unit, priceMinor, start, printed, blanched, history },
    packs,
    world,
  );
  const labelled = events.map((event) => ({
    ...event,
    after: { ...event.after, labelled: event.after.governingDate },
  }));
  return { lot, events: labelled };
}

/** A line that stood too long, as one package that is thrown out at once: its weight and price are in the ledger. */
function discardLine(line: HaulLine, haul: Haul, world: World): { lot: Lot; events: LedgerEvent[] } {
  const food = world.food(line.food);
  const { called, amount, unit, priceMinor, start, printed } = line;
  const pack = { amount, form: null, wrap: null, note: '', zone: null, counterSince: world.at };
  const history = historyOf(line, haul, world);
  const lot = { food, called, amount, unit, priceMinor, start, printed, blanched: true, history };
  const stored = storeLot(lot, [pack], world);
  const [event] = stored.events;
  if (!event) return stored;
  const out = { package: event.after.id, version: 1, reason: 'spoiled' as const, amount: null };
  return {
    lot: stored.lot,
    events: [event, ...discardPackage(out, { ...world, package: () => event.after })],
  };
}

/**
 * Packs lines of a haul: each becomes a lot and its packages, coded and labelled, on the counter until they are put away. All
 * of them or none.
 *
 * @throws Refusal with the rule, or StaleSetting when somebody changed a line; one packed already is refused, never doubled
 */
function packHaul(command: { haul: string; lines: PackedLine[] }, world: World): Decision {
  const haul = openHaul(world, command.haul);
  const lots: Lot[] = [];
  const events: LedgerEvent[] = [];
  const settings: SettingEvent[] = [];
  for (const { line: id, version, discard = false } of command.lines) {
    const known = world.haulLine(id);
    if (known !== null && known.packages !== null) {
      throw new Refusal('haul', `${known.called} is packed already; its labels are printed.`);
    }
    const line = presentLine(world, id, version);
    if (line.haul !== haul.id) throw new Refusal('haul', `${line.called} belongs to another haul.`);
    const stored = discard ? discardLine(line, haul, world) : packLine(line, haul, world);
    lots.push(stored.lot);
    events.push(...stored.events);
    const after: HaulLine = {
      ...line,
      packages: stored.events.flatMap(({ before, after }) => (before === null ? [after.id] : [])),
      timers: [],
      version: version + 1,
    };
    settings.push(lineEvent('haul.packed', line, after, `${line.called} is packed.`));
  }
  return { lots, events, settings };
}

/** How many packages come of the lines that are packed, each discarded line counting for one. */
function packsMade(packed: readonly PackedLine[], lines: readonly HaulLine[]): number {
  const wanted = new Map(packed.map(({ line, discard = false }) => [line, discard]));
  return lines
    .filter(({ id }) => wanted.has(id))
    .flatMap(({ id, parts }) => (wanted.get(id) ? [1] : parts.map(({ amounts }) => amounts.length)))
    .reduce((sum, count) => sum + count, 0);
}

export const packHaulCommand: CommandKind<{ haul: string; lines: PackedLine[] }> = {
  type: 'haul.pack',
  may: HOUSEHOLD_MAY,
  needs: ({ haul, lines: packed }) => ({
    hauls: [haul],
    lines: packed.map(({ line }) => line),
    containers: true,
    newCodes: (lines) => packsMade(packed, lines),
  }),
  decide: packHaul,
  /** "Labelled 7 of Mutton mince, 1 of Eggs." */
  says: ({ events, lots }) => {
    const told = lots.slice(0, 5).map((lot) => {
      const mine = events.filter(({ after }) => after.lotId === lot.id);
      const out = mine.some(({ after }) => after.gone !== null);
      const called = mine[0]?.after.called ?? '';
      return out ? `threw out ${called}` : `${mine.length} of ${called}`;
    });
    const more = lots.length > told.length ? ` and ${lots.length - told.length} more lines` : '';
    return `Labelled ${told.join(', ')}${more}.`;
  },
};
