import { HOUSEHOLD_MAY } from '../../model/role';
import { nextLook } from '../../firstout/askOn';
import type { CommandKind, OnPackage } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { LedgerEvent, Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { Finding, Looked } from '../../model/round';
import type { World } from '../../model/world';
import { counterOf } from '../package/judgePackage';
import { withEvents } from '../package/withEvents';
import { moveTo } from '../package/moveTo';
import { presentPackage } from '../package/presentPackage';
import { leaving } from '../package/reduced';
import { whyUnfit } from '../package/whyUnfit';
import { keptDecided } from '../settings/keptDecided';
import { roundOf } from './roundOf';

interface Looking extends OnPackage {
  round: string;
  finding: Finding;
  /** It lies in this zone, not where it should be; `null`: where it should be. */
  here: string | null;
}

/** What the finding does to the package; nothing for what is fine, or not there for the first time. */
function eventsOf(
  before: Package,
  { finding, here, round }: Looking,
  last: Looked | null,
  world: World,
): LedgerEvent[] {
  const name = `${before.called} ${before.code}`;
  const [move] = here === null || here === before.zoneId ? [] : [moveTo(before, here, world)];
  const now = move?.after ?? before;
  const once = (after: Package): Package => ({ ...after, version: before.version + 1 });
  const moved = move ? `; it lay in ${world.zone(here ?? '').name}` : '';
  switch (finding) {
    case 'fine': {
      const unfit = whyUnfit(now, world);
      if (unfit) throw new Refusal(unfit.rule, unfit.says);
      // A look at a quality date rests, as when it is answered on Today; a safety date asks all the same (K2).
      const until = nextLook(now, world.today, world.food(now.foodId).fridgeDaysMax);
      const answer = { on: world.today, for: now.governingDate, what: 'looked-fine' as const, until };
      const rests =
        now.governingKind === 'best-by' && now.answer === null && now.governingDate <= world.today;
      if (!rests && !move) return [];
      const after = once(rests ? { ...now, answer } : now);
      const type = move ? 'package.moved' : 'package.looked';
      return [{ type, before, after, says: `${name} is fine${moved}.` }];
    }
    case 'turning': {
      const after = once(withEvents(now, [{ did: 'found-turning', on: world.today }], world));
      return [{ type: 'package.found', before, after, says: `${name} was found turning${moved}.` }];
    }
    case 'bad': {
      const found = withEvents(
        before,
        [...counterOf(before, world), { did: 'found-bad', on: world.today }],
        world,
      );
      const after = once(leaving({ ...found, counterSince: null }, 'discarded', 'spoiled', world));
      return [{ type: 'package.discarded', before, after, says: `Binned ${name}: found bad.` }];
    }
    case 'missing': {
      if (!last?.missing || last.missing.round === round) return [];
      const after = leaving(before, 'lost', null, world);
      return [{ type: 'package.lost', before, after, says: `${name} was nowhere again: lost.` }];
    }
  }
}

/** What is known of a package once this look is told: the last day it was fine only moves on, the first it was not only back. */
function lookedAfter(found: Package, { finding, round }: Looking, last: Looked | null, world: World): Looked {
  const frozen = found.state === 'frozen';
  const began = found.openedOn ?? found.startOn;
  // Another clock is another story: what was seen of the one before does not count.
  const same = last !== null && last.began === began && last.frozen === frozen ? last : null;
  const seen = finding === 'turning' || finding === 'bad';
  return {
    ...{
      package: found.id,
      food: found.foodId,
      began,
      frozen,
      opened: found.openedOn !== null,
      on: world.today,
      finding,
      round,
    },
    fineOn: finding === 'fine' ? world.today : (same?.fineOn ?? null),
    turnedOn: same?.turnedOn ?? (seen ? world.today : null),
    missing: finding === 'missing' ? (last?.missing ?? { on: world.today, round }) : null,
  };
}

const FINDING_WORDS: Readonly<Record<Finding, string>> = {
  fine: 'fine',
  turning: 'turning: use it next',
  bad: 'bad',
  missing: 'not there',
};

/**
 * What a round found of one package: fine, turning (K12: by the day after), bad (thrown out), or not there: then it is asked about in the
 * next round, and lost when it is not there either. No finding puts a date off.
 *
 * @throws Refusal `round`, K2 or K10 for what is told fine and is not for eating, or what the move into the zone it was found in refuses
 */
function lookAt(command: Looking, world: World): Decision {
  const round = roundOf(world, command.round);
  const before = presentPackage(world, command.package, command.version);
  const last = world.kept('looked', before.id);
  if (last?.round === round.id && last.finding === 'missing' && command.finding === 'missing')
    throw new Refusal('round', `${before.code} was not there already: it is asked about in the next round.`);
  const events = eventsOf(before, command, last, world);
  const says = `${before.called} ${before.code}: ${FINDING_WORDS[command.finding]}.`;
  const { settings } = keptDecided(
    world,
    'looked',
    before.id,
    lookedAfter(before, command, last, world),
    says,
  );
  return { lots: [], events, settings };
}

export const lookAtCommand: CommandKind<Looking> = {
  type: 'round.look',
  may: HOUSEHOLD_MAY,
  needs: ({ round, package: id }) => ({ packages: [id], keptUnder: { round: [round], looked: [id] } }),
  decide: lookAt,
};
