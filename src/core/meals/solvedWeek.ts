import { greedyWeek } from './greedyWeek';
import { searchedWeek } from './searchedWeek';
import { savedGrams, type WeekCase, type WeekUse } from './weekRules';

/** The best week that is found: a search's, and never one that saves less than the hurried cook's. */
export function solvedWeek(kase: WeekCase, tries?: number): WeekUse[] {
  const [searched, greedy] = [searchedWeek(kase, tries), greedyWeek(kase)];
  return savedGrams(kase, searched) >= savedGrams(kase, greedy) ? searched : greedy;
}
