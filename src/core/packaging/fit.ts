import type { ZoneKind } from '../model/drawing';
import type { Container } from '../model/container';

/** Room for a hand where something must be gripped, mm (RULES 3). */
export const HAND_MM = 40;

/** Zones that are pulled out or lifted, so that one reaches in from above. */
const FROM_ABOVE: readonly ZoneKind[] = ['drawer', 'basket', 'bin', 'tray', 'layer'];

/** The inside of a zone, mm. */
export interface FitZone {
  kind: ZoneKind;
  widthMm: number;
  heightMm: number;
  depthMm: number;
}

/** Standing on its foot, or filed on edge like papers. */
export type Pose = 'standing' | 'filed';

/** One way to put containers of a kind into a zone. */
export interface Arrangement {
  pose: Pose;
  /** Outer measures as it stands: across, to the back, up. */
  acrossMm: number;
  backMm: number;
  upMm: number;
  across: number;
  deep: number;
  high: number;
  /** How many go in, of as many as there are. */
  total: number;
  litres: number;
}

/** Every way a container may stand: on its foot either way round; a bag, frozen flat, on edge too. */
export function posesOf({
  outerMm,
  rigid,
}: Container): Omit<Arrangement, 'across' | 'deep' | 'high' | 'total' | 'litres'>[] {
  const [long, wide, high] = outerMm;
  const pose = (kind: Pose, acrossMm: number, backMm: number, upMm: number) => ({
    pose: kind,
    acrossMm,
    backMm,
    upMm,
  });
  const standing = [pose('standing', long, wide, high), pose('standing', wide, long, high)];
  if (rigid) return standing;
  return [
    ...standing,
    pose('filed', high, long, wide),
    pose('filed', high, wide, long),
    pose('filed', long, high, wide),
    pose('filed', wide, high, long),
  ];
}

/** What is left of the width and the height once a hand has room: beside what does not give, and above it on a shelf. */
export function roomForHand(zone: FitZone, rigid: boolean): { acrossMm: number; upMm: number } {
  return {
    acrossMm: zone.widthMm - (rigid ? HAND_MM : 0),
    upMm: zone.heightMm - (FROM_ABOVE.includes(zone.kind) ? 0 : HAND_MM),
  };
}

/** How many may stand on each other: only what is closed and keeps its shape carries; what is filed stands alone. */
function stacks({ rigid, lid }: Container, pose: Pose, room: number, upMm: number): number {
  const most = Math.floor(room / upMm);
  if (pose === 'filed' || (rigid && !lid)) return Math.min(1, most);
  return most;
}

/**
 * How containers of a kind go into a zone: across, to the back and on top of each other, with room for a hand. The best way
 * first; empty when none goes in.
 */
export function fitContainer(zone: FitZone, container: Container): Arrangement[] {
  const room = roomForHand(zone, container.rigid);
  return posesOf(container)
    .map((pose): Arrangement => {
      const across = Math.floor(room.acrossMm / pose.acrossMm);
      const deep = Math.floor(zone.depthMm / pose.backMm);
      const high = stacks(container, pose.pose, room.upMm, pose.upMm);
      const total = Math.max(0, Math.min(container.count, across * deep * high));
      return { ...pose, across, deep, high, total, litres: total * container.litres };
    })
    .filter(({ total }) => total > 0)
    .sort((a, b) => b.total - a.total || b.across * b.deep * b.high - a.across * a.deep * a.high);
}

/** Why none goes in: the measure that is too small, as a sentence. */
export function whyNot(zone: FitZone, container: Container): string {
  const room = roomForHand(zone, container.rigid);
  const [least = 0, middle = 0] = [...container.outerMm].sort((a, b) => a - b);
  if (room.upMm < least || (container.rigid && room.upMm < container.outerMm[2])) {
    return `${container.name} is ${container.outerMm[2]} mm high; ${Math.max(0, room.upMm)} mm are free, a hand counted in.`;
  }
  if (room.acrossMm < least) {
    return `${container.name} needs ${least} mm across; ${Math.max(0, room.acrossMm)} mm are free beside a hand.`;
  }
  return `${container.name} needs ${middle} mm to the back or across; the zone is ${zone.depthMm} mm deep.`;
}

/** Rounding of feet and lids, mm. */
const LEDGE_MM = 5;

/** Whether one container may stand on another, and why not. */
export function mayStandOn(upper: Container, lower: Container): { may: boolean; says: string } {
  const no = (says: string) => ({ may: false, says });
  if (!lower.rigid) return no(`${lower.name} gives way`);
  if (!lower.lid) return no(`${lower.name} has no lid`);
  const fits = (a: number, b: number): boolean =>
    a <= lower.outerMm[0] + LEDGE_MM && b <= lower.outerMm[1] + LEDGE_MM;
  const [long, wide] = upper.outerMm;
  if (!fits(long, wide) && !fits(wide, long)) return no(`${upper.name} is wider than ${lower.name}`);
  if (upper.litres > lower.litres) return no(`${upper.name} is the heavier one`);
  return { may: true, says: `${upper.name} stands on ${lower.name}` };
}
