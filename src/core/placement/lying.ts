import { mayDrip } from './neighbours';
import type { Possible } from './placementModel';
import { isExposed, isRaw, type PlacingPackage, type PlacingZone } from './placing';

/** Room that rounding leaves, litres. */
const HAIR = 1e-9;

/** Packages lying in zones while a good placement is looked for; a package may lie only where room and P3 let it. */
export class Lying {
  /** For each package the possible it took; `null`: none yet. */
  readonly took: (Possible | null)[];
  private readonly free: number[];
  private readonly litres: number[];
  private readonly raw: boolean[];
  private readonly exposed: boolean[];
  /** How many raw and how many exposed packages lie in each zone. */
  private readonly rawIn: number[];
  private readonly exposedIn: number[];
  /** Zones that raw juice in a zone could reach, and zones whose raw juice could reach it. */
  private readonly below: number[][];
  private readonly above: number[][];

  constructor(zones: readonly PlacingZone[], packages: readonly PlacingPackage[]) {
    this.took = packages.map(() => null);
    this.free = zones.map(({ freeLitres }) => freeLitres);
    this.litres = packages.map(({ litres }) => litres);
    this.raw = packages.map(({ food }) => isRaw(food));
    this.exposed = packages.map(isExposed);
    this.rawIn = zones.map(() => 0);
    this.exposedIn = zones.map(() => 0);
    const reached = (is: (a: PlacingZone, b: PlacingZone) => boolean): number[][] =>
      zones.map((a) => zones.flatMap((b, at) => (is(a, b) ? [at] : [])));
    this.below = reached((a, b) => mayDrip(a, b));
    this.above = reached((a, b) => mayDrip(b, a));
  }

  /** True when the package may lie there beside all that lies already (P3, P5). */
  mayTake({ package: at, zone }: Possible): boolean {
    if ((this.litres[at] ?? 0) > (this.free[zone] ?? 0) + HAIR) return false;
    if (this.raw[at] && this.below[zone]?.some((other) => (this.exposedIn[other] ?? 0) > 0)) return false;
    return !(this.exposed[at] && this.above[zone]?.some((other) => (this.rawIn[other] ?? 0) > 0));
  }

  take(one: Possible): void {
    this.took[one.package] = one;
    this.change(one, 1);
  }

  /** Takes a package out again. @returns where it lay; `null`: nowhere */
  drop(at: number): Possible | null {
    const one = this.took[at] ?? null;
    if (one === null) return null;
    this.took[at] = null;
    this.change(one, -1);
    return one;
  }

  private change({ package: at, zone }: Possible, by: 1 | -1): void {
    this.free[zone] = (this.free[zone] ?? 0) - by * (this.litres[at] ?? 0);
    if (this.raw[at]) this.rawIn[zone] = (this.rawIn[zone] ?? 0) + by;
    if (this.exposed[at]) this.exposedIn[zone] = (this.exposedIn[zone] ?? 0) + by;
  }
}
