'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useRef, useState, useTransition } from 'react';
import type { PackageView } from '@/services/stock/packageView';
import type { StockView } from '@/services/stock/stock';
import { useDoor } from '../door/useDoor';
import { fetchJson } from '../door/fetchJson';
import { FoldedFilters } from '../forms/FoldedFilters';
import { Choice } from '../forms/Choice';
import { beginLine } from '../quickline/beginLine';
import { useMounted } from '../shell/useMounted';
import { ChosenBar } from './ChosenBar';
import { StockRows } from './StockRows';

/** Rows of the first drawing: more than are in sight; the rest comes as soon as the page lives. */
const AT_FIRST = 16;

const STATES = [
  ['', 'Everything'],
  ['chilled', 'Chilled'],
  ['frozen', 'Frozen'],
  ['thawing', 'Thawing'],
] as const satisfies (readonly [string, string])[];

const GROUPS = [
  ['none', 'First out'],
  ['food', 'By food'],
  ['zone', 'By zone'],
] as const;
type Grouping = (typeof GROUPS)[number][0];

interface Filters {
  q: string;
  state: string;
  zone: string;
}

function queryOf(filters: Filters): string {
  const told = Object.entries(filters).map(([name, value]): [string, string] => [name, String(value).trim()]);
  return new URLSearchParams(told.filter(([, value]) => value !== '')).toString();
}

function groupName(view: PackageView, grouping: Grouping): string {
  if (grouping === 'food') return view.food.name;
  return view.zone ? `${view.zone.name}, ${view.zone.appliance}` : 'On the counter';
}

/** Every package; search forgives spelling, and chosen ones get labels or leave together. */
export function StockTable({ first, zones }: { first: StockView; zones: { id: string; name: string }[] }) {
  const router = useRouter();
  const params = useSearchParams();
  const { tell } = useDoor();
  // Pages fetched after a first page are of no use once that page is renewed.
  const [later, setLater] = useState<Pick<StockView, 'packages' | 'next'> & { after: StockView }>();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [grouping, setGrouping] = useState<Grouping>('none');
  const [searching, startSearch] = useTransition();
  const [filters, setFilters] = useState<Filters>(() => ({
    q: params.get('q') ?? '',
    state: params.get('state') ?? '',
    zone: params.get('zone') ?? '',
  }));
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const more = later?.after === first ? later : null;
  const next = more ? more.next : first.next;
  const packages = useMemo(() => [...first.packages, ...(more?.packages ?? [])], [first, more]);
  const mounted = useMounted();
  const groups = useMemo(() => {
    if (grouping === 'none') return [['', mounted ? packages : packages.slice(0, AT_FIRST)] as const];
    const found = new Map<string, PackageView[]>();
    for (const view of packages)
      found.set(groupName(view, grouping), [...(found.get(groupName(view, grouping)) ?? []), view]);
    return [...found.entries()].sort(([a], [b]) => a.localeCompare(b));
  }, [packages, grouping, mounted]);

  // The filters stand here and are copied to the address, which lags behind while a search runs.
  const filter = (change: Partial<Filters>, waitMs = 0): void => {
    const wanted = { ...filters, ...change };
    setFilters(wanted);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      startSearch(() => router.replace(`/stock?${queryOf(wanted)}`, { scroll: false }));
    }, waitMs);
  };
  const toggle = (code: string): void => {
    const copy = new Set(chosen);
    if (!copy.delete(code)) copy.add(code);
    setChosen(copy);
  };
  const picked = packages.filter(({ code }) => chosen.has(code));
  const narrowed = [filters.state, filters.zone].filter((value) => value !== '').length;

  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-3">
        <label className="min-w-44 flex-1 sm:min-w-56">
          <span className="block text-slate">Search by food or code</span>
          <input
            type="search"
            className="field"
            value={filters.q}
            placeholder="venison"
            onChange={(event) => filter({ q: event.target.value }, 200)}
          />
        </label>
        <FoldedFilters narrowed={narrowed}>
          <Choice
            label="State"
            value={filters.state}
            choices={STATES}
            onChoose={(state) => filter({ state })}
          />
          <Choice
            label="Zone"
            value={filters.zone}
            choices={[['', 'All zones'], ...zones.map(({ id, name }) => [id, name] as const)]}
            onChoose={(zone) => filter({ zone })}
          />
          <Choice label="Order" value={grouping} choices={GROUPS} onChoose={setGrouping} />
          <button
            type="button"
            className="button"
            onClick={() => beginLine(`take 500 g ${filters.q.trim() === '' ? '' : filters.q.trim()}`)}
          >
            Take an amount
          </button>
        </FoldedFilters>
      </div>
      {picked.length > 0 && <ChosenBar chosen={picked} onDone={() => setChosen(new Set())} />}
      <p role="status" className="text-slate">
        {searching ? 'Searching …' : `${packages.length} of ${first.total} packages shown`}
      </p>
      {packages.length === 0 ? (
        <div className="card p-8">
          <h2 className="text-xl">Nothing found</h2>
          <p className="mt-2">
            No package in the store answers to that. Take the search back, or type a line at the bottom to put
            something in.
          </p>
          <button
            type="button"
            className="button mt-4"
            data-main="true"
            onClick={() => filter({ q: '', state: '', zone: '' })}
          >
            Show everything
          </button>
        </div>
      ) : (
        groups.map(([name, views]) => (
          <StockRows key={name} name={name} views={views} chosen={chosen} onToggle={toggle} />
        ))
      )}
      {next !== null && (
        <button
          type="button"
          className="button"
          onClick={() => {
            void fetchJson<StockView>(
              `/api/v1/stock?${queryOf(filters)}&after=${encodeURIComponent(next)}`,
            ).then(
              (page) =>
                setLater({
                  after: first,
                  packages: [...(more?.packages ?? []), ...page.packages],
                  next: page.next,
                }),
              (error: Error) => tell(error.message, 'error'),
            );
          }}
        >
          Show more
        </button>
      )}
    </div>
  );
}
