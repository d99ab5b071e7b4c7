import { SAFE_CHILL_C } from '../model/limits';
import { type CutTimes, reaches } from './airDuringCut';
import { isControlled } from '../model/outageClass';
import { type CutAir, cutAir } from './cutAir';
import { type CutAppliance, type CutItem, type ItemVerdict, LIMIT_SOURCE } from './powerCut';
import { sayCelsius, sayHours } from './sayCut';

/** O1: the air was read over the whole cut. */
function judgeReadings(item: CutItem, air: CutAir): ItemVerdict {
  const { outageClass, id } = item;
  const threshold = outageClass.fridgeThresholdC ?? SAFE_CHILL_C;
  const limit = outageClass.fridgeLimitHours;
  const above = air.above(threshold);
  const told = `above ${sayCelsius(threshold)} for ${sayHours(above)}${limit === null ? '' : ` of ${limit} h`}, by readings with straight lines between`;
  const base = { id, rule: 'O1', evidence: told, certainty: 'measured' as const, source: outageClass.source };
  if (outageClass.fridgeVerdict === 'keep') {
    return { ...base, verdict: 'keep', says: `Keep it. ${outageClass.note}`.trim() };
  }
  if (limit !== null && reaches(above, limit)) {
    return { ...base, verdict: 'discard', says: 'Throw it out: it stood too warm for too long.' };
  }
  if (isControlled(outageClass) && above > 0) {
    return { ...base, verdict: 'eat-soon', says: 'Eat it soon: its use by is tomorrow at the latest.' };
  }
  return { ...base, verdict: 'keep', says: 'Keep it.' };
}

/** O2: nothing but the clock. */
function judgeClock(item: CutItem, air: CutAir): ItemVerdict {
  const { outageClass, id } = item;
  const { hours, limit, doorWords } = air;
  const told = `${sayHours(hours)} without power; the published limit is ${sayHours(limit)}, ${doorWords}`;
  const base = { id, rule: 'O2', evidence: told };
  if (outageClass.fridgeVerdict === 'keep') {
    return {
      ...base,
      verdict: 'keep',
      certainty: 'published',
      says: `Keep it. ${outageClass.note}`.trim(),
      source: outageClass.source,
    };
  }
  const controlled = isControlled(outageClass);
  const most = controlled ? limit : limit + (outageClass.fridgeLimitHours ?? 0);
  if (reaches(hours, most)) {
    return {
      ...base,
      verdict: 'discard',
      certainty: controlled ? 'published' : 'assumed',
      says: 'Throw it out: without a reading the clock decides.',
      source: outageClass.source,
    };
  }
  return {
    ...base,
    verdict: 'keep',
    certainty: 'published',
    says: 'Keep it, door shut.',
    source: LIMIT_SOURCE,
  };
}

/**
 * Several stretches, of which only some were read: what was read counts, and of the rest the clock. All of it beyond the published
 * limit, the hours nobody read count as warm.
 */
function judgePartly(item: CutItem, air: CutAir): ItemVerdict {
  const read = judgeReadings(item, air);
  const clock = judgeClock(item, air);
  if (item.outageClass.fridgeVerdict === 'keep' || read.verdict === 'discard') return read;
  if (clock.verdict === 'keep') return read.verdict === 'keep' ? clock : read;
  const limit = item.outageClass.fridgeLimitHours ?? 0;
  const threshold = item.outageClass.fridgeThresholdC ?? SAFE_CHILL_C;
  const warm = air.above(threshold) + air.unread;
  if (reaches(warm, limit)) return clock;
  return {
    ...read,
    verdict: 'eat-soon',
    certainty: 'assumed',
    evidence: `${read.evidence}; ${sayHours(air.unread)} that nobody read counted as warm`,
    says: 'Eat it soon: its use by is tomorrow at the latest.',
  };
}

/**
 * Rules O1, O2 and O7 for one item of a refrigerator, spoiled ones (O6) aside. An item measured above 4.4 °C is
 * thrown out when it is controlled and no readings tell for how long, or when they deny that it warmed at all.
 */
export function judgeFridgeItem(item: CutItem, appliance: CutAppliance, times: CutTimes): ItemVerdict {
  const air = cutAir(appliance, times);
  const { measuredC } = item.seen;
  if (typeof measuredC === 'number' && measuredC > SAFE_CHILL_C && isControlled(item.outageClass)) {
    const above = air.covered ? air.above(SAFE_CHILL_C) : 0;
    if (above === 0) {
      return {
        id: item.id,
        verdict: 'discard',
        rule: 'O1',
        evidence: air.covered
          ? `measured ${sayCelsius(measuredC)}, though the air was never above 4.4 °C by the readings: one of them is wrong`
          : `measured ${sayCelsius(measuredC)}, for unknown hours`,
        certainty: 'measured',
        says: 'Throw it out: above 4.4 °C, and nothing tells for how long.',
        source: item.outageClass.source,
      };
    }
  }
  if (air.covered) return judgeReadings(item, air);
  return air.unread < air.hours ? judgePartly(item, air) : judgeClock(item, air);
}
