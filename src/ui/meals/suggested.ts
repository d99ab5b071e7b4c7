import type { WeekSuggestion } from '@/services/meals/suggest';

/** A meal of the week that is suggested. */
export type Suggested = WeekSuggestion['meals'][number];
