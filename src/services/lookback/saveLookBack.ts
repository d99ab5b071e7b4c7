import Joi from 'joi';
import { stringify } from 'csv-stringify/sync';
import { Problem } from '../door/problem';
import { asWords } from '../exchange/cells';
import { readLookBack } from './lookBack';

export const chartSchema = Joi.object({
  chart: Joi.string()
    .pattern(/^[a-z-]{1,20}$/)
    .required()
    .description('reason, food, zone, month, age or fill'),
});

/** The figures of one chart as CSV: grams, litres, minor units of money, counts. @throws Problem 404 */
export async function saveLookBack({ chart: id }: { chart: string }): Promise<Buffer> {
  const { charts } = await readLookBack();
  const chart = charts.find((one) => one.id === id);
  if (!chart) throw new Problem(404, 'not-found', 'There is no such chart.');
  const head = ['', ...chart.series.map(({ name, unit }) => `${name.toLowerCase()}_${unit}`)];
  const rows = chart.labels.map((label, at) => [
    asWords(label),
    ...chart.series.map(({ values }) => values[at] ?? 0),
  ]);
  return Buffer.from(stringify([head, ...rows], { bom: true }));
}
