import { ourWording } from '../household/inOurUnits';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

const PAGE_MM = [210, 297] as const;
const EDGE = 16 * MM;

/** What a newcomer needs on the kitchen door; each part a title and its lines. */
const PARTS: readonly (readonly [title: string, lines: readonly string[]])[] = [
  [
    'Put in',
    [
      'Type a line at the bottom, in any order: 500 g mince / 4 > layer 1.',
      'Counts and vessels: 3 lemons; 6 x 90 g burgers; 5 boxes of broth 300 ml each; a dozen eggs.',
      'Dates: yesterday, last Friday, 14.11., Nov 14; printed: use by 3 dec, bb 14/12, exp 3 dec.',
      'Ages nobody dated: since spring, xmas, 2 months, no idea. They count from the earliest day they can mean.',
      'What the line asks is answered by Enter for the first choice, Alt and a figure for another.',
    ],
  ],
  [
    'Take out',
    [
      'Today says what to eat tonight and where it lies. Take is one press; everything can be undone.',
      'At the line: take 200 g cheddar; take 3 stew; open milk; where is the butter; undo.',
    ],
  ],
  [
    'Each day',
    [
      'What is past, due today or tomorrow asks for an answer: e eat tonight, p plan, f freeze, c cook, g give, b bin, i looked, fine.',
      'Arrows go along the list; x ticks several, to answer them together; a answers as last time.',
      'On Saturdays each freezer asks once for all that comes near its date.',
    ],
  ],
  [
    'Safe',
    [
      'Two hours out of the cold in all, one above 32 °C. Freezing does not set the minutes back.',
      'Thaw in the fridge on a plate, low down; never on the counter.',
      'Every date opens its trail: the rules that made it, and their source.',
      'After a power cut go to Outage. When in doubt, throw it out; your local food-safety advice comes first.',
    ],
  ],
];

/** The guide on one page, A4, as PDF. */
export async function printGuide(): Promise<Buffer> {
  const { document, page, done } = beginPaper('Orderly Frost guide', PAGE_MM, await ourWording());
  document.addPage(page);
  const width = PAGE_MM[0] * MM - 2 * EDGE;
  document.font('heading').fontSize(26).fillColor(PAPER_INK).text('Orderly Frost', EDGE, EDGE, { width });
  document.font('text').fontSize(12).fillColor(PAPER_SLATE).text('The guide on one page', { width });
  for (const [title, lines] of PARTS) {
    document.moveDown(0.8).font('heading').fontSize(16).fillColor(PAPER_INK).text(title, { width });
    for (const line of lines) document.moveDown(0.25).font('text').fontSize(12.5).text(line, { width });
  }
  document.end();
  return done;
}
