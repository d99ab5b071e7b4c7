import { addDays } from '@/core/calendar/calendarDate';
import { sayDueDate, sayFullDate } from '@/core/calendar/sayDate';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import type { Package } from '@/core/model/package';
import type { Eatable } from '@/core/keeping/mayEat';
import { readTold, type ToldPackage } from '@/store/feed';
import { type ToldNow, toldNow } from './toldNow';
import { readComing, readPlanned } from '@/store/today';
import { viewContext } from '../household/context';
import { readJobsOfTheDay } from '../today/jobs';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

/** A sheet that hangs on the door: A5, upright. */
const PAGE_MM = [148, 210] as const;
const EDGE = 12 * MM;
const MOST_TOLD = 400;
/** Codes that stand on one line. */
const MOST_CODES = 6;

interface SlipPart {
  title: string;
  lines: { words: string; more: string }[];
}

/** Packages of one food and day on one line: "Chicken stock, 8: 4.2 l". */
function linesOf(
  packages: readonly ToldPackage[],
  today: string,
  placeOf: (id: string | null) => string,
): SlipPart['lines'] {
  const groups = new Map<string, ToldPackage[]>();
  for (const found of packages) {
    const key = `${found.called}|${found.unit}|${found.state}`;
    groups.set(key, [...(groups.get(key) ?? []), found]);
  }
  return [...groups.values()].flatMap((group) => {
    const [first] = group;
    const last = group.at(-1);
    if (!first || !last) return [];
    const alike = group.every(({ amount }) => amount === first.amount);
    const amount = sayAmount(
      alike ? first.amount : group.reduce((sum, one) => sum + one.amount, 0),
      first.unit,
    );
    const words =
      group.length === 1
        ? amount
        : alike
          ? `${group.length} × ${amount}`
          : `${group.length}, together ${amount}`;
    const places = [...new Set(group.map(({ zoneId }) => placeOf(zoneId)))].join(', ');
    const days = [
      ...new Set([first, last].map(({ governingDate }) => sayDueDate(governingDate, today))),
    ].join(' to ');
    const codes = group.map(({ code }) => code);
    const named =
      codes.length > MOST_CODES
        ? [...codes.slice(0, MOST_CODES), `and ${codes.length - MOST_CODES} more`]
        : codes;
    return [{ words: `${first.called} ${words}`, more: `${places} · ${named.join(' ')} · ${days}` }];
  });
}

/** The parts of the slip in the order in which a morning goes: what must out, what was decided, tonight, the next days. */
function partsOf(
  asking: readonly ToldNow[],
  toEat: readonly ToldNow[],
  coming: readonly ToldNow[],
  today: string,
  placeOf: (id: string | null) => string,
): SlipPart[] {
  const of = (may: Eatable) => asking.filter((found) => found.may === may);
  const sound = (all: readonly ToldNow[]) => all.filter(({ may }) => may !== 'discard' && may !== 'ask');
  const rest = sound(asking);
  const until = (from: string, to: string): ToldPackage[] =>
    rest.filter(({ governingDate }) => governingDate >= from && governingDate <= to);
  const part = (title: string, packages: readonly ToldPackage[]): SlipPart => ({
    title,
    lines: linesOf(packages, today, placeOf),
  });
  return [
    part('Throw out', of('discard')),
    part('Decide at the outage desk', of('ask')),
    part('To be eaten, as decided', sound(toEat)),
    part('Look at first', until('', addDays(today, -1))),
    part('Eat tonight', until(today, today)),
    part('Tomorrow', until(addDays(today, 1), '9999-12-31')),
    part('In the next days', sound(coming)),
  ].filter(({ lines }) => lines.length > 0);
}

/** Line height, and how tall the parts of the slip are at full size, in points. */
const LEADING = 1.3;
const HEAD_PT = (17 + 9) * LEADING;
const TITLE_PT = 8 + 13 * LEADING;
const LINE_PT = (11 + 9) * LEADING + 3;
const FOOT_PT = 6 + 8.5 * LEADING;
/** Smaller than this nobody reads it in a dim kitchen: then it takes a second page. */
const LEAST_SCALE = 0.68;

const heightOf = (parts: readonly SlipPart[]): number =>
  HEAD_PT +
  FOOT_PT +
  parts.reduce((sum, { lines }) => sum + TITLE_PT + lines.length * LINE_PT, 0) +
  LINE_PT / 2;

/** A package as the slip tells it. */
const toTold = (found: Package): ToldPackage => ({ ...found, nearOn: '', askOn: '' });

/** The morning slip as PDF: what asks today, what was decided to be eaten, what comes, with boxes to tick, and the jobs of the day. */
export async function printSlip(): Promise<Buffer> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const scope = { today, limit: MOST_TOLD, zoneIds: null };
  const told = (await readTold(sql(), household.id, today, MOST_TOLD)).filter(({ askOn }) => askOn <= today);
  const [planned, coming] = await Promise.all([
    readPlanned(sql(), household.id, scope),
    readComing(sql(), household.id, { ...scope, frozen: false }),
  ]);
  const toEat = planned.filter(({ answer }) => answer?.what === 'eat-tonight' || answer?.what === 'plan');
  const places = new Map(kitchen.zones.map(({ id, name }) => [id, name]));
  const jobs = await readJobsOfTheDay(context);
  const parts = partsOf(
    await toldNow(context, told),
    await toldNow(context, toEat.map(toTold)),
    await toldNow(context, coming.map(toTold)),
    today,
    (id) => places.get(id ?? '') ?? 'out of the cold',
  );
  if (jobs.length > 0) {
    parts.push({
      title: 'Jobs',
      lines: jobs.map(({ says, due_words }) => ({ words: says, more: due_words })),
    });
  }
  const { document, page, done } = beginPaper('Orderly Frost morning slip', PAGE_MM, household.settings);
  const width = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  // One page on the door, whatever it takes: a long morning is written smaller, down to where it can still be read.
  const scale = Math.min(1, Math.max(LEAST_SCALE, (bottom - EDGE) / heightOf(parts)));
  let y = bottom + 1;
  const room = (needed: number): void => {
    if (y + needed * scale <= bottom) return;
    document.addPage(page);
    y = EDGE;
  };
  const write = (font: string, size: number, colour: string, words: string, indent = 0): void => {
    document
      .font(font)
      .fontSize(size * scale)
      .fillColor(colour);
    document.text(words, EDGE + indent, y, { width: width - indent, lineBreak: false, ellipsis: true });
    y += size * LEADING * scale;
  };
  room(60);
  write('heading', 17, PAPER_INK, sayFullDate(today).replace(/ \d{4}$/, ''));
  write('text', 9, PAPER_SLATE, `${household.name} · first out, oldest and shortest-dated first`);
  if (parts.length === 0) write('text', 12, PAPER_INK, 'Nothing presses today.');
  for (const { title, lines } of parts) {
    room(TITLE_PT + LINE_PT);
    y += 8 * scale;
    write('heading', 13, PAPER_INK, title);
    for (const { words, more } of lines) {
      room(LINE_PT);
      document
        .lineWidth(1)
        .strokeColor(PAPER_INK)
        .rect(EDGE, y + 1, 9 * scale, 9 * scale)
        .stroke();
      write('strong', 11, PAPER_INK, words, 16);
      write('text', 9, PAPER_SLATE, more, 16);
      y += 3 * scale;
    }
  }
  room(20);
  y += 6 * scale;
  write('text', 8.5, PAPER_SLATE, 'When in doubt, throw it out. Your local food-safety advice comes first.');
  document.end();
  return done;
}
