import { parse } from 'csv-parse/sync';
import { instantInZone } from '../core/calendar/instantInZone';
import type { Reading } from '../core/model/cut';

/** What a log may be called by where it is from, in small letters. */
const COLUMNS = {
  time: ['time', 'at', 'date', 'datetime', 'date time', 'timestamp'],
  celsius: ['celsius', 'c', '°c', 'temperature', 'temperature_c', 'temp'],
  fahrenheit: ['fahrenheit', 'f', '°f', 'temperature_f'],
  compartment: ['compartment', 'appliance', 'place', 'name'],
} as const;
type Column = keyof typeof COLUMNS;

/** A line of a log that says nothing, and why. */
export interface BadLine {
  line: number;
  text: string;
  says: string;
}

/** What a log says, by what it calls its compartments. */
export interface LogReadings {
  parts: { name: string; readings: Reading[] }[];
  bad: BadLine[];
}

const MAX_BAD_LINES = 200;

/** An instant as a log writes it: with its zone, or in the household's; `null`: it is none. */
function readTime(text: string, timeZone: string, dateOrder: 'dmy' | 'mdy'): string | null {
  const plain = text.trim();
  const zoned = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?\s?(Z|[+-]\d\d:?\d\d)$/.test(plain);
  if (zoned) {
    const ms = Date.parse(plain.replace(' ', 'T').replace(/\s/, ''));
    return Number.isNaN(ms) ? null : new Date(ms).toISOString();
  }
  const found =
    /^(?:(\d{4})-(\d\d)-(\d\d)|(\d{1,2})[./](\d{1,2})[./](\d{4}))[T ,]+(\d{1,2}):(\d\d)(?::(\d\d))?$/.exec(
      plain,
    );
  if (!found) return null;
  const [, y, m, d, first = '', second = '', year, hour = '', minute = '', seconds = '0'] = found;
  const [day, month] = dateOrder === 'mdy' ? [second, first] : [first, second];
  const two = (figure: string): string => figure.padStart(2, '0');
  const date = y ? `${y}-${m}-${d}` : `${year}-${two(month)}-${two(day)}`;
  const isDate = !Number.isNaN(Date.parse(`${date}T00:00:00Z`)) && Number(hour) < 24 && Number(minute) < 60;
  if (!isDate) return null;
  const instant = instantInZone(date, `${two(hour)}:${minute}`, timeZone);
  return new Date(Date.parse(instant) + Number(seconds) * 1000).toISOString();
}

function readDegrees(text: string, fahrenheit: boolean): number | null {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (!/^[+-]?\d{1,3}(\.\d+)?$/.test(plain)) return null;
  const told = Number(plain);
  const celsius = fahrenheit ? ((told - 32) * 5) / 9 : told;
  return celsius < -60 || celsius > 120 ? null : Math.round(celsius * 100) / 100;
}

/** The separator that the first line is made of. */
function separatorOf(csv: string): string {
  const [first = ''] = csv.split(/\r?\n/, 1);
  const counts = [',', ';', '\t'].map((one) => [one, first.split(one).length] as const);
  return counts.sort((a, b) => b[1] - a[1])[0]?.[0] ?? ',';
}

/**
 * Reads a thermometer's log, comma, semicolon or tab separated.
 *
 * @param timeZone IANA name: of instants that name no zone @param dateOrder of days in figures
 */
export function logReadings(csv: string, timeZone: string, dateOrder: 'dmy' | 'mdy'): LogReadings {
  const rows = parse(csv, {
    bom: true,
    delimiter: separatorOf(csv.replace(/^\uFEFF/, '')),
    relax_column_count: true,
    relax_quotes: true,
    skip_empty_lines: true,
    info: true,
  }) as unknown as { record: string[]; info: { lines: number } }[];
  const header = (rows[0]?.record ?? []).map((name) => name.trim().toLowerCase());
  const at = (column: Column): number =>
    header.findIndex((name) => (COLUMNS[column] as readonly string[]).includes(name));
  const [timeAt, celsiusAt, fahrenheitAt, compartmentAt] = [
    at('time'),
    at('celsius'),
    at('fahrenheit'),
    at('compartment'),
  ];
  const degreesAt = celsiusAt >= 0 ? celsiusAt : fahrenheitAt;
  if (timeAt < 0 || degreesAt < 0) {
    const says = 'The first line names the columns: “time”, and “celsius” or “fahrenheit”.';
    return { parts: [], bad: [{ line: 1, text: header.join(', ').slice(0, 120), says }] };
  }
  const bad: BadLine[] = [];
  const byName = new Map<string, Reading[]>();
  for (const { record, info } of rows.slice(1)) {
    const time = readTime(record[timeAt] ?? '', timeZone, dateOrder);
    const c = readDegrees(record[degreesAt] ?? '', celsiusAt < 0);
    if (time === null || c === null) {
      const says = [
        ...(time === null ? ['its time cannot be read'] : []),
        ...(c === null ? ['its temperature cannot be read'] : []),
      ];
      bad.push({ line: info.lines, text: record.join(', ').slice(0, 120), says: `${says.join(', ')}.` });
      continue;
    }
    const name = (compartmentAt < 0 ? '' : (record[compartmentAt] ?? '')).trim();
    const its = byName.get(name);
    if (its) its.push({ at: time, c });
    else byName.set(name, [{ at: time, c }]);
  }
  return {
    parts: [...byName].map(([name, readings]) => ({ name, readings })),
    bad: bad.slice(0, MAX_BAD_LINES),
  };
}
