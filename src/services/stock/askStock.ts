import type { Asking } from '@/core/stock/asking';
import { isAsked, isLabelled } from '@/core/stock/isAsked';
import { readAsking } from '@/core/stock/readAsking';
import type { StockRow } from '@/core/stock/stockRow';
import { STATES } from '@/core/model/history';
import type { HouseholdContext } from '../household/context';
import { keptSince } from '../household/kept';
import { readStockRows } from './stockRows';

/** What narrows the stock: words, and what is chosen from lists. */
export interface StockAsk {
  /** In the cook's own words: "frozen, raw meat, older than 6 months". */
  q?: string | undefined;
  zone?: string | undefined;
  state?: string | undefined;
}

export interface AskedStock {
  asking: Asking;
  /** In first-out order, or oldest first where that was asked. */
  rows: StockRow[];
  /** How many are here in all. */
  total: number;
}

/** Who lives here, and whoever something is kept for. */
function peopleOf(people: readonly string[], rows: readonly StockRow[]): string[] {
  const names = new Set(people);
  for (const { whose } of rows) if (whose !== '') names.add(whose);
  return [...names];
}

/** The packages that are asked for. */
export function askStock(context: HouseholdContext, ask: StockAsk): Promise<AskedStock> {
  const { household, reference, kitchen, today } = context;
  const words = ask.q?.trim() ?? '';
  const name = `asked ${today} ${JSON.stringify([words, ask.zone ?? '', ask.state ?? ''])}`;
  return keptSince(household, name, async () => {
    const all = await readStockRows(household, today);
    const asking = readAsking(words, {
      today,
      index: reference.index,
      zones: kitchen.zones.map((zone) => ({ ...zone, appliance: zone.applianceName })),
      people: peopleOf(household.settings.people, all),
      labelled: (wanted) => all.some(({ called }) => isLabelled(called, wanted)),
      coded: (code) => all.some((row) => row.code === code),
    });
    const state = STATES.find((known) => known === ask.state);
    const fits = isAsked(asking);
    // Words that mean nothing here find nothing: showing everything instead would be a lie.
    const nothing = asking.unknown.length > 0 && asking.parts.length === 0;
    const rows = nothing
      ? []
      : all.filter(
          (row) =>
            (ask.zone === undefined || row.zoneId === ask.zone) &&
            (state === undefined || row.state === state) &&
            fits(row),
        );
    if (asking.oldest) rows.sort((a, b) => (a.startOn < b.startOn ? -1 : a.startOn > b.startOn ? 1 : 0));
    return { asking, rows, total: all.length };
  });
}
