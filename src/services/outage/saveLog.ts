import { stringify } from 'csv-stringify/sync';
import { addDays } from '@/core/calendar/calendarDate';
import { now } from '../door/clock';
import { asWords } from '../exchange/cells';
import { wholeLog } from './thermometers';

/** The logs of all thermometers as comma separated values, as they are read in again: time (UTC), compartment, °C. */
export async function saveLog({ days = 31 }: { days?: number }): Promise<Buffer> {
  const today = now().slice(0, 10);
  const logs = await wholeLog({ from: addDays(today, -days), to: today });
  const table = logs.flatMap(({ called, readings }) => readings.map(({ at, c }) => [at, asWords(called), c]));
  return Buffer.from(stringify([['time', 'compartment', 'celsius'], ...table], { bom: true }));
}
