import { DatabaseGone } from '@/store/database';
import { now } from './clock';
import { readCounter, viewContext } from './context';
import { toPackageView } from './packageView';
import { type CounterItem, toCounter } from './counter';

/** What stands around every page. */
export interface Shell {
  temperatures: { name: string; words: string; warm: boolean }[];
  counter: CounterItem[];
  /** Time of day of heads-ups. */
  notify_at: string;
}

/** Top bar and counter; `null` while the database is out of reach. */
export async function readShell(): Promise<Shell | null> {
  try {
    const context = await viewContext();
    const onCounter = await readCounter(context.household.id);
    return {
      notify_at: context.household.settings.notifyAt,
      temperatures: context.kitchen.compartments.map(({ called, temperatureC, cold }) => ({
        name: called,
        words: `${String(temperatureC).replace('-', '−')}°`,
        warm: temperatureC > (cold === 'fridge' ? 4.4 : -15),
      })),
      counter: toCounter(
        onCounter.map((found) => toPackageView(found, context)),
        now(),
      ),
    };
  } catch (error) {
    if (error instanceof DatabaseGone) return null;
    throw error;
  }
}
