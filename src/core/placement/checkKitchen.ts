import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import {
  bestPlace,
  faultThere,
  type KitchenZone,
  type LyingPackage,
  reachOf,
  SOON_DAYS,
  SOON_FROZEN_DAYS,
} from './lyingPackage';
import { clash } from './softScore';

export const CHECK_RULES = {
  C1: 'Raw above or beside what is eaten as it is',
  C2: 'Too warm for what lies there',
  C3: 'Ripening gas',
  C4: 'Two open ones of the same',
  C5: 'Air',
  C6: 'The closed one in front of the open one',
  C7: 'A forgotten corner',
  C8: 'A zone against its own rules',
} as const;
export type CheckRule = keyof typeof CHECK_RULES;

/** What one button does about a finding. */
export type CheckFix =
  | { kind: 'move'; package: string; to: string; toName: string }
  | { kind: 'eat-first'; package: string }
  | { kind: 'look'; zone: string };

/** Something that is wrong in the kitchen, why, and what to do. */
export interface CheckFinding {
  rule: CheckRule;
  zone: KitchenZone;
  packages: LyingPackage[];
  says: string;
  why: string;
  fix: CheckFix;
}

/** Share of a fridge that may be filled so that air gets round. */
const AIR_LINE = 0.8;
const FORGOTTEN_DAYS = 60;

function grouped<Item>(items: readonly Item[], keyOf: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item]);
  return groups;
}

