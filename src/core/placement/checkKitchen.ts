import type { CalendarDate } from '../calendar/calendarDate';
import { againstOwnRules } from './check/againstOwnRules';
import { air } from './check/air';
import { closedInFront } from './check/closedInFront';
import type { Finding, Look, Rule } from './check/finding';
import { forgotten } from './check/forgotten';
import { rawJuice } from './check/rawJuice';
import { ripening } from './check/ripening';
import { tooWarm } from './check/tooWarm';
import { twoOpen } from './check/twoOpen';
import { faultThere, type KitchenZone, type LyingPackage } from './lyingPackage';

/** The rules of the check, the gravest first. */
const RULES = {
  C1: { title: 'Raw above or beside what is eaten as it is', find: rawJuice },
  C2: { title: 'Too warm for what lies there', find: tooWarm },
  C3: { title: 'Ripening gas', find: ripening },
  C4: { title: 'Two open ones of the same', find: twoOpen },
  C5: { title: 'Air', find: air },
  C6: { title: 'The closed one in front of the open one', find: closedInFront },
  C7: { title: 'A forgotten corner', find: forgotten },
  C8: { title: 'A zone against its own rules', find: againstOwnRules },
} as const satisfies Record<string, { title: string; find: Rule }>;
export type CheckRule = keyof typeof RULES;

/** What a rule of the check is called. */
export const checkTitle = (rule: CheckRule): string => RULES[rule].title;

export type CheckFinding = Finding & { rule: CheckRule };

function lookAt(zones: readonly KitchenZone[], contents: readonly LyingPackage[], today: CalendarDate): Look {
  const zoneById = new Map(zones.map((zone) => [zone.id, zone]));
  const inside = new Map<string, LyingPackage[]>(zones.map(({ id }) => [id, []]));
  for (const found of contents) inside.get(found.zone)?.push(found);
  const faults = new Map(
    contents.map((found) => {
      const zone = zoneById.get(found.zone);
      return [found.id, zone ? faultThere(found, zone, zones, contents) : null];
    }),
  );
  return {
    today,
    zones,
    contents,
    zoneOf: ({ zone }) => zoneById.get(zone),
    inside: ({ id }) => inside.get(id) ?? [],
    faultOf: ({ id }) => faults.get(id) ?? null,
  };
}

/** Tells the same packages in the same zone once a rule. */
function once(findings: readonly CheckFinding[]): CheckFinding[] {
  const told = new Map<string, CheckFinding>();
  for (const finding of findings) {
    const ids = finding.packages.map(({ id }) => id).sort();
    const key = [finding.rule, finding.zone.id, ...ids].join(' ');
    if (!told.has(key)) told.set(key, finding);
  }
  return [...told.values()];
}

/** Looks through a kitchen for what is wrong, the gravest first. Nothing: an empty list. */
export function checkKitchen(
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
  today: CalendarDate,
): CheckFinding[] {
  const look = lookAt(zones, contents, today);
  const rules = Object.keys(RULES) as CheckRule[];
  return once(rules.flatMap((rule) => RULES[rule].find(look).map((finding) => ({ rule, ...finding }))));
}
