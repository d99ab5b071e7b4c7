import type { Container } from '@/core/model/container';
import type { KitchenZone, LyingPackage } from '@/core/placement/lyingPackage';
import type { PlacedFood } from '@/core/placement/placing';
import { type HaulGroup, somePacks, toPlacing } from './haulGroups';
import { solvePlacement } from '../calculators/solvePlacement';

/** Packs that were given a place together, or none. */
export interface Placed {
  group: HaulGroup;
  zone: KitchenZone | null;
  reasons: string[];
  refused: { rule: string; says: string; helps: string[] } | null;
  /** It stays where it was told; what would be proposed now. */
  changed?: string;
}

/** A kitchen while a haul is placed into it: what is placed takes room, and is there for what comes after. */
export class Placing {
  private readonly room: Map<string, number>;
  private readonly lying: PlacedFood[];

  constructor(
    readonly zones: readonly KitchenZone[],
    readonly contents: readonly LyingPackage[],
    readonly containers: readonly Container[],
  ) {
    this.room = new Map(zones.map(({ id, freeLitres }) => [id, freeLitres]));
    this.lying = contents.map(({ zone, food, closed = false }) => ({ zone, food, closed }));
  }

  private takes({ food }: HaulGroup): number {
    return this.contents.find((one) => one.food.id === food.id)?.takesPerWeek ?? 0;
  }

  private async solve(
    groups: readonly HaulGroup[],
    state: (group: HaulGroup) => 'chilled' | 'frozen',
    among: readonly KitchenZone[],
  ) {
    const zones = among.map((zone) => ({ ...zone, freeLitres: this.room.get(zone.id) ?? 0 }));
    const pins = new Map(
      groups.map((group) => {
        const zone = zones.find(({ id }) => id === group.part.zone);
        const fits = zone && (zone.cold === 'freezer') === (state(group) === 'frozen');
        return [group.key, fits ? zone.id : null];
      }),
    );
    const packages = groups.map((group) =>
      toPlacing(group, state(group), this.takes(group), this.containers),
    );
    const solved = await solvePlacement(zones, this.lying, packages, pins);
    for (const { package: found, zone } of solved.assignments) {
      this.room.set(zone.id, Math.max(0, (this.room.get(zone.id) ?? 0) - found.litres));
      this.lying.push({ zone: zone.id, food: found.food, closed: found.closed ?? false });
    }
    return solved;
  }

  private named(says: string): string {
    return this.zones.reduce((words, { id, name }) => words.replaceAll(id, name), says);
  }

  /** Gives back the room that packs were given. */
  free(group: HaulGroup, zone: KitchenZone): void {
    const { litres } = toPlacing(group, 'frozen', 0, this.containers);
    this.room.set(zone.id, (this.room.get(zone.id) ?? 0) + litres);
  }

  /** Places groups whole where they fit together, else pack by pack. */
  async place(
    groups: readonly HaulGroup[],
    state: (group: HaulGroup) => 'chilled' | 'frozen',
    among: readonly KitchenZone[] = this.zones,
  ): Promise<Placed[]> {
    if (groups.length === 0) return [];
    const whole = await this.solve(groups, state, among);
    const byKey = new Map(groups.map((group) => [group.key, group]));
    const toPlaced = (
      group: HaulGroup | undefined,
      zone: KitchenZone | null,
      reasons: string[],
      refused: Placed['refused'],
    ): Placed[] => (group ? [{ group, zone, reasons, refused }] : []);
    const placed = whole.assignments.flatMap(({ package: found, zone, score }) =>
      toPlaced(byKey.get(found.id), this.zoneOf(zone.id), score.reasons, null),
    );
    const tooLarge = whole.refused.flatMap(({ package: found }) => {
      const group = byKey.get(found.id);
      return group && group.amounts.length > 1 ? [group] : [];
    });
    const singles = tooLarge.flatMap((group) =>
      group.names.flatMap((name) => somePacks(group, name, (one) => one === name) ?? []),
    );
    const split = singles.length > 0 ? await this.solve(singles, state, among) : null;
    const told = whole.refused.filter(({ package: found }) => !tooLarge.some(({ key }) => key === found.id));
    for (const { package: found, rule, says, helps } of [...told, ...(split?.refused ?? [])]) {
      const group = byKey.get(found.id) ?? singles.find(({ key }) => key === found.id);
      const refused = { rule, says: this.named(says), helps: helps.map((help) => this.named(help)) };
      placed.push(...toPlaced(group, null, [], refused));
    }
    for (const { package: found, zone, score } of split?.assignments ?? []) {
      placed.push(
        ...toPlaced(
          singles.find(({ key }) => key === found.id),
          this.zoneOf(zone.id),
          score.reasons,
          null,
        ),
      );
    }
    return joined(placed);
  }

  private zoneOf(id: string): KitchenZone | null {
    return this.zones.find((zone) => zone.id === id) ?? null;
  }
}

/** Packs of one part in one zone are one strip again. */
export function joined(placed: readonly Placed[]): Placed[] {
  const strips = new Map<string, Placed>();
  for (const one of placed) {
    const { line, at } = one.group;
    const key = `${line.id}:${at}:${one.zone?.id ?? 'none'}`;
    const known = strips.get(key);
    strips.set(
      key,
      known
        ? {
            ...known,
            group: {
              ...known.group,
              amounts: [...known.group.amounts, ...one.group.amounts],
              names: [...known.group.names, ...one.group.names],
              packages: [...known.group.packages, ...one.group.packages],
            },
          }
        : { ...one, group: { ...one.group, key } },
    );
  }
  return [...strips.values()];
}
