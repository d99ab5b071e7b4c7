import { HOUSEHOLD_MAY } from '../../model/role';
import { Refusal } from '../../model/refusal';
import type { IntakeLine } from '../../model/intakeLine';
import type { LedgerEvent, Lot } from '../../model/package';
import type { StoringWorld } from '../package/storeLot';
import { storeLine } from '../package/storeLine';
import type { CommandKind } from '../../model/command';
import { sayPackSizes } from '../../portions/sayPackSizes';

/**
 * Stores a haul: every line becomes a lot and its packages, dated and coded.
 *
 * @throws Refusal with the rule and, from the second line on, the line's number; nothing of the haul is stored then
 */
export function storeHaul(
  lines: readonly IntakeLine[],
  world: StoringWorld,
): { lots: Lot[]; events: LedgerEvent[] } {
  const lots: Lot[] = [];
  const events: LedgerEvent[] = [];
  lines.forEach((line, at) => {
    try {
      const stored = storeLine(line, world);
      lots.push(stored.lot);
      events.push(...stored.events);
    } catch (error) {
      if (error instanceof Refusal && lines.length > 1)
        throw new Refusal(error.rule, `Line ${at + 1}: ${error.says}`);
      throw error;
    }
  });
  return { lots, events };
}

export const storeHaulCommand: CommandKind<{ lines: IntakeLine[] }> = {
  type: 'haul.store',
  may: HOUSEHOLD_MAY,
  needs: ({ lines }) => ({
    newCodes: lines.reduce((sum, { packs, code }) => sum + (code === undefined ? packs : 0), 0),
    keptCodes: lines.flatMap(({ code }) => code ?? []),
  }),
  decide: ({ lines }, world) => ({ ...storeHaul(lines, world), settings: [] }),
  says: ({ lots, events }) => {
    const told = lots.slice(0, 6).map((lot) => {
      const packs = events.filter(({ after }) => after.lotId === lot.id);
      const called = packs[0]?.after.called ?? '';
      const size = sayPackSizes(lot.amount, packs.length, lot.unit);
      return `${called} ${packs.length > 1 ? `${packs.length} × ` : ''}${size}`;
    });
    const out = events.length > 0 && events.every(({ after }) => after.zoneId === null);
    return `${out ? 'On the counter: ' : 'Stored '}${told.join(', ')}${lots.length > 6 ? ` and ${lots.length - 6} more` : ''}.`;
  },
};
