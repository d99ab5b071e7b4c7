import type { PrintedKind, Start, Wrap } from '../model/history';
import type { Form } from '../model/intakeLine';

/** Words of the quick line for the shape a pack is given. */
export const FORM_WORDS: Readonly<Record<string, Form>> = {
  flat: 'flat',
  block: 'block',
  whole: 'whole',
  loose: 'loose',
  cubes: 'cubes',
  cube: 'cubes',
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
  vac: 'vacuum',
  'vacuum-packed': 'vacuum',
  vacpacked: 'vacuum',
  zip: 'zip-bag',
  'zip-bag': 'zip-bag',
  bag: 'zip-bag',
  bags: 'zip-bag',
  bagged: 'zip-bag',
  'loose-bag': 'loose-bag',
  foil: 'foil',
  paper: 'paper',
  glass: 'glass',
  jar: 'jar',
  jars: 'jar',
  tub: 'tub',
  tubs: 'tub',
  box: 'tub',
  boxes: 'tub',
  tupperware: 'tub',
  carton: 'carton',
  cartons: 'carton',
  tray: 'shop-tray',
  trays: 'shop-tray',
};

/** Words for what happened, each with a date if it was not today. */
export const HAPPENED_WORDS: Readonly<Record<string, Start | 'opened' | 'frozen'>> = {
  bought: 'bought',
  got: 'bought',
  delivered: 'bought',
  cooked: 'cooked',
  baked: 'cooked',
  made: 'cooked',
  harvested: 'harvested',
  picked: 'harvested',
  caught: 'harvested',
  given: 'given',
  opened: 'opened',
  open: 'opened',
  frozen: 'frozen',
  froze: 'frozen',
};

/** Words for what came out of a shop's freezer. */
export const SHOP_FROZEN = ['shop-frozen', 'shopfrozen', 'bought-frozen', 'ready-frozen'];

/** Words before a printed date, longest first. "Expires" is taken as the safety date, the stricter of the two. */
export const PRINTED_WORDS: Readonly<Record<string, PrintedKind>> = {
  'best before end': 'best-before',
  'use by': 'use-by',
  'use before': 'use-by',
  'eat by': 'use-by',
  'best before': 'best-before',
  'best by': 'best-before',
  'best if used by': 'best-before',
  'sell by': 'sell-by',
  'display until': 'sell-by',
  'freeze by': 'freeze-by',
  expires: 'use-by',
  expiry: 'use-by',
  expiring: 'use-by',
  exp: 'use-by',
  useby: 'use-by',
  ub: 'use-by',
  bb: 'best-before',
  bbe: 'best-before',
  bbd: 'best-before',
  bbf: 'best-before',
};

/** Vessels that are counted: each is a package. `null`: it says nothing of what food is wrapped in here. */
export const VESSEL_WORDS: Readonly<Record<string, Wrap | null>> = {
  ...WRAP_WORDS,
  pot: null,
  pots: null,
  pack: null,
  packs: null,
  packet: null,
  packets: null,
  pkt: null,
  pkts: null,
  package: null,
  packages: null,
  tube: null,
  tubes: null,
  tin: null,
  tins: null,
  can: null,
  cans: null,
  bottle: null,
  bottles: null,
  container: null,
  containers: null,
  parcel: null,
  parcels: null,
  brick: null,
  bricks: null,
  pouch: null,
  pouches: null,
  sachet: null,
  sachets: null,
  net: null,
  nets: null,
  bowl: null,
  bowls: null,
  dish: null,
  dishes: null,
  block: null,
  blocks: null,
  log: null,
  logs: null,
  lot: null,
  lots: null,
};

/** Pieces as people say them: they lie together in one package. */
export const PIECE_WORDS: ReadonlySet<string> = new Set(
  `piece pieces pc pcs bunch bunches head heads loaf loaves fillet fillets filet filets rasher rashers slice slices punnet
  punnets sheet sheets stick sticks stalk stalks clove cloves bulb bulbs breast breasts thigh thighs leg legs wing wings
  drumstick drumsticks chop chops steak steaks cutlet cutlets joint joints rack racks patty patties ball balls link links
  ear ears cob cobs spear spears sprig sprigs wedge wedges ring rings side sides roll portion portions serving servings half halves`.split(
    /\s+/,
  ),
);

/** Words that say nothing. */
export const FILLER_WORDS: ReadonlySet<string> = new Set(
  `of a an the some and in with about approx approximately ca circa roughly around just please got have there is are
  we i our my it each ea apiece per more few several another put add store bit bits left`.split(/\s+/),
);

/** Number words of a kitchen. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
  half: 0.5,
  quarter: 0.25,
  couple: 2,
  pair: 2,
};

/** Parts of a measure, one of each. */
export const PARTS: Readonly<Record<string, number>> = { half: 1 / 2, third: 1 / 3, quarter: 1 / 4 };
