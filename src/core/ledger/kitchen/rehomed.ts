import { Refusal } from '../../model/refusal';
import { moveTo } from '../package/moveTo';
import type { LedgerEvent, Package } from '../../model/package';
import type { SettingEvent } from '../../model/setting';
import type { World } from '../../model/world';

/** Where the packages of a zone go that is drawn no more; `null`: to the counter. */
export interface Rehoming {
  zone: string;
  to: string | null;
}

const sayCount = (count: number): string => `${count} ${count === 1 ? 'package lies' : 'packages lie'}`;

/** Moves what lies in zones that are drawn no more. @throws Refusal `place` when nobody said where to */
export function rehomed(
  gone: ReadonlyMap<string, string>,
  lying: readonly Package[],
  rehome: readonly Rehoming[],
  after: World,
): LedgerEvent[] {
  const to = new Map(rehome.map((one) => [one.zone, one.to]));
  return lying.flatMap((found) => {
    const name = gone.get(found.zoneId ?? '');
    if (found.zoneId === null || name === undefined) return [];
    const target = to.get(found.zoneId);
    if (target === undefined || (target !== null && !after.hasZone(target))) {
      const count = lying.filter(({ zoneId }) => zoneId === found.zoneId).length;
      throw new Refusal(
        'place',
        `${sayCount(count)} in ${name}. Say where they go before it is taken out of the drawing.`,
      );
    }
    return [moveTo(found, target, after, true)];
  });
}

/** What was measured in zones that go, kept in the ledger so that it comes back with them. */
export function forgotten(gone: ReadonlyMap<string, string>, world: World): SettingEvent[] {
  return [...gone].flatMap(([id, name]): SettingEvent[] => {
    const value = world.measured(id);
    if (value === null) return [];
    return [
      {
        type: 'zone.measured',
        before: { kind: 'measured', subject: id, value },
        after: { kind: 'measured', subject: id, value: null },
        says: `${name} is drawn no more; it was at ${String(value.celsius).replace('-', '−')} °C.`,
      },
    ];
  });
}