/** Looks through a kitchen for what is wrong (see `CHECK_RULES`), the gravest first. Nothing: an empty list. */
export function checkKitchen(
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
  today: CalendarDate,
): CheckFinding[] {
  const zoneOf = new Map(zones.map((zone) => [zone.id, zone]));
  const findings: CheckFinding[] = [];
  const told = new Set<string>();
  const elsewhere = (found: LyingPackage): CheckFix => {
    const better = bestPlace(found, zones, contents);
    return better
      ? { kind: 'move', package: found.id, to: better.zone.id, toName: better.zone.name }
      : { kind: 'look', zone: found.zone };
  };
  const add = (
    rule: CheckRule,
    zone: KitchenZone,
    packages: LyingPackage[],
    says: string,
    why: string,
    fix: CheckFix,
  ): void => {
    const key = `${rule} ${zone.id} ${packages
      .map(({ id }) => id)
      .sort()
      .join()}`;
    if (told.has(key)) return;
    told.add(key);
    findings.push({ rule, zone, packages, says, why, fix });
  };

  for (const found of contents) {
    const zone = zoneOf.get(found.zone);
    if (!zone) continue;
    const fault = faultThere(found, zone, zones, contents);
    if (fault?.rule === 'P3' && found.food.readiness === 'raw-animal') {
      add(
        'C1',
        zone,
        [found],
        `${found.called} lies in ${zone.name}. ${fault.says}`,
        'Raw juice carries germs; what is not cooked after it keeps them.',
        elsewhere(found),
      );
    } else if (fault?.rule === 'P2') {
      add(
        'C2',
        zone,
        [found],
        `${found.called} lies in ${zone.name}. ${fault.says}`,
        'Above 4 °C its days run out faster than the label says.',
        elsewhere(found),
      );
    } else if (fault?.rule === 'P4' || fault?.rule === 'P1') {
      add(
        'C8',
        zone,
        [found],
        `${found.called} lies in ${zone.name}. ${fault.says}`,
        'You set this rule for the zone yourself.',
        elsewhere(found),
      );
    }
    if (zone.keptEmpty) {
      add(
        'C8',
        zone,
        [found],
        `${found.called} lies in ${zone.name}, which is kept free.`,
        'A place kept free is there when the pot must go in.',
        elsewhere(found),
      );
    }
    const soon = found.state === 'frozen' ? SOON_FROZEN_DAYS : SOON_DAYS;
    if (zone.hardToReach && found.daysLeft !== null && found.daysLeft <= soon) {
      add(
        'C8',
        zone,
        [found],
        `${found.called} has ${Math.max(0, found.daysLeft)} days left and lies in ${zone.name}, which is hard to reach.`,
        'What is hard to reach is seen too late.',
        elsewhere(found),
      );
    }
  }

  for (const zone of zones) {
    const inside = contents.filter((found) => found.zone === zone.id);
    if (zone.cold === 'fridge') {
      for (const giver of inside.filter(
        ({ food }) => food.ethylene === 'giver' || food.ethylene === 'both',
      )) {
        const taker = inside.find(
          (other) => other.food.id !== giver.food.id && clash(giver.food, other.food),
        );
        if (taker) {
          const pair = [giver, taker];
          add(
            'C3',
            zone,
            pair,
            `${giver.called} ripens ${taker.called} in ${zone.name}.`,
            'Ethylene from the one yellows and softens the other.',
            elsewhere(giver),
          );
        }
      }
    }
    if (zone.limitLitres !== null && zone.filledLitres > zone.limitLitres + 1e-6) {
      add(
        'C8',
        zone,
        [],
        `${zone.name} holds more than the ${zone.limitLitres} litres you set for it.`,
        'It is kept small so that it is eaten down.',
        { kind: 'look', zone: zone.id },
      );
    }
    if (inside.length > 0 && zone.touchedOn !== null) {
      const days = daysBetween(zone.touchedOn, today);
      if (days >= FORGOTTEN_DAYS) {
        add(
          'C7',
          zone,
          [],
          `Nothing came to or went from ${zone.name} for ${days} days.`,
          'What nobody touches is found too late.',
          { kind: 'look', zone: zone.id },
        );
      }
    }
  }

  const byFood = grouped(contents, ({ food }) => food.id);
  for (const alike of byFood.values()) {
    const open = alike.filter(({ opened }) => opened).sort((a, b) => (a.startOn < b.startOn ? -1 : 1));
    const [first, second] = open;
    const zone = first && zoneOf.get(first.zone);
    if (!first || !zone) continue;
    if (second) {
      add(
        'C4',
        zone,
        [first, second],
        `Two of ${first.called} stand open: in ${zone.name} and in ${zoneOf.get(second.zone)?.name ?? ''}.`,
        'Two open ones spoil twice as fast as one after the other.',
        { kind: 'eat-first', package: first.id },
      );
    }
    const closed = alike.find((other) => {
      const there = zoneOf.get(other.zone);
      return !other.opened && there && there.cold === zone.cold && reachOf(there) < reachOf(zone);
    });
    if (closed) {
      add(
        'C6',
        zone,
        [first, closed],
        `The closed ${closed.called} in ${zoneOf.get(closed.zone)?.name ?? ''} is at hand before the open one in ${zone.name}.`,
        'The next one is opened while the first still stands behind.',
        elsewhere(first),
      );
    }
  }

  for (const inside of grouped(zones, ({ compartment }) => compartment).values()) {
    const [zone] = inside;
    if (!zone || zone.cold !== 'fridge') continue;
    const litres = inside.reduce((sum, one) => sum + one.litres, 0);
    const filled = inside.reduce((sum, one) => sum + one.filledLitres, 0);
    if (litres > 0 && filled / litres > AIR_LINE) {
      const fullest =
        [...inside].sort((a, b) => b.filledLitres / b.litres - a.filledLitres / a.litres)[0] ?? zone;
      add(
        'C5',
        fullest,
        [],
        `${zone.applianceName} is ${Math.round((filled / litres) * 100)} % full, ${fullest.name} most of all.`,
        `A fridge needs air: about ${AIR_LINE * 100} % at most, else it grows warm inside.`,
        { kind: 'look', zone: fullest.id },
      );
    }
  }
  const order = Object.keys(CHECK_RULES);
  return findings.sort((a, b) => order.indexOf(a.rule) - order.indexOf(b.rule));
}
