import type { ApplianceView, CompartmentView, StripView, ZoneView } from '../kitchen/drawing';
import type { PackageView } from '../stock/packageView';
import type { FirstOutRow } from './firstOut';
import { retellAll, sayDegrees } from '@/core/units/retell';
import { isPlain, PLAIN_WORDING, type Wording } from '@/core/units/wording';
import type { TodayView } from './today';

/** What a row of first out shows of its package. */
export type SeenPackage = Pick<
  PackageView,
  | 'id'
  | 'code'
  | 'version'
  | 'amount_words'
  | 'band'
  | 'verdict'
  | 'rule'
  | 'not_for'
  | 'due_words'
  | 'due_full'
  | 'left_words'
  | 'story'
  | 'spent'
  | 'zone'
> & { food: Pick<PackageView['food'], 'name'>; governing: Pick<PackageView['governing'], 'kind'> };

export type SeenRow = Omit<FirstOutRow, 'view'> & { view: SeenPackage };

export type SeenStrip = Pick<StripView, 'food' | 'count' | 'band' | 'state'> & { id: string };

export type SeenZone = Pick<
  ZoneView,
  | 'id'
  | 'compartment_id'
  | 'parent_id'
  | 'name'
  | 'purpose'
  | 'side'
  | 'box'
  | 'temperature_c'
  | 'kept_empty'
  | 'fill'
  | 'packages'
  | 'more'
> & {
  strips: SeenStrip[];
  /** As a thermometer in this household shows it. */
  degrees: string;
};

export type SeenAppliance = Pick<ApplianceView, 'id' | 'name' | 'shape' | 'fill' | 'lifts'> & {
  /** "68 l free". */
  free_words: string;
  compartments: Pick<CompartmentView, 'id' | 'name' | 'box' | 'door_mm'>[];
  zones: SeenZone[];
};

/** Today as the page shows it: what is not seen is not sent. */
export interface SeenToday extends Pick<
  TodayView,
  | 'today'
  | 'today_words'
  | 'summary'
  | 'scope'
  | 'scopes'
  | 'next'
  | 'asking'
  | 'settled'
  | 'total'
  | 'passed_unanswered'
  | 'jobs'
  | 'freezers'
> {
  first_out: SeenRow[];
  to_eat: SeenRow[];
  coming: SeenRow[];
  /** How many packages had their answer; they are read when the cook unfolds them. */
  answered: number;
  appliances: SeenAppliance[];
}

/** Whole shares in a hundred: nobody sees finer. */
const hundredths = (share: number): number => Math.round(share * 100) / 100;

function seenRow({ view, ...row }: FirstOutRow): SeenRow {
  const {
    id,
    code,
    version,
    amount_words,
    band,
    verdict,
    rule,
    not_for,
    due_words,
    due_full,
    left_words,
    story,
    zone,
  } = view;
  return {
    ...row,
    view: {
      ...{
        id,
        code,
        version,
        amount_words,
        band,
        verdict,
        rule,
        not_for,
        due_words,
        due_full,
        left_words,
        story,
        zone,
      },
      spent: hundredths(view.spent),
      food: { name: view.food.name },
      governing: { kind: view.governing.kind },
    },
  };
}

function seenZone(zone: ZoneView, wording: Wording): SeenZone {
  const { id, compartment_id, parent_id, name, purpose, side, box, temperature_c, kept_empty } = zone;
  return {
    ...{ id, compartment_id, parent_id, name, purpose, side, box, temperature_c, kept_empty },
    degrees: sayDegrees(zone.temperature_c, wording),
    fill: hundredths(zone.fill),
    packages: zone.packages,
    more: zone.more,
    strips: zone.strips.map(({ food, count, band, state, first }) => ({
      ...{ food, count, band, state },
      id: first.id,
    })),
  };
}

const seenAppliance = (
  { id, name, shape, fill, free_litres, lifts, compartments, zones }: ApplianceView,
  wording: Wording,
) => ({
  ...{ id, name, shape, lifts, free_words: `${free_litres} l free` },
  fill: hundredths(fill),
  compartments: compartments.map((inside) => ({
    id: inside.id,
    name: inside.name,
    box: inside.box,
    door_mm: inside.door_mm,
  })),
  zones: zones.map((zone) => seenZone(zone, wording)),
});

/** Today for the page, as text: it is written once for as long as nothing changes, and read once there. */
export const todayText = (view: TodayView, wording: Wording): string => {
  if (!isPlain(wording)) return JSON.stringify(retellAll(seenToday(view, wording), wording));
  const before = texts.get(view);
  if (before !== undefined) return before;
  const text = JSON.stringify(seenToday(view, PLAIN_WORDING));
  texts.set(view, text);
  return text;
};

const texts = new WeakMap<TodayView, string>();

function seenToday(view: TodayView, wording: Wording): SeenToday {
  const { today, today_words, summary, scope, scopes, next, asking, settled, total, passed_unanswered } =
    view;
  return {
    ...{ today, today_words, summary, scope, scopes, next, asking, settled, total, passed_unanswered },
    jobs: view.jobs,
    freezers: view.freezers,
    first_out: view.first_out.map(seenRow),
    to_eat: view.to_eat.map(seenRow),
    coming: view.coming.map(seenRow),
    answered: view.answered.reduce((sum, { packages }) => sum + packages.length, 0),
    appliances: view.appliances.map((one) => seenAppliance(one, wording)),
  };
}
