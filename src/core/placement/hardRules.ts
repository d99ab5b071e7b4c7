import { HAND_MM } from '../packaging/fit';
import { ownRule } from './ownRule';
import { isFreezerZone, keepsFrozen, type PlacingPackage, type PlacingZone, wouldFreeze } from './placing';

const tenths = (litres: number): number => Math.round(litres * 10) / 10;

/** Why a package may not lie in a zone. */
export interface PlacingRefusal {
  rule: 'P1' | 'P2' | 'P3' | 'P4' | 'P5' | 'P6';
  says: string;
}

const WARMEST_C = 4;
function temperatureFault({ food, state }: PlacingPackage, zone: PlacingZone): PlacingRefusal | null {
  const freezer = isFreezerZone(zone);
  if (state === 'frozen') {
    if (food.freezeFit === 'no') return { rule: 'P1', says: `${food.name} is not for freezing.` };
    if (!freezer) return { rule: 'P1', says: 'Frozen food lies in a freezer zone only.' };
    if (keepsFrozen(zone)) return null;
    return { rule: 'P1', says: `It is ${zone.temperatureC} °C there: too warm to keep food frozen.` };
  }
  if (freezer) return { rule: 'P1', says: 'Chilled food does not lie in a freezer zone.' };
  if (wouldFreeze(zone)) {
    return { rule: 'P1', says: `It is ${zone.temperatureC} °C there: chilled food would freeze.` };
  }
  if (!food.controlled) return null;
  if (zone.kind === 'door' && zone.temperatureC === null) {
    return {
      rule: 'P2',
      says: `${food.name} lies in a door only where it is measured at ${WARMEST_C} °C or colder.`,
    };
  }
  return zone.temperatureC !== null && zone.temperatureC > WARMEST_C
    ? {
        rule: 'P2',
        says: `${food.name} needs ${WARMEST_C} °C or colder; it is ${zone.temperatureC} °C there.`,
      }
    : null;
}

function ownRuleFault(
  { food }: PlacingPackage,
  { only, never, person = '' }: PlacingZone,
): PlacingRefusal | null {
  const against = ownRule(food, { only, never, person });
  return against === null ? null : { rule: 'P4', says: `This zone ${against}` };
}

/** True when a piece goes in, whichever way it is turned, with room for a hand beside and above it. */
export function fitsIn(rigidMm: readonly number[], zone: PlacingZone): boolean {
  const piece = [...rigidMm].sort((a, b) => a - b);
  const room = [
    zone.widthMm === null ? Infinity : zone.widthMm - HAND_MM,
    zone.depthMm ?? Infinity,
    zone.heightMm === null ? Infinity : zone.heightMm - HAND_MM,
  ].sort((a, b) => a - b);
  return piece.every((side, at) => side <= (room[at] ?? Infinity));
}

/**
 * Why a package may not lie in a zone by itself (RULES 4, the hard rules but for P3, which looks at neighbours); `null`
 * when it may.
 */
export function hardFault(found: PlacingPackage, zone: PlacingZone): PlacingRefusal | null {
  const fault = temperatureFault(found, zone) ?? ownRuleFault(found, zone);
  if (fault) return fault;
  if (found.rigidMm && !fitsIn(found.rigidMm, zone)) {
    return {
      rule: 'P6',
      says: `Its largest piece, ${found.rigidMm.join(' × ')} mm, does not go in with room for a hand.`,
    };
  }
  return found.litres > zone.freeLitres
    ? {
        rule: 'P5',
        says: `It needs ${tenths(found.litres)} litres; ${tenths(zone.freeLitres)} are free there.`,
      }
    : null;
}
