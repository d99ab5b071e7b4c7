import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { Cut, CutDeed } from '../../model/cut';
import type { Decision } from '../../model/decision';
import type { OutageVerdict } from '../../model/outageClass';
import type { LedgerEvent } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import type { Judged } from '../../powercut/assembleCut';
import { withEvents } from '../package/withEvents';
import { afterCut } from './afterCut';
import { cutDecided } from './cutDecided';
import { cutNeeds, judgedNow, recordOf } from './cutCase';
import { cutOf } from './cutOf';

/** What a verdict does to what nobody decided; nothing where it keeps. */
const DOES: Readonly<Partial<Record<OutageVerdict, CutDeed>>> = {
  refreeze: 'refreeze',
  'refreeze-quality-loss': 'refreeze',
  'eat-soon': 'eat-soon',
  'cook-now': 'cook-now',
  discard: 'discard',
};

/** What nobody decided; what was to be looked at and was not counts as thawed. */
function undecided(cut: Cut, world: World): Judged[] {
  const record = recordOf(cut, world);
  const open = (judged: readonly Judged[]): Judged[] =>
    judged.filter(
      ({ settled, verdict }) => !settled && verdict.verdict !== 'keep' && verdict.rule !== 'date',
    );
  const found = open(judgedNow(cut, record, world.loaded(), world));
  const unseen = new Set(
    found.filter(({ verdict }) => verdict.verdict === 'check').map(({ thing }) => thing.id),
  );
  if (unseen.size === 0) return found;
  const seen = [
    ...record.seen.filter((one) => one.cut !== cut.id || !unseen.has(one.package)),
    ...found
      .filter(({ thing }) => unseen.has(thing.id))
      .map(({ thing, seen: before }) => ({
        ...{ cut: cut.id, package: thing.id, movedTo: before?.movedTo ?? null },
        seen: { ...before?.seen, iceCrystals: false },
        at: world.now,
      })),
  ];
  return open(judgedNow(cut, { ...record, seen }, world.loaded(), world));
}

/** The stricter date is put on what nobody decided (O13). */
function settle({ thing, verdict }: Judged, cut: Cut, world: World): LedgerEvent[] {
  const before = world.package(thing.id);
  const asked = DOES[verdict.verdict];
  if (!asked) return [];
  // Only what lies in a freezer freezes again.
  const did = asked === 'refreeze' && before.state !== 'frozen' ? 'cook-now' : asked;
  const after = withEvents(before, [afterCut(did, cut, world)], world);
  const says = `${before.called} ${before.code}, not decided after the power cut: ${verdict.says}`;
  return [{ type: 'package.judged', before, after, says }];
}

/**
 * The desk is put away: what is kept stays in the history, and what nobody decided gets the stricter date (O13).
 *
 * @throws Refusal `cut` while the power is off
 */
function closeCut({ cut: id }: { cut: string }, world: World): Decision {
  const cut = cutOf(world, id);
  if (cut.until === null) throw new Refusal('cut', 'The power is still off. Say first when it came back.');
  const events = undecided(cut, world).flatMap((one) => settle(one, cut, world));
  const many = events.length === 1 ? '1 package' : `${events.length} packages`;
  const says = `The outage desk was put away${events.length === 0 ? '' : `; ${many} that nobody decided got the stricter date`}.`;
  return { ...cutDecided(world, { ...cut, closedAt: world.at }, says), events };
}

export const closeCutCommand: CommandKind<{ cut: string }> = {
  type: 'cut.close',
  may: HOUSEHOLD_MAY,
  needs: ({ cut }) => ({ ...cutNeeds(cut), foods: 'all' }),
  decide: closeCut,
  says: ({ settings }) => settings[0]?.says ?? '',
};
