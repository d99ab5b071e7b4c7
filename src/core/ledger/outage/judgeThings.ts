import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { Cut, CutDecided, CutDeed, CutOutcome } from '../../model/cut';
import type { Decision } from '../../model/decision';
import type { OutageVerdict } from '../../model/outageClass';
import type { LedgerEvent, Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import type { CutVerdict } from '../../powercut/judgeCut';
import { decided } from '../household/jobDecided';
import { discardPackage } from '../package/discardPackage';
import { withEvents } from '../package/withEvents';
import { presentPackage } from '../package/presentPackage';
import { keptDecided } from '../settings/keptDecided';
import { afterCut } from './afterCut';
import { cutNeeds, judgedNow, recordOf } from './cutCase';
import { cutOf } from './cutOf';

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
  const after = withEvents(found, [afterCut(did, cut, world)], world);
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
  const verdicts = new Map(
    judgedNow(cut, recordOf(cut, world), found, world).map(({ verdict }) => [verdict.id, verdict]),
  );
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
    ...cutNeeds(id),
    packages: things.map((one) => one.package),
    jobs: true,
  }),
  decide: judgeThings,
};
