'use client';

import { FileDown, Printer } from 'lucide-react';
import { useSearchParams } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { GROUPINGS } from '@/core/stock/groupStock';
import type { MiniAppliance } from '../map/MiniKitchen';
import type { PackageView } from '@/services/stock/packageView';
import type { StockView } from '@/services/stock/stock';
import type { GroupsView } from '@/services/stock/stockGroups';
import { fetchJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { FoldedFilters } from '../forms/FoldedFilters';
import { beginLine } from '../quickline/beginLine';
import { AskedParts, AskField } from './AskField';
import { ChosenBar } from './ChosenBar';
import type { DeedZone } from './ChosenDeeds';
import { ColumnChoice, useColumns } from './ColumnChoice';
import { GroupTable } from './GroupTable';
import { KeptAskings } from './KeptAskings';
import { LitKitchen } from './LitKitchen';
import type { StockLine } from './stockLines';
import { GROUPING_WORDS, type StockFilters, stockQuery } from './stockQuery';
import { groupAddress, useOpenGroups } from './useOpenGroups';
import { useGroups } from './useGroups';
import { IfMay } from '../door/IfMay';

const STATES = [
  ['', 'Everything'],
  ['chilled', 'Chilled'],
  ['frozen', 'Frozen'],
  ['thawing', 'Thawing'],
] as const satisfies (readonly [string, string])[];

/** So few groups and packs that one asked for are shown opened. */
const FEW_GROUPS = 6;
const FEW_PACKS = 24;

/** The stock as a cook counts it: groups first, opened to single packages, asked for in plain words. */
export function StockBench({
  first,
  zones,
  appliances,
}: {
  first: GroupsView;
  zones: DeedZone[];
  appliances: MiniAppliance[];
}) {
  const params = useSearchParams();
  const { tell } = useDoor();
  const [filters, setFilters] = useState<StockFilters>(() => ({
    q: params.get('q') ?? '',
    state: params.get('state') ?? '',
    zone: params.get('zone') ?? '',
    by: GROUPINGS.find((known) => known === params.get('by')) ?? 'food',
  }));
  // The field stands before what is asked, which lags behind while one types.
  const [typed, setTyped] = useState(filters.q);
  const [begun] = useState(() => stockQuery(filters));
  const query = stockQuery(filters);
  const { view, groups, fault, more } = useGroups(query, { query: begun, view: first });
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const [chosen, setChosen] = useState<ReadonlyMap<string, PackageView>>(new Map());
  const [columns, setColumns] = useColumns();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const asks = filters.q.trim() !== '' || filters.state !== '' || filters.zone !== '';
  const opensAll = asks && groups.length <= FEW_GROUPS && (view?.packs ?? 0) <= FEW_PACKS;
  const several = groups.filter(({ packs }) => packs > 1);
  const isOpen = (key: string): boolean => turned.has(key) !== opensAll;
  const openKeys = several.filter(({ key }) => isOpen(key)).map(({ key }) => key);
  const inside = useOpenGroups(query, openKeys);

  const filter = (change: Partial<StockFilters>, waitMs = 0): void => {
    const wanted = { ...filters, ...change };
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      setFilters(wanted);
      setTurned(new Set());
      const told = stockQuery(wanted);
      window.history.replaceState(null, '', `/stock${told === '' ? '' : `?${told}`}`);
    }, waitMs);
  };
  const ask = (text: string, waitMs = 0): void => {
    setTyped(text);
    filter({ q: text }, waitMs);
  };
  const turn = (key: string): void =>
    setTurned((now) => {
      const copy = new Set(now);
      if (!copy.delete(key)) copy.add(key);
      return copy;
    });

  const lines = groups.flatMap((group): StockLine[] => {
    const { key, first: one, packs } = group;
    if (packs === 1) return [{ kind: 'package', key: one.id, view: one, inside: false }];
    const open = isOpen(key);
    const views = inside.get(key);
    const its: StockLine[] = !open
      ? []
      : views
        ? views.map((found) => ({ kind: 'package', key: found.id, view: found, inside: true }))
        : [{ kind: 'words', key: `${key} …`, words: 'Fetching its packages …' }];
    return [{ kind: 'group', key, group, open }, ...its];
  });

  const known = useMemo(() => {
    const views = new Map(groups.map(({ first: one }) => [one.code, one]));
    for (const all of inside.values()) for (const one of all) views.set(one.code, one);
    return views;
  }, [groups, inside]);
  const picked = [...chosen].map(([code, view]) => known.get(code) ?? view);
  const choose = (line: StockLine): void => {
    if (line.kind === 'words') return;
    const put = (views: readonly PackageView[]): void =>
      setChosen((now) => {
        const copy = new Map(now);
        const off = views.every(({ code }) => copy.has(code));
        for (const one of views) {
          if (off) copy.delete(one.code);
          else copy.set(one.code, one);
        }
        return copy;
      });
    if (line.kind === 'package') put([line.view]);
    else
      fetchJson<StockView>(groupAddress(query, line.key)).then(
        ({ packages }) => put(packages),
        (error: Error) => tell(error.message, 'error'),
      );
  };
  const narrowed = [filters.state, filters.zone].filter((value) => value !== '').length;

  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-3">
        <AskField text={typed} onText={ask} />
        <FoldedFilters narrowed={narrowed}>
          <Choice
            label="Counted by"
            value={filters.by}
            choices={GROUPING_WORDS}
            onChoose={(by) => filter({ by })}
          />
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
          <button
            type="button"
            className="button"
            onClick={() => beginLine(`take 500 g ${groups.length === 1 ? (groups[0]?.name ?? '') : ''}`)}
          >
            Take an amount
          </button>
        </FoldedFilters>
      </div>
      <AskedParts text={filters.q} asked={view?.asked ?? null} onText={ask} />
      <KeptAskings words={filters.q} kept={view?.kept ?? []} onAsk={ask} />
      {picked.length > 0 && (
        <IfMay type="package.move">
          <ChosenBar chosen={picked} zones={zones} onDone={() => setChosen(new Map())} />
        </IfMay>
      )}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <p role="status" className="mr-auto">
          {fault !== '' ? (
            <span className="text-beet">{fault}</span>
          ) : view ? (
            <>
              <b className="font-heading">{view.totals.join(' · ')}</b>
              {view.packs < view.all && <span className="text-slate"> of {view.all} packs here</span>}
            </>
          ) : (
            'Searching …'
          )}
        </p>
        <div className="hidden items-center gap-2 sm:flex">
          <ColumnChoice shown={columns} onShown={setColumns} />
          <a className="button" href={`/api/v1/stock/list?${query}`} target="_blank" rel="noreferrer">
            <Printer aria-hidden size={18} /> Print
          </a>
          <a className="button" href={`/api/v1/stock/csv?${query}`} download>
            <FileDown aria-hidden size={18} /> Save as CSV
          </a>
        </div>
      </div>
      {lines.length === 0 && view ? (
        <div className="card p-8">
          <h2 className="text-xl">{view.all === 0 ? 'Nothing is here yet' : 'Nothing found'}</h2>
          <p className="mt-2">
            {view.all === 0
              ? 'Type a line at the bottom, such as what came home today; it is counted here from then on.'
              : 'No package in the store answers to that. Take a part of the question back, or type a line at the bottom to put something in.'}
          </p>
          {view.all > 0 && (
            <button
              type="button"
              className="button mt-4"
              data-main="true"
              onClick={() => {
                setTyped('');
                filter({ q: '', state: '', zone: '' });
              }}
            >
              Show everything
            </button>
          )}
        </div>
      ) : (
        <div className="grid gap-4 xl:grid-cols-[minmax(0,1fr)_18rem]">
          <GroupTable
            lines={lines}
            shown={columns}
            chosen={new Set(chosen.keys())}
            onOpen={turn}
            onChoose={choose}
            onEnd={more}
          />
          <div className="hidden xl:block">
            <div className="sticky top-16 max-h-[calc(100dvh-10rem)] overflow-y-auto">
              <LitKitchen appliances={appliances} lit={view?.lit ?? {}} asked={asks} />
            </div>
          </div>
        </div>
      )}
    </div>
  );
}
