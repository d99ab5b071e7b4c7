import { SAFE_CHILL_C, HARD_FROZEN_C } from '../model/limits';
import { type CutTimes, reaches } from './airDuringCut';
import { type CutAir, cutAir, neverWarm } from './cutAir';
import { type OutageVerdict } from '../model/outageClass';
import { type Certainty, type CutAppliance, type CutItem, type ItemVerdict, LIMIT_SOURCE } from './powerCut';
import { sayCelsius, sayHours } from './sayCut';

import { stricter } from './stricter';

const WORDS: Record<OutageVerdict, string> = {
  keep: 'Keep it.',
  'eat-soon': 'Eat it soon, by tomorrow.',
  check: 'Look at it: ice crystals, or 4.4 °C or colder, keeps it.',
  refreeze: 'Freeze it again, or cook it.',
  'refreeze-quality-loss': 'It may be frozen again, with loss of texture and flavour.',
  'cook-now': 'Cook it now; the cooked dish may be frozen.',
  discard: 'Throw it out.',
};

function verdict(
  item: CutItem,
  given: OutageVerdict,
  rule: string,
  evidence: string,
  certainty: Certainty,
  extra = '',
): ItemVerdict {
  const note = given === 'keep' || item.outageClass.note === '' ? '' : ` ${item.outageClass.note}`;
  return {
    id: item.id,
    verdict: given,
    rule,
    evidence,
    certainty,
    says: `${WORDS[given]}${extra}${note}`,
    source:
      rule === 'O4b' && (given === 'keep' || given === 'check') ? LIMIT_SOURCE : item.outageClass.source,
  };
}

function icy(item: CutItem, rule: string, evidence: string, certainty: Certainty): ItemVerdict {
  return verdict(item, item.outageClass.freezerIcyVerdict, rule, evidence, certainty);
}

/**
 * The thawed verdict; a `discard` with hours becomes cook now when readings prove fewer by more than a minute (O3). Not where even
 * an icy one is thrown out: warmer is never milder.
 */
function thawed(
  item: CutItem,
  rule: string,
  evidence: string,
  certainty: Certainty,
  proof: CutAir | null,
): ItemVerdict {
  const { freezerThawedVerdict: given, freezerThawedLimitHours: limit, freezerIcyVerdict } = item.outageClass;
  if (
    given === 'discard' &&
    freezerIcyVerdict !== 'discard' &&
    limit !== null &&
    proof?.covered &&
    !reaches(proof.above(SAFE_CHILL_C), limit)
  ) {
    return verdict(
      item,
      'cook-now',
      rule,
      `${evidence}; above 4.4 °C for ${sayHours(proof.above(SAFE_CHILL_C))} of ${limit} h by the readings`,
      'measured',
    );
  }
  return verdict(item, given, rule, evidence, certainty);
}

function lookedAt({ seen }: CutItem): boolean {
  return seen.iceCrystals !== undefined || typeof seen.measuredC === 'number';
}

/** O3: the item itself was looked at. */
function judgeLook(item: CutItem, proof: CutAir): ItemVerdict {
  const { iceCrystals, measuredC } = item.seen;
  if (iceCrystals) return icy(item, 'O3', 'seen: ice crystals', 'measured');
  if (typeof measuredC === 'number' && measuredC <= SAFE_CHILL_C) {
    return icy(item, 'O3', `measured ${sayCelsius(measuredC)}`, 'measured');
  }
  const told = typeof measuredC === 'number' ? `measured ${sayCelsius(measuredC)}` : 'seen: no ice crystals';
  if (typeof measuredC === 'number' && neverWarm(proof)) {
    const against = `${told}, though the air was never above ${sayCelsius(proof.warmest)} by the readings: one of them is wrong`;
    return thawed(item, 'O3', against, 'measured', null);
  }
  return thawed(item, 'O3', told, 'measured', proof);
}

/** O4a: readings that cover the cut. */
function judgeReadings(item: CutItem, proof: CutAir): ItemVerdict {
  const warmestC = proof.warmest;
  const told = `readings over the whole cut, warmest ${sayCelsius(warmestC)}`;
  if (warmestC <= HARD_FROZEN_C) return verdict(item, 'keep', 'O4a', told, 'measured');
  if (warmestC <= SAFE_CHILL_C) return icy(item, 'O4a', told, 'measured');
  return thawed(item, 'O4a', told, 'measured', proof);
}

/** O4b: nothing but the clock. */
function judgeClock(
  item: CutItem,
  appliance: CutAppliance,
  { hours, limit, doorWords: doors }: CutAir,
): ItemVerdict {
  const told = `${sayHours(hours)} without power; the published limit is ${sayHours(limit)} at ${Math.round(appliance.fill * 100)} % full, ${doors}`;
  if (!appliance.carried && !reaches(hours, limit / 2))
    return verdict(item, 'keep', 'O4b', told, 'published');
  if (!reaches(hours, limit)) return verdict(item, 'check', 'O4b', told, 'published');
  if (item.cannotCheck) return thawed(item, 'O4b', `${told}; it cannot be checked`, 'assumed', null);
  return verdict(item, 'check', 'O4b', told, 'published', ' Without ice it counts as thawed.');
}

/**
 * Rules O3, O4 and O5 for one item of a freezer, spoiled ones (O6) aside. The first that applies decides: a solid
 * block or sunken coin, the item itself, readings over the whole cut, the telltale, the clock.
 */
export function judgeFreezerItem(item: CutItem, appliance: CutAppliance, times: CutTimes): ItemVerdict {
  const proof = cutAir(appliance, times);
  if (appliance.telltale === 'one-block') {
    const told = 'telltale: one solid block, so it thawed and froze again';
    return neverWarm(proof)
      ? icy(item, 'O5a', `${told}; the readings stayed at ${sayCelsius(proof.warmest)} or colder`, 'measured')
      : thawed(item, 'O5a', told, 'assumed', null);
  }
  if (lookedAt(item)) return judgeLook(item, proof);
  if (proof.covered) return judgeReadings(item, proof);
  const untold = judgeUnread(item, appliance, proof);
  // Some of several stretches were read: no milder than what those tell alone.
  return proof.unread < proof.hours ? stricter(untold, judgeReadings(item, proof)) : untold;
}

/** O5b and O4b: what the telltale says, else the clock. */
function judgeUnread(item: CutItem, appliance: CutAppliance, proof: CutAir): ItemVerdict {
  switch (appliance.telltale) {
    case 'one-block':
    case 'none':
      return judgeClock(item, appliance, proof);
    case 'loose':
      return verdict(item, 'keep', 'O5b', 'telltale: cubes loose and sharp', 'measured');
    case 'rounded':
      return icy(item, 'O5b', 'telltale: cubes rounded or wet, still separate', 'measured');
    case 'water':
      return thawed(item, 'O5b', 'telltale: water', 'measured', null);
  }
}
