import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import { MOST_LINES } from '../../model/limits';
import { dequal } from 'dequal';
import { type HaulLine } from '../../model/haul';
import { Refusal } from '../../model/refusal';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import { lineEvent, openHaul, presentLine } from './haulWorld';
import { checkLeft, notAhead } from './leftCold';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** A line without what the ledger keeps of it. */
export type ToldLine = Omit<HaulLine, 'version' | 'packages'>;

/** What may still change of a packed line: where its packs are to lie. */
function withoutZones({ parts, ...line }: ToldLine): unknown {
  return { ...line, parts: parts.map(({ zone: _zone, ...part }) => part) };
}

/**
 * Adds a line to a haul, or changes one: saved as it goes, whatever state it is in; it is checked when it is packed.
 *
 * @param command.version the version the cook saw; `null`: a new line
 * @throws Refusal `haul` or `amount`, or StaleSetting when somebody else changed the line
 */
function setHaulLine(command: { line: ToldLine; version: number | null }, world: World): Decision {
  const { version } = command;
  const { outSince } = command.line;
  const line = { ...command.line, outSince: outSince === null ? null : notAhead(outSince, world) };
  openHaul(world, line.haul);
  const fault = amountFault(line.amount, line.unit);
  if (fault) throw new Refusal('amount', fault);
  const known = version === null ? null : world.haulLine(line.id);
  if (line.outSince !== null && line.outSince !== known?.outSince) checkLeft(line.outSince, world);
  if (line.start.on > world.nowOn) {
    throw new Refusal('haul', `${line.start.on} is still to come: it cannot have come in then.`);
  }
  const food = world.food(line.food);
  const called = line.called.trim() || food.name;
  const told = { ...line, food: food.id, called };
  const says = `${called} ${sayAmount(line.amount, line.unit)} on the bench.`;
  if (version === null) {
    if (world.haulLine(line.id)) throw new Refusal('haul', 'That line is in the haul already.');
    const { length } = world.haulLines(line.haul);
    if (length >= MOST_LINES)
      throw new Refusal('haul', `A haul has at most ${MOST_LINES} lines; begin another.`);
    const after: HaulLine = { ...told, packages: null, version: 1 };
    return wasSet(lineEvent('haul.line', null, after, says));
  }
  const before = presentLine(world, line.id, version);
  if (before.haul !== line.haul) throw new Refusal('haul', 'A line stays in its haul.');
  const { packages, version: _version, ...was } = before;
  if (packages !== null && !dequal(withoutZones(was), withoutZones(told))) {
    throw new Refusal('haul', `${called} is packed already; undo that to change it.`);
  }
  const after: HaulLine = { ...told, packages, version: version + 1 };
  return wasSet(lineEvent('haul.line', before, after, says));
}

export const setHaulLineCommand: CommandKind<{ line: ToldLine; version: number | null }> = {
  type: 'haul.line',
  may: HOUSEHOLD_MAY,
  unlisted: true,
  needs: ({ line: { id, haul } }) => ({ lines: [id], hauls: [haul] }),
  decide: setHaulLine,
};
