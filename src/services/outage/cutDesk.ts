import type { Cut, CutDecided, CutOpening, CutPlan, CutReading, CutSeen } from '@/core/model/cut';
import type { FreezeFit } from '@/core/model/food';
import type { OutageClass } from '@/core/model/outageClass';
import type { Package } from '@/core/model/package';
import type { ZoneMove } from '@/core/model/world';
import { bandOn, type Band } from '@/core/keeping/judgeKeeping';
import { needsCooking } from '@/core/foods/needsCooking';
import { openedClass } from '@/core/powercut/openedClass';
import { logReadings, logSubjectsOf } from '@/core/powercut/logReadings';
import { cutsInRow } from '@/core/powercut/cutsInRow';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readFirstOut } from '@/store/packages';
import { readWhereabouts } from '@/store/whereabouts';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { viewContext } from '../household/context';
import { outageClassOf, type Reference } from '../household/household';
import { type DeskPart, readDeskParts } from './deskParts';

/** A package as the desk judges it. */
export interface DeskThing extends Pick<
  Package,
  | 'id'
  | 'foodId'
  | 'called'
  | 'code'
  | 'version'
  | 'zoneId'
  | 'openedOn'
  | 'useBy'
  | 'bestBy'
  | 'condemned'
  | 'state'
> {
  amount: number;
  unit: Package['unit'];
  amount_words: string;
  price_minor: number | null;
  band: Band;
  class: string;
  governing: string;
  /** How it began. */
  start: { did: string; on: string };
  /** What freezing it would be like; `null`: it lies frozen, or it is not for the freezer. */
  freezes: Exclude<FreezeFit, 'no'> | null;
}

/** All that the desk needs to judge by itself, also where there is no network. */
export interface DeskView {
  now: string;
  today: string;
  currency: string;
  time_zone: string;
  parts: DeskPart[];
  /** The compartment of each zone, and its name, in the order of doors. */
  zones: { id: string; name: string; part: string }[];
  /** The newest first. */
  cuts: Cut[];
  /** The one that is shown; `null`: none is open. */
  cut: string | null;
  readings: CutReading[];
  openings: CutOpening[];
  seen: CutSeen[];
  decided: CutDecided[];
  /** What is prepared; `null`: no storm is expected. */
  plan: CutPlan | null;
  things: DeskThing[];
  /** Where packages went since before the cut, by package: those that are here, and what they were made of. */
  moves: Record<string, ZoneMove[]>;
  /** The class of each food of them, and whether it needs cooking. */
  foods: Record<string, { class: string; to_cook: boolean }>;
  classes: OutageClass[];
}

const MOST_THINGS = 20_000;

/** What a cut needs to know of every food that lies here, or that something here was made of. */
function foodsOf(
  things: readonly DeskThing[],
  moves: ReadonlyMap<string, ZoneMove[]> | null,
  { byId }: Reference,
): DeskView['foods'] {
  const made = [...(moves?.values() ?? [])].flat().flatMap(({ of = [] }) => of);
  const ids = new Set([...things, ...made].map(({ foodId }) => foodId));
  return Object.fromEntries(
    [...ids].flatMap((id) => {
      const food = byId.get(id);
      return food ? [[id, { class: food.outageClass, to_cook: needsCooking(food) }]] : [];
    }),
  );
}

/** The outage desk: the open cut, or one of the history. @throws Problem 404 for one that is not kept */
export async function readDesk({ cut: asked }: { cut?: string }): Promise<DeskView> {
  const context = await viewContext();
  const { household, kitchen, reference, today } = context;
  const [kept, packages, parts] = await Promise.all([
    readKept(sql(), household.id, [
      'cut',
      'cut-reading',
      'cut-opening',
      'cut-seen',
      'cut-decided',
      'cut-plan',
    ]),
    readFirstOut(sql(), household.id, MOST_THINGS),
    readDeskParts(context),
  ]);
  const cuts = [...kept.cut.values()].sort((a, b) => (a.from < b.from ? 1 : -1));
  if (asked !== undefined && !kept.cut.has(asked))
    throw new Problem(404, 'not-found', 'There is no such power cut in this household.');
  const shown = asked === undefined ? cuts.find(({ closedAt }) => closedAt === null) : kept.cut.get(asked);
  const row = shown ? [...cutsInRow(shown, cuts), shown] : [];
  const [first] = row;
  const moves = first ? await readWhereabouts(sql(), household.id, first.from) : null;
  const instant = now();
  const logs = await readKept(sql(), household.id, [], { 'log-day': logSubjectsOf(row, instant) });
  const told = new Set(row.map(({ id }) => id));
  const its = <One extends { cut: string }>(all: ReadonlyMap<string, One>): One[] =>
    [...all.values()].filter(({ cut }) => told.has(cut));
  const things = packages.map((found): DeskThing => {
    const food = reference.byId.get(found.foodId);
    const { id, foodId, called, code, version, zoneId, openedOn, useBy, bestBy, condemned, state } = found;
    const { amount, unit } = found;
    const [first] = found.history;
    return {
      ...{
        id,
        foodId,
        called,
        code,
        version,
        zoneId,
        openedOn,
        useBy,
        bestBy,
        condemned,
        state,
        amount,
        unit,
      },
      start: { did: first?.did ?? '', on: first?.on ?? found.startOn },
      amount_words: sayAmount(amount, unit),
      price_minor: found.priceMinor,
      band: bandOn(found.governingDate, state, today),
      class: food?.outageClass ?? '',
      governing: found.governingDate,
      freezes: state === 'frozen' || !food || food.freezeFit === 'no' ? null : food.freezeFit,
    };
  });
  const foods = foodsOf(things, moves, reference);
  const classes = [
    ...new Set(Object.values(foods).flatMap((food) => [food.class, openedClass(food.class, true)])),
  ];
  return {
    now: instant,
    today,
    currency: household.currency,
    time_zone: household.timeZone,
    parts,
    zones: kitchen.zones.map(({ id, name, compartmentId }) => ({ id, name, part: compartmentId })),
    cuts,
    cut: shown?.id ?? null,
    readings: [...its(kept['cut-reading']), ...logReadings(row, (day) => logs['log-day'].get(day), instant)],
    openings: its(kept['cut-opening']),
    seen: its(kept['cut-seen']),
    decided: [...kept['cut-decided'].values()].filter(({ cut }) => cut === shown?.id),
    plan: kept['cut-plan'].get('') ?? null,
    things: things.filter((one) => one.class !== ''),
    moves: Object.fromEntries(moves ?? []),
    foods,
    classes: classes.map((id) => outageClassOf(reference, id)),
  };
}
