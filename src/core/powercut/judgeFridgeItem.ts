import { SAFE_CHILL_C } from '../model/limits';
import { airDuringCut, coversCut, type CutTimes, hoursAbove, reaches } from './airDuringCut';
import { isControlled } from '../model/outageClass';
import { type CutAppliance, type CutItem, type ItemVerdict, LIMIT_SOURCE } from './powerCut';
import { publishedLimitHours } from './publishedLimit';
import { sayCelsius, sayHours } from './sayCut';

/** O1: the air was read over the whole cut. */
function judgeReadings(item: CutItem, appliance: CutAppliance, times: CutTimes): ItemVerdict {
  const { outageClass, id } = item;
  const threshold = outageClass.fridgeThresholdC ?? SAFE_CHILL_C;
  const limit = outageClass.fridgeLimitHours;
  const above = hoursAbove(airDuringCut(appliance, times), threshold);
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
function judgeClock(item: CutItem, appliance: CutAppliance, hours: number): ItemVerdict {
  const { outageClass, id } = item;
  const limit = publishedLimitHours(appliance);
  const doors = appliance.doors === 'shut' ? 'doors shut' : `doors ${appliance.doors}, so half the hours`;
  const told = `${sayHours(hours)} without power; the published limit is ${sayHours(limit)}, ${doors}`;
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
 * Rules O1, O2 and O7 for one item of a refrigerator, spoiled ones (O6) aside. An item measured above 4.4 °C is
 * thrown out when it is controlled and no readings tell for how long, or when they deny that it warmed at all.
 */
export function judgeFridgeItem(item: CutItem, appliance: CutAppliance, times: CutTimes): ItemVerdict {
  const covered = coversCut(appliance.readings, times);
  const { measuredC } = item.seen;
  if (typeof measuredC === 'number' && measuredC > SAFE_CHILL_C && isControlled(item.outageClass)) {
    const above = covered ? hoursAbove(airDuringCut(appliance, times), SAFE_CHILL_C) : 0;
    if (above === 0) {
      return {
        id: item.id,
        verdict: 'discard',
        rule: 'O1',
        evidence: covered
          ? `measured ${sayCelsius(measuredC)}, though the air was never above 4.4 °C by the readings: one of them is wrong`
          : `measured ${sayCelsius(measuredC)}, for unknown hours`,
        certainty: 'measured',
        says: 'Throw it out: above 4.4 °C, and nothing tells for how long.',
        source: item.outageClass.source,
      };
    }
  }
  return covered ? judgeReadings(item, appliance, times) : judgeClock(item, appliance, times.hours);
}
