import type { PrintedKind, Start, Wrap } from '../model/history';
import type { Form } from '../model/intakeLine';

/** Words of the quick line for the shape a pack is given. */
export const FORM_WORDS: Readonly<Record<string, Form>> = {
  flat: 'flat',
  block: 'block',
  whole: 'whole',
  loose: 'loose',
  cubes: 'cubes',
  slices: 'slices',
  sliced: 'slices',
  log: 'log',
  logs: 'log',
  meatballs: 'meatballs',
  patties: 'patties',
  scored: 'scored',
  rolled: 'rolled',
  pot: 'pot',
};

/** Words for what it is packed in. */
export const WRAP_WORDS: Readonly<Record<string, Wrap>> = {
  vacuum: 'vacuum',
  zip: 'zip-bag',
  'zip-bag': 'zip-bag',
  bag: 'zip-bag',
  bags: 'zip-bag',
  'loose-bag': 'loose-bag',
  foil: 'foil',
  paper: 'paper',
  glass: 'glass',
  jar: 'jar',
  jars: 'jar',
  tub: 'tub',
  tubs: 'tub',
  carton: 'carton',
  cartons: 'carton',
  tray: 'shop-tray',
  trays: 'shop-tray',
};

/** Words for what happened, each with a date if it was not today. */
export const HAPPENED_WORDS: Readonly<Record<string, Start | 'opened' | 'frozen'>> = {
  bought: 'bought',
  cooked: 'cooked',
  baked: 'cooked',
  made: 'cooked',
  harvested: 'harvested',
  picked: 'harvested',
  given: 'given',
  opened: 'opened',
  open: 'opened',
  frozen: 'frozen',
};

/** Words for what came out of a shop's freezer. */
export const SHOP_FROZEN = ['shop-frozen', 'shopfrozen', 'bought-frozen', 'ready-frozen'];

/** First and second word of a printed date. */
export const PRINTED_WORDS: Readonly<Record<string, PrintedKind>> = {
  'use by': 'use-by',
  'best before': 'best-before',
  'best by': 'best-before',
  'sell by': 'sell-by',
  'freeze by': 'freeze-by',
};
