import { sayFullDate } from '@/core/calendar/sayDate';
import { isControlled, type OutageClass } from '@/core/model/outageClass';
import { publishedLimitHours } from '@/core/powercut/publishedLimit';
import { sayHours } from '@/core/powercut/sayCut';
import { viewContext } from '../household/context';
import { type DeskThing, readDesk } from '../outage/cutDesk';
import type { DeskPart } from '../outage/deskParts';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE, type PaperFont } from './paper';

const PAGE_MM = [210, 297] as const;
const EDGE = 11 * MM;
const READINGS = 5;
const BOX_PT = 22;
/** As large as the page allows; a stock that would not fit even small is cut off at the foot. */
const SCALES = [1.6, 1.5, 1.4, 1.3, 1.2, 1.1, 1, 0.9, 0.8, 0.7];
const LEAST_SCALE = 0.6;
const RULES = [
  'Leave doors shut. Write down when the power went and came back. Read thermometers early and late, mid-shelf, quickly.',
  'What you see or measure of a food beats a reading of the air; that beats the telltale; that beats the clock.',
  'Ice crystals, or 4.4 °C or colder in the middle: as “icy” below. Neither: as “thawed”, unless readings prove less than 2 h above 4.4 °C: then cook it now.',
  'Mould, slime, off smell, broken seal, raw juice or flood water on it: out. Never taste. When in doubt, throw it out.',
  'Babies, pregnant, old or ill people need more caution. Follow local food-safety advice. After FoodSafety.gov.',
] as const;
const TELLTALES =
  'Telltale: loose, sharp cubes: keep · rounded or wet, separate: as icy · water: as thawed · one block, or the coin sank: it thawed; out, unless readings say otherwise';

/** What is to be done with a class, told before anything happened. */
function groupOf({ state }: DeskThing, cold: DeskPart['kind'], its: OutageClass): string {
  if (cold === 'fridge')
    return isControlled(its)
      ? 'out after the limit, or 2 h above 4.4 °C'
      : its.fridgeVerdict === 'keep'
        ? 'keeps'
        : `out after ${its.fridgeLimitHours} h above ${its.fridgeThresholdC} °C`;
  if (state !== 'frozen') return 'not hard frozen: as in the fridge';
  if (its.freezerIcyVerdict === 'discard') return 'out once it softened';
  const icy = its.freezerIcyVerdict === 'refreeze' ? 'freeze again' : 'freeze again, with loss';
  return its.freezerThawedVerdict === 'discard' ? `icy: ${icy}; thawed: out` : `icy or thawed: ${icy}`;
}

/** Packages by what is to be done with them. */
function groupsOf(
  things: readonly DeskThing[],
  cold: DeskPart['kind'],
  classes: ReadonlyMap<string, OutageClass>,
): Map<string, DeskThing[]> {
  const groups = new Map<string, DeskThing[]>();
  for (const thing of things) {
    const its = classes.get(thing.class);
    if (!its) continue;
    const group = groupOf(thing, cold, its);
    groups.set(group, [...(groups.get(group) ?? []), thing]);
  }
  return groups;
}

/** "Mutton mince 500 g ×7" of packages alike, in the order given. */
function names(things: readonly DeskThing[]): string {
  const counts = new Map<string, number>();
  for (const { called, amount_words } of things) {
    const name = `${called} ${amount_words}`;
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return [...counts].map(([name, many]) => (many === 1 ? name : `${name} ×${many}`)).join(' · ');
}

/**
 * The paper card, one page of A4: what lies where by what is to be done with it, limits of each appliance, boxes for readings, the
 * telltale's key and the rules in words. It needs no power.
 */
export async function printCard(): Promise<Buffer> {
  const { household, today } = await viewContext();
  const view = await readDesk({});
  const { document, page, done } = beginPaper('Orderly Frost power cut card', PAGE_MM, household.settings);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  const degrees = household.settings.units === 'us' ? '°F' : '°C';
  const classes = new Map(view.classes.map((one) => [one.id, one]));
  const partOf = new Map(view.zones.map(({ id, part }) => [id, part]));
  const parts = view.parts.map((part) => ({
    part,
    groups: groupsOf(
      view.things.filter(({ zoneId }) => zoneId !== null && partOf.get(zoneId) === part.id),
      part.kind,
      classes,
    ),
  }));
  const layOut = (scale: number, draws: boolean): number => {
    let y = EDGE;
    const write = (words: string, size: number, font: PaperFont = 'text'): void => {
      document.font(font).fontSize(size * scale);
      const high = document.heightOfString(words, { width: wide });
      const room = Math.max(0, bottom - y);
      if (draws && room > size)
        document
          .fillColor(font === 'text' ? PAPER_SLATE : PAPER_INK)
          .text(words, EDGE, y, { width: wide, height: Math.min(high, room), ellipsis: true });
      y += high;
    };
    write('If the power goes', 17, 'heading');
    write(
      `${household.name} · stock of ${sayFullDate(today)}, ${view.things.length} packages · went off ____________   came back ____________`,
      8,
    );
    y += 4;
    for (const rule of RULES) write(`• ${rule}`, 7.5);
    write(TELLTALES, 7.5, 'strong');
    y += 4;
    for (const { part, groups } of parts) {
      const limit = publishedLimitHours({ kind: part.kind, fill: part.fill, doors: 'shut' });
      const many = [...groups.values()].reduce((sum, its) => sum + its.length, 0);
      write(
        `${part.called}: ${sayHours(limit)} with the door shut${part.kind === 'freezer' ? `, ${Math.round(part.fill * 100)} % full` : ''}; ${sayHours(limit / 2)} if opened often · ${many} packages`,
        9.5,
        'heading',
      );
      const box = (wide - 8) / READINGS;
      for (let at = 0; at < READINGS && draws && y + BOX_PT < bottom; at++) {
        document
          .rect(EDGE + at * box, y + 2, box - 4, BOX_PT - 4)
          .lineWidth(0.6)
          .stroke(PAPER_SLATE);
        document
          .font('text')
          .fontSize(7)
          .fillColor(PAPER_SLATE)
          .text(`at             ${degrees}`, EDGE + at * box + 4, y + 8, { width: box - 10, height: 9 });
      }
      y += BOX_PT;
      for (const [group, its] of groups) {
        write(`${group} (${its.length})`, 7.5, 'strong');
        write(names(its), 7.5);
      }
      y += 4;
    }
    return y;
  };
  document.addPage(page);
  const scale = SCALES.find((one) => layOut(one, false) <= bottom) ?? LEAST_SCALE;
  layOut(scale, true);
  document.end();
  return done;
}
