import { addDays } from '@/core/calendar/calendarDate';
import { sayDueDate, sayFullDate } from '@/core/calendar/sayDate';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readTold, type ToldPackage } from '@/store/feed';
import { viewContext } from '../household/context';
import { readJobsOfTheDay } from '../today/jobs';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

/** A sheet that hangs on the door: A5, upright. */
const PAGE_MM = [148, 210] as const;
const EDGE = 12 * MM;
const MOST_TOLD = 400;
const SOON_DAYS = 3;

interface SlipPart {
  title: string;
  lines: { words: string; more: string }[];
}

/** The parts of the slip in the order in which a morning goes: what must out, tonight, the next days, jobs. */
function partsOf(
  packages: readonly ToldPackage[],
  today: string,
  placeOf: (id: string | null) => string,
): SlipPart[] {
  const line = (found: ToldPackage) => ({
    words: `${found.called} ${sayAmount(found.amount, found.unit)}`,
    more: `${placeOf(found.zoneId)} · ${found.code} · ${sayDueDate(found.governingDate, today)}`,
  });
  const out = packages.filter(({ condemned, useBy }) => condemned || (useBy !== null && useBy < today));
  const rest = packages.filter((found) => !out.includes(found));
  const soon = addDays(today, SOON_DAYS);
  const until = (from: string, to: string): ToldPackage[] =>
    rest.filter(({ governingDate }) => governingDate >= from && governingDate <= to);
  return [
    { title: 'Throw out', lines: out.map(line) },
    { title: 'Look at first', lines: until('', addDays(today, -1)).map(line) },
    { title: 'Eat tonight', lines: until(today, today).map(line) },
    { title: 'In the next three days', lines: until(addDays(today, 1), soon).map(line) },
    { title: 'Coming near', lines: rest.filter(({ governingDate }) => governingDate > soon).map(line) },
  ].filter(({ lines }) => lines.length > 0);
}

/** The morning slip as PDF: what asks today, with boxes to tick, and the jobs of the day. */
export async function printSlip(): Promise<Buffer> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const packages = (await readTold(sql(), household.id, today, MOST_TOLD)).filter(
    ({ askOn }) => askOn <= today,
  );
  const places = new Map(kitchen.zones.map(({ id, name }) => [id, name]));
  const jobs = await readJobsOfTheDay(context);
  const parts = partsOf(packages, today, (id) => places.get(id ?? '') ?? 'out of the cold');
  if (jobs.length > 0) {
    parts.push({
      title: 'Jobs',
      lines: jobs.map(({ says, due_words }) => ({ words: says, more: due_words })),
    });
  }
  const { document, page, done } = beginPaper('Orderly Frost morning slip', PAGE_MM);
  const width = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  let y = bottom + 1;
  const room = (needed: number): void => {
    if (y + needed <= bottom) return;
    document.addPage(page);
    y = EDGE;
  };
  const write = (font: string, size: number, colour: string, words: string, indent = 0): void => {
    document.font(font).fontSize(size).fillColor(colour);
    document.text(words, EDGE + indent, y, { width: width - indent, lineBreak: false, ellipsis: true });
    y += size * 1.3;
  };
  room(60);
  write('heading', 17, PAPER_INK, sayFullDate(today).replace(/ \d{4}$/, ''));
  write('text', 9, PAPER_SLATE, `${household.name} · first out, oldest and shortest-dated first`);
  if (parts.length === 0) write('text', 12, PAPER_INK, 'Nothing presses today.');
  for (const { title, lines } of parts) {
    room(52);
    y += 8;
    write('heading', 13, PAPER_INK, title);
    for (const { words, more } of lines) {
      room(30);
      document
        .lineWidth(1)
        .strokeColor(PAPER_INK)
        .rect(EDGE, y + 1, 9, 9)
        .stroke();
      write('strong', 11, PAPER_INK, words, 16);
      write('text', 9, PAPER_SLATE, more, 16);
      y += 3;
    }
  }
  room(20);
  y += 6;
  write('text', 8.5, PAPER_SLATE, 'When in doubt, throw it out. Your local food-safety advice comes first.');
  document.end();
  return done;
}
