import { sayFullDate } from '@/core/calendar/sayDate';
import { viewContext } from '../household/context';
import { readShopping } from '../shopping/shopping';
import { beginStrip } from './strip';

const BESIDE_BOX_PT = 18;

/** The shopping list on paper, in the order of the shop, with boxes to tick. */
export async function printShopping(): Promise<Buffer> {
  const { household, today } = await viewContext();
  const { lines, groups, total_words } = await readShopping();
  const strip = beginStrip('Orderly Frost shopping', household.settings);
  strip.write('heading', 15, 'Shopping');
  const total = total_words === '' ? '' : ` · ${total_words}`;
  strip.write('text', 8.5, `${household.name}, ${sayFullDate(today)}${total}`);
  const wanted = lines.filter(({ line }) => !line.ticked);
  for (const { id, name } of groups) {
    const its = wanted.filter(({ group }) => group === id);
    if (its.length === 0) continue;
    strip.space(7);
    strip.write('text', 9, name);
    for (const { words } of its) {
      strip.space(3);
      strip.write('heading', 12, words, BESIDE_BOX_PT);
      strip.box();
    }
  }
  if (wanted.length === 0) strip.write('text', 12, 'Nothing is on the list.');
  return strip.end();
}
