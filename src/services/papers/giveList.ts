import { sayFullDate } from '@/core/calendar/sayDate';
import { viewContext } from '../household/context';
import { readLeaving } from '../leaving/leaving';
import { beginStrip } from './strip';

/** What may be given away on paper: what it is, until when, and whether a food pantry takes it. */
export async function printGiveList(): Promise<Buffer> {
  const { household, today } = await viewContext();
  const { give } = await readLeaving();
  const strip = beginStrip('Orderly Frost to give away', household.settings);
  strip.write('heading', 15, 'To give away');
  strip.write('text', 8.5, `${household.name}, ${sayFullDate(today)} · closed, sound, kept cold until now`);
  for (const one of give) {
    const many = one.alike > 1;
    strip.space(6);
    strip.write('heading', 12, `${one.called} ${many ? `${one.alike} × ` : ''}${one.amount_words}`);
    const who = one.pantry ? 'a food pantry takes its kind' : `neighbours only: ${one.why}`;
    strip.write('text', 9, `${many ? '' : `${one.code} · `}eat by ${sayFullDate(one.until)} · ${who}`);
  }
  if (give.length === 0) strip.write('text', 12, 'Nothing is to be given away.');
  strip.space(8);
  strip.write(
    'text',
    8.5,
    'Keep it cold on the way. When in doubt, throw it out. Ask the pantry what it takes.',
  );
  return strip.end();
}
