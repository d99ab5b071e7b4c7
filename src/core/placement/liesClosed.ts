import type { Food } from '../model/food';
import type { Wrap } from '../model/history';

/** Sold without a pack as a rule. */
const LOOSE: ReadonlySet<string> = new Set(['fruit', 'vegetable', 'herb', 'bread-bake']);
/** How a shop closes things; what is packed at home is not taken for tight, but for a jar. */
const SHOP_WRAPS: ReadonlySet<Wrap | null> = new Set<Wrap | null>([
  null,
  'carton',
  'shop-tray',
  'vacuum',
  'jar',
]);

/**
 * True for what lies closed: a bottle, a jar, a pack from the shop that nobody opened. Raw juice does it no harm (RULES 4).
 *
 * @param did how it came @param loose sold over a counter
 */
export const liesClosed = (
  { opened, wrap, did, loose }: { opened: boolean; wrap: Wrap | null; did: string; loose: boolean },
  { group }: Pick<Food, 'group'>,
): boolean =>
  !opened && (wrap === 'jar' || (did === 'bought' && !loose && !LOOSE.has(group) && SHOP_WRAPS.has(wrap)));
