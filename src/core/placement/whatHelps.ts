import { HAND_MM } from '../packaging/fit';
import { fitsIn, hardFault, type PlacingRefusal } from './hardRules';
import type { PlacingPackage, PlacingZone } from './placing';

const round = (litres: number): number => Math.round(litres * 10) / 10;

/**
 * What would make a package fit that got no place: smaller packs over several zones, out of its carton, room made where most is
 * free, a tray under raw food. In words, the easiest first; empty when only another zone would help.
 *
 * @param freeLitres what is left of each zone once everything else has its place, by zone id
 */
export function whatHelps(
  found: PlacingPackage,
  refusal: PlacingRefusal,
  zones: readonly PlacingZone[],
  freeLitres: ReadonlyMap<string, number>,
): string[] {
  const free = (zone: PlacingZone): number => freeLitres.get(zone.id) ?? zone.freeLitres;
  const roomless = { ...found, litres: 0 };
  const legal = zones.filter((zone) => hardFault(roomless, zone) === null).sort((a, b) => free(b) - free(a));
  const shapeless = zones.filter((zone) => hardFault({ ...roomless, rigidMm: null }, zone) === null);
  const helps: string[] = [];
  const total = legal.reduce((sum, zone) => sum + Math.max(0, free(zone)), 0);
  const [most] = legal;
  if (refusal.rule === 'P3')
    helps.push('Put what is raw into a leak-proof tray or bin, or at the very bottom.');
  if (most && total >= found.litres && free(most) < found.litres) {
    const parts: string[] = [];
    let rest = found.litres;
    for (const zone of legal) {
      const part = Math.min(rest, free(zone));
      if (part <= 0) break;
      parts.push(`${round(part)} l in ${zone.id}`);
      rest -= part;
    }
    helps.push(`Repack it smaller: ${parts.join(', ')}.`);
  } else if (most && total < found.litres) {
    helps.push(
      `Make ${round(found.litres - Math.max(0, free(most)))} litres of room in ${most.id}: eat something from there tonight, or move it.`,
    );
  }
  if (found.rigidMm && legal.length === 0 && shapeless.length > 0) {
    const [zone] = [...shapeless].sort((a, b) => (b.widthMm ?? 0) - (a.widthMm ?? 0));
    if (zone && !fitsIn(found.rigidMm, zone)) {
      helps.push(
        `Take it out of its carton: in ${zone.id} a piece may be ${(zone.widthMm ?? 0) - HAND_MM} mm across and ${(zone.heightMm ?? 0) - HAND_MM} mm high.`,
      );
    }
  }
  if (refusal.rule === 'P2') helps.push('Measure the zone: at 4 °C or colder it may lie there.');
  return helps;
}
