import { type OutageClass, isControlled, warmHoursOf } from '../model/outageClass';
import { ETHYLENE, FREEZE_FITS, type Food, HOMES, READINESS, RISKS, type Risk } from '../model/food';
import { foodKey } from './foodKey';
import { RowReader, type TableFault, type TableRow } from './readTable';

const FRACTIONS = ['water', 'protein', 'fat', 'carbohydrate', 'fibre', 'ash'] as const;
const FRACTION_SLACK = 0.002;

function readComposition(row: RowReader): Food['composition'] {
  const composition = { water: 0, protein: 0, fat: 0, carbohydrate: 0, fibre: 0, ash: 0 };
  let sum = 0;
  for (const part of FRACTIONS) {
    composition[part] = row.neededNumber(part, 0, 1);
    sum += composition[part];
  }
  if (Math.abs(sum - 1) > FRACTION_SLACK) {
    row.fault('water', `the fractions add up to ${sum.toFixed(4)}, not 1`);
  }
  return composition;
}

/** "chart; composition: approximate, after …" as its two sources. */
function readSources(cell: string): Pick<Food, 'source' | 'compositionSource'> {
  const parts = cell.split(';').map((part) => part.trim());
  const isComposition = (part: string): boolean => part.startsWith('composition:');
  return {
    source: parts.filter((part) => !isComposition(part)).join('; '),
    compositionSource: parts.filter(isComposition).join('; ').replace('composition: ', ''),
  };
}

function readFood(row: RowReader, classes: ReadonlyMap<string, OutageClass>): Food {
  const outageClass = row.needed('outage_class');
  const found = classes.get(outageClass);
  if (outageClass && !found) row.fault('outage_class', `there is no class "${outageClass}"`);
  const [fridgeDaysMin, fridgeDaysMax] = row.range('fridge_days', 'days', 1000);
  const [openedDaysMin, openedDaysMax] = row.range('opened_days', 'days', 1000);
  const [homeDaysMin, homeDaysMax] = row.range('home_days', 'days', 1000);
  const [freezerMonthsMin, freezerMonthsMax] = row.range('freezer_months', 'months', 120);
  const freezeFit = row.choice('freeze_fit', FREEZE_FITS);
  if (freezerMonthsMin === null && freezeFit !== 'no') {
    row.fault('freezer_months_min', 'may be empty only where freeze_fit is no');
  }
  const counterDaysMax = row.number('counter_days_max', 0, 1000);
  const controlled = found ? isControlled(found) : true;
  if (counterDaysMax !== null && controlled) {
    row.fault('counter_days_max', 'is never filled for a controlled food');
  }
  const blanchOptional = row.text('blanch_optional');
  if (!['', 'yes', 'no'].includes(blanchOptional)) {
    row.fault('blanch_optional', `"${blanchOptional}" is neither yes nor no`);
  }
  const notFor = row.list('not_for');
  for (const one of notFor)
    if (!(RISKS as readonly string[]).includes(one))
      row.fault('not_for', `"${one}" is none of ${RISKS.join(', ')}`);
  const unlessCooked = row.text('not_for_unless_cooked');
  if (!['', 'yes'].includes(unlessCooked) || (unlessCooked !== '' && notFor.length === 0))
    row.fault('not_for_unless_cooked', 'is yes, where not_for is filled, or empty');
  const id = row.needed('id');
  if (!/^[a-z0-9]+(-[a-z0-9]+)*$/.test(id)) row.fault('id', `"${id}" is not kebab-case`);
  return {
    id,
    name: row.needed('name'),
    aliases: row.list('aliases'),
    group: row.needed('group'),
    outageClass,
    controlled,
    dietTags: row.list('diet_tags'),
    readiness: row.choice('readiness', READINESS),
    fridgeDaysMin,
    fridgeDaysMax,
    homeDaysMin,
    homeDaysMax,
    openedDaysMin,
    openedDaysMax,
    thawedDays: row.number('thawed_days', 0, 1000),
    counterDaysMax,
    ...warmHoursOf(found),
    ...(notFor.length === 0 ? {} : { notFor: notFor as Risk[], cookingMends: unlessCooked === 'yes' }),
    freezerMonthsMin,
    freezerMonthsMax,
    freezeFit,
    freezePrep: row.list('freeze_prep'),
    blanchMinutes: row.number('blanch_minutes', 0, 60),
    blanchOptional: blanchOptional === '' ? null : blanchOptional === 'yes',
    unblanchedMonthsMax: row.number('unblanched_months_max', 0, 120),
    home: row.choice('home', HOMES),
    ethylene: row.choice('ethylene', ETHYLENE),
    composition: readComposition(row),
    freezingPointC: row.neededNumber('freezing_point_c', -60, -0.05),
    densityKgPerL: row.neededNumber('density_kg_per_l', 0.01, 3),
    ...readSources(row.needed('source')),
    note: row.text('note'),
  };
}

/**
 * Turns the rows of foods.csv into foods, and checks what a table cannot: classes that exist, minimum under maximum,
 * fractions that add up, and names and aliases that no two foods share (after case, plural and word order).
 *
 * @param rows cells by column, in file order; the first stands in row 2 of the file
 * @returns the foods, and every fault found; the foods are of use only when there is no fault
 */
export function readFoods(
  file: string,
  rows: readonly TableRow[],
  classes: ReadonlyMap<string, OutageClass>,
): { foods: Food[]; faults: TableFault[] } {
  const faults: TableFault[] = [];
  const foods: Food[] = [];
  const owners = new Map<string, { id: string; row: number }>();
  const ids = new Set<string>();
  rows.forEach((cells, at) => {
    const row = new RowReader(file, at + 2, cells, faults);
    const food = readFood(row, classes);
    if (ids.has(food.id)) row.fault('id', `"${food.id}" stands twice`);
    ids.add(food.id);
    [food.name, ...food.aliases].forEach((name, nth) => {
      const key = foodKey(name);
      const owner = owners.get(key);
      if (owner && owner.id !== food.id) {
        row.fault(nth === 0 ? 'name' : 'aliases', `"${name}" already names ${owner.id} (row ${owner.row})`);
      }
      owners.set(key, { id: food.id, row: at + 2 });
    });
    foods.push(food);
  });
  return { foods, faults };
}
