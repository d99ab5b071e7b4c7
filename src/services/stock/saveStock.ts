import { stringify } from 'csv-stringify/sync';
import { asWords } from '../exchange/cells';
import { viewContext } from '../household/context';
import { askStock, type StockAsk } from './askStock';
import { placeNames } from './placeNames';

/** The packages that are asked for as comma separated values: amounts in grams, millilitres or pieces, dates as ISO 8601. */
export async function saveStock(query: StockAsk): Promise<Buffer> {
  const context = await viewContext();
  const { household, kitchen, reference, mayEat } = context;
  const { rows } = await askStock(context, query);
  const placeOf = placeNames(kitchen);
  const table = rows.map((row) => ({
    code: row.code,
    name: asWords(row.called),
    judged_as: reference.byId.get(row.foodId)?.name ?? row.foodId,
    amount: row.amount,
    unit: row.unit,
    state: row.state,
    opened: row.opened ? 'yes' : 'no',
    place: asWords(placeOf(row.zoneId)),
    start: row.startOn,
    date: row.governingDate,
    kind: row.governingKind,
    not_for_eating: mayEat(row).may === 'discard' ? 'yes' : 'no',
    price: row.priceMinor === null ? '' : (row.priceMinor / 100).toFixed(2),
    currency: household.currency,
    whose: asWords(row.whose),
    note: asWords(row.note),
  }));
  // With a mark of its encoding, so that a spreadsheet reads every letter.
  return Buffer.from(
    stringify(table, { header: true, bom: true, columns: Object.keys(table[0] ?? { code: '' }) }),
  );
}
