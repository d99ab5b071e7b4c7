import { HOUSEHOLD_MAY } from '../../model/role';
import { addDays, type CalendarDate } from '../../calendar/calendarDate';
import type { CommandKind } from '../../model/command';
import { type Cut, type CutDecided, type CutDeed, type CutOutcome } from '../../model/cut';
import type { Decision } from '../../model/decision';
import type { HistoryEvent } from '../../model/history';
import type { OutageVerdict } from '../../model/outageClass';
import type { LedgerEvent, Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { cutFacts } from '../../powercut/cutFacts';
import { cutsInRow } from '../../powercut/cutsInRow';
import { cutThing } from '../../powercut/cutThing';
import { logReadings, logSubjectsOf } from '../../powercut/logReadings';
import { type CutVerdict, judgeCut } from '../../powercut/judgeCut';
import { decided } from '../household/jobDecided';
import { discardPackage } from '../package/discardPackage';
import { withEvents } from '../package/judgePackage';
import { presentPackage } from '../package/presentPackage';
import { keptDecided } from '../settings/keptDecided';
import { cutOf } from './cutOf';
import { seenKey } from './seeInCut';

interface Told {
  cut: string;
  things: { package: string; version: number; did: CutDeed }[];
}

/** What may be done about a verdict, never less than it asks; throwing out always may. */
const MAY: Readonly<Record<OutageVerdict, readonly CutDeed[]>> = {
  keep: ['discard', 'cook-now', 'eat-soon'],
  refreeze: ['discard', 'cook-now', 'refreeze'],
  'refreeze-quality-loss': ['discard', 'cook-now', 'refreeze'],
  check: ['discard'],
  'eat-soon': ['discard', 'cook-now', 'eat-soon'],
  'cook-now': ['discard', 'cook-now'],
  discard: ['discard'],
};
const VERDICT_WORDS: Readonly<Record<OutageVerdict, string>> = {
  keep: 'it keeps',
  refreeze: 'freeze it again',
  'refreeze-quality-loss': 'freeze it again, with loss',
  check: 'look at it first',
  'eat-soon': 'eat it by tomorrow',
  'cook-now': 'cook it now',
  discard: 'throw it out',
};
const DID_WORDS: Readonly<Record<CutDeed, string>> = {
  discard: 'thrown out',
  'cook-now': 'to be cooked now',
  'eat-soon': 'to be eaten by tomorrow',
  refreeze: 'frozen again',
};

/** The compartment of each drawn zone. */
function partsOfZones(world: World): ReadonlyMap<string, string> {
  const zones = world.order().flatMap((id) => world.appliance(id)?.drawing.zones ?? []);
  return new Map(zones.map(({ id, compartmentId }) => [id, compartmentId]));
}

/** A cut after those that add up with it; nothing when it is not kept. */
function rowOf(id: string, cuts: readonly Cut[]): Cut[] {
  const cut = cuts.find((one) => one.id === id);
  return cut ? [...cutsInRow(cut, cuts), cut] : [];
}

/** The verdicts as they stand now, by package: the deeds are held against them. */
function verdictsNow(cut: Cut, packages: readonly Package[], world: World): Map<string, CutVerdict> {
  const cuts = world.keptAll('cut');
  const facts = cutFacts(cut, {
    cuts,
    readings: [
      ...world.keptAll('cut-reading'),
      ...logReadings(rowOf(cut.id, cuts), (day) => world.kept('log-day', day), world.now),
    ],
    openings: world.keptAll('cut-opening'),
  });
  const parts = partsOfZones(world);
  const things = packages.map((found) =>
    cutThing(found, {
      outageClass: world.outageClass(world.food(found.foodId).outageClass),
      moves: world.whereabouts(found.id),
      seen: world.kept('cut-seen', seenKey(cut.id, found.id)),
      partOfZone: (zone) => parts.get(zone) ?? null,
      today: world.today,
    }),
  );
  return new Map(judgeCut(facts, things, world.now).map((verdict) => [verdict.id, verdict]));
}

const HOUR_MS = 3_600_000;

/** What a deed writes into the history of a package that stays; its days count from the day the power was back, not from today. */
function eventOf(did: Exclude<CutDeed, 'discard'>, cut: Cut, world: World): HistoryEvent {
  const back: CalendarDate = world.dayOf(cut.until ?? world.now);
  const hours = (Date.parse(cut.until ?? world.now) - Date.parse(cut.from)) / HOUR_MS;
  switch (did) {
    case 'eat-soon':
      return { did: 'warmed', on: world.today, limit: addDays(back, 1) };
    case 'cook-now':
      return { did: 'warmed', on: world.today, limit: back, ends: true };
    case 'refreeze':
      return { did: 'softened', on: world.today, back, days: Math.max(1, Math.ceil(hours / 24)) };
  }
}

function refuse(found: Package, did: CutDeed, verdict: CutVerdict | undefined): void {
  if (!verdict) throw new Refusal('cut', `${found.called} ${found.code} did not go through this power cut.`);
  if (!MAY[verdict.verdict].includes(did))
    throw new Refusal(
      'evidence',
      `${found.called} ${found.code}: by what is known now, ${VERDICT_WORDS[verdict.verdict]} (${verdict.evidence}). Look at it again.`,
    );
  if (did === 'refreeze' && found.state !== 'frozen')
    throw new Refusal('cut', `${found.called} ${found.code} does not lie in a freezer.`);
}

function happens(found: Package, { did, rule }: CutOutcome, cut: Cut, world: World): LedgerEvent {
  if (did === 'discard') {
    // What was past its own date is no loss of the cut.
    const reason = rule === 'date' ? ('past-date' as const) : ('power-cut' as const);
    const told = { package: found.id, version: found.version, amount: null, reason };
    const [event] = discardPackage(told, world);
    return event as LedgerEvent;
  }
  const after = withEvents(found, [eventOf(did, cut, world)], world);
  const says = `${found.called} ${found.code} after the power cut: ${DID_WORDS[did]}.`;
  return { type: 'package.judged', before: found, after, says };
}

function outcomeOf(found: Package, did: CutDeed, { verdict, rule, evidence }: CutVerdict): CutOutcome {
  const { id, code, called, amount, unit, priceMinor } = found;
  return { package: id, code, called, amount, unit, priceMinor, did, verdict, rule, evidence };
}

const says = (things: readonly CutOutcome[]): string => {
  const counts = (Object.keys(DID_WORDS) as CutDeed[]).flatMap((did) => {
    const many = things.filter((one) => one.did === did).length;
    return many === 0 ? [] : [`${many} ${DID_WORDS[did]}`];
  });
  return `After the power cut: ${counts.join(', ')}.`;
};

/**
 * What the verdicts ask is done: thrown out with reason and value, frozen again with its mark and date (K8), eaten by tomorrow (O1),
 * cooked now as a job of today. Each deed is held against the verdict as it stands then, and may be stricter but never milder.
 * One undo takes all of it back.
 *
 * @throws Refusal `evidence` when what is known asks for more
 */
function judgeThings(command: Told & { id: string }, world: World): Decision {
  const cut = cutOf(world, command.cut);
  const found = command.things.map(({ package: id, version }) => presentPackage(world, id, version));
  const verdicts = verdictsNow(cut, found, world);
  const outcomes: CutOutcome[] = [];
  const events = found.map((one, at) => {
    const did = command.things[at]?.did ?? 'discard';
    const verdict = verdicts.get(one.id);
    refuse(one, did, verdict);
    const outcome = outcomeOf(one, did, verdict as CutVerdict);
    outcomes.push(outcome);
    return happens(one, outcome, cut, world);
  });
  const kept: CutDecided = { id: command.id, cut: cut.id, at: world.at, things: outcomes };
  const toCook = outcomes.filter(({ did }) => did === 'cook-now');
  const job = {
    ...{
      id: world.newId(),
      kind: 'upkeep' as const,
      everyDays: 1,
      lastOn: null,
      frostMm: null,
      retired: false,
    },
    name: `Cook now, after the power cut: ${toCook.map(({ called }) => called).join(', ')}`.slice(0, 120),
    dueOn: world.today,
  };
  const settings = [
    ...keptDecided(world, 'cut-decided', command.id, kept, says(outcomes)).settings,
    ...(toCook.length === 0 ? [] : decided('job.set', null, job, `${job.name}.`).settings),
  ];
  return { lots: [], events, settings };
}

export const judgeThingsCommand: CommandKind<Told> = {
  type: 'cut.judge',
  may: HOUSEHOLD_MAY,
  needs: ({ cut: id, things }) => ({
    kept: ['cut', 'cut-reading', 'cut-opening', 'cut-seen', 'cut-decided'],
    packages: things.map((one) => one.package),
    jobs: true,
    whereaboutsSince: (cuts) => rowOf(id, cuts)[0]?.from ?? null,
    logDays: (cuts, now) => logSubjectsOf(rowOf(id, cuts), now),
  }),
  decide: judgeThings,
};
