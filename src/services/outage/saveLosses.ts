import { stringify } from 'csv-stringify/sync';
import { asWords } from '../exchange/cells';
import { readLosses } from './losses';

const COLUMNS = [
  'code',
  'name',
  'amount',
  'unit',
  'price',
  'currency',
  'rule',
  'evidence',
  'lost_at',
] as const;

/** What was lost in a cut as comma separated values, for an insurer. */
export async function saveLosses(query: { cut: string }): Promise<Buffer> {
  const { household, things } = await readLosses(query);
  const table = things.map((one) => ({
    code: one.code,
    name: asWords(one.called),
    amount: one.amount,
    unit: one.unit,
    price: one.priceMinor === null ? '' : (one.priceMinor / 100).toFixed(2),
    currency: household.currency,
    rule: one.rule,
    evidence: one.evidence,
    lost_at: one.on,
  }));
  return Buffer.from(stringify(table, { header: true, bom: true, columns: [...COLUMNS] }));
}
