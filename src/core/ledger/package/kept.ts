import { sayPlainDate } from '../../calendar/sayDate';
import { Refusal } from '../../model/refusal';
import type { KeptFor, Package } from '../../model/package';
import type { World } from '../../model/world';

/** "for Gran Morag, on Friday 4 December". */
export function sayKept({ whose, on }: KeptFor): string {
  const who = whose === '' ? '' : `for ${whose}`;
  const when = on === null ? '' : `on ${sayPlainDate(on)}`;
  return [who, when].filter((words) => words !== '').join(', ');
}

/** True while nobody should take it unasked: hands off, and its day has not gone by. */
export const isHandsOff = ({ keptFor }: Pick<Package, 'keptFor'>, today: string): boolean =>
  keptFor?.handsOff === true && (keptFor.on === null || keptFor.on >= today);

/**
 * What is kept for somebody is asked about before it goes.
 *
 * @param promised the cook was asked, and takes it all the same
 * @throws Refusal `promised`
 */
export function refusePromised(
  found: Package,
  promised: boolean | undefined,
  { today }: Pick<World, 'today'>,
): void {
  if (promised || !found.keptFor || !isHandsOff(found, today)) return;
  throw new Refusal('promised', `${found.called} ${found.code} is kept ${sayKept(found.keptFor)}.`);
}
