import type { HistoryEvent } from '../../model/history';
import { preparedFood } from '../../foods/preparedFood';
import { splitEvenly } from '../../portions/splitEvenly';
import { Refusal } from '../../model/refusal';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import type { IntakeLine } from '../../model/intakeLine';
import type { LedgerEvent, Lot } from '../../model/package';
import { storeLot, type StoringWorld } from './storeLot';
import { admitTo, warnedNote } from './zoneFault';

function checkLine(line: IntakeLine): void {
  const fault = amountFault(line.amount, line.unit);
  if (fault) throw new Refusal('amount', fault);
  const [first] = line.history ?? [line.start];
  if (first?.did !== line.start.did || first.on !== line.start.on)
    throw new Refusal('history', 'What happened to it begins otherwise than the line does.');
  if (line.packs > 1 && line.code !== undefined)
    throw new Refusal('code', `One code is on one pack; this line makes ${line.packs}.`);
  if (line.packs > line.amount) {
    throw new Refusal('portions', `${sayAmount(line.amount, line.unit)} does not make ${line.packs} packs.`);
  }
}

/** The history that a line tells, in order of days; freezing after opening on the same day. */
function lineHistory(line: IntakeLine): HistoryEvent[] {
  if (line.history) return line.history;
  const later: HistoryEvent[] = [];
  if (line.openedOn) later.push({ did: 'opened', on: line.openedOn });
  if (line.frozenOn) later.push({ did: 'frozen', on: line.frozenOn });
  later.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  return [{ ...line.start }, ...later];
}

const FREEZING_AND_THAWING: readonly HistoryEvent['did'][] = ['frozen', 'refrozen', 'thawing', 'thawed'];

/** True when it lies frozen, by the last that was told of it. */
function isFrozen(history: readonly HistoryEvent[]): boolean {
  const last = history.findLast(({ did }) => FREEZING_AND_THAWING.includes(did));
  if (last) return last.did === 'frozen' || last.did === 'refrozen';
  const [start] = history;
  return start !== undefined && 'frozen' in start && start.frozen === true;
}

/** @returns what the household's own rules say against the place, when it was chosen all the same */
function checkPlace(line: IntakeLine, frozen: boolean, world: StoringWorld): string {
  if (line.zone === null) return '';
  const zone = world.zone(line.zone);
  if (frozen && zone.cold === 'fridge') {
    throw new Refusal('place', `${zone.name} is in a fridge; frozen food goes to a freezer zone.`);
  }
  if (!frozen && zone.cold === 'freezer') {
    throw new Refusal(
      'place',
      `${zone.name} is in a freezer; say “frozen” with the day, or choose a fridge zone.`,
    );
  }
  return admitTo(zone, world.food(line.food), line.anyway ?? false);
}

/** What is told of its time on the counter cannot be of what lies in a zone, nor of a time to come. @throws Refusal */
function checkOut({ counterSince, zone }: IntakeLine, at: string): void {
  if (counterSince === undefined) return;
  if (zone !== null) throw new Refusal('history', 'What lies in a zone does not stand on the counter.');
  if (counterSince > at) throw new Refusal('history', 'It cannot have stood out since a time to come.');
}

/** Stores one line: a lot and its packages. @throws Refusal */
export function storeLine(line: IntakeLine, world: StoringWorld): { lot: Lot; events: LedgerEvent[] } {
  checkLine(line);
  // What is cut, grated or cooked by its words is kept by that row, however it came in (L3b).
  const told = world.food(line.food);
  const food = preparedFood(told, line.called, (id) => world.food(id));
  const whole = line.history !== undefined;
  const history = lineHistory(line);
  const frozen = isFrozen(history);
  const warning = checkPlace(line, frozen, world);
  const usual = line.start.frozen ? 'carton' : frozen ? 'zip-bag' : null;
  const wrap = line.wrap ?? (whole ? null : usual);
  const { called, amount, unit, priceMinor, start, printed, blanched, code, cap } = line;
  checkOut(line, world.at);
  return storeLot(
    { food, called, amount, unit, priceMinor, start, printed, blanched, history, whole },
    splitEvenly(amount, line.packs).map((share) => ({
      amount: share,
      form: line.form,
      wrap,
      note: warnedNote(line.note, warning),
      zone: line.zone,
      counterSince: line.counterSince ?? null,
      ...{ code, cap },
    })),
    world,
  );
}
