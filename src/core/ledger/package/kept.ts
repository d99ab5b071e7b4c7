import { sayPlainDate } from '../../calendar/sayDate';
import { freeAmount, promisesOf } from '../../firstout/promised';
import type { MealPromise } from '../../model/meal';
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
 * @param amount what is taken of it; `null`: all
 * @throws Refusal `promised`
 */
export function refusePromised(
  found: Package,
  promised: boolean | undefined,
  { today }: Pick<World, 'today'>,
  amount: number | null = null,
): void {
  if (promised) return;
  if (found.keptFor && isHandsOff(found, today))
    throw new Refusal('promised', `${found.called} ${found.code} is kept ${sayKept(found.keptFor)}.`);
  const promises = promisesOf(found, today);
  if (promises.length > 0 && (amount ?? found.amount) > freeAmount(found, today))
    throw new Refusal('promised', `${found.called} ${found.code} is ${sayPromised(promises)}.`);
}

/** "promised to Fish pie on 4 Dec 2026", "planned for 6 Dec 2026". */
export const sayPromised = (promises: readonly MealPromise[]): string =>
  promises
    .map(({ meal, name, on }) =>
      meal === '' ? `planned for ${sayPlainDate(on)}` : `promised to ${name} on ${sayPlainDate(on)}`,
    )
    .join(', ');
