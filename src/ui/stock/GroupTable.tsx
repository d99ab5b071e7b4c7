'use client';

import {
  type ColumnDef,
  flexRender,
  getCoreRowModel,
  type Row,
  useReactTable,
  type VisibilityState,
} from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { type KeyboardEvent, memo, useLayoutEffect, useRef, useState } from 'react';
import type { PackageView } from '@/services/stock/packageView';
import type { GroupView } from '@/services/stock/stockGroups';
import { useDoor } from '../door/useDoor';
import { DateButton } from '../package/DateButton';
import { MainAction } from '../package/MainAction';
import { sayPackage } from '../package/sayPackage';
import { Tape } from '../tape/Tape';

/** A line of the list: a group, a single package, or what stands for packages on their way. */
export type StockLine =
  | { kind: 'group'; key: string; group: GroupView; open: boolean }
  | { kind: 'package'; key: string; view: PackageView; inside: boolean }
  | { kind: 'words'; key: string; words: string };

export const COLUMNS = [
  ['sizes', 'How many'],
  ['where', 'Where and since when'],
  ['comes', 'Comes to'],
  ['code', 'Code'],
  ['date', 'Date'],
] as const;

const GUESSED_HIGH = 58;

function nameCell(
  line: StockLine,
  { onOpen, showPackage }: { onOpen: (key: string) => void; showPackage: (code: string) => void },
) {
  if (line.kind === 'words') return <span className="text-slate">{line.words}</span>;
  if (line.kind === 'package') {
    const { view } = line;
    return (
      <span className={line.inside ? 'block pl-5' : 'block'}>
        <button
          type="button"
          className="flex min-h-11 w-full cursor-pointer items-center text-left"
          aria-label={sayPackage(view)}
          onClick={() => showPackage(view.code)}
        >
          <Tape food={view.food.name} detail={view.amount_words} band={view.band} state={view.state} />
        </button>
        <span className="flex items-center gap-2 text-[0.9375rem] text-slate sm:hidden">
          <DateButton view={view} />
          <span className="min-w-0 truncate">{view.story}</span>
        </span>
      </span>
    );
  }
  const { group, open } = line;
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <button
      type="button"
      data-group-name
      className="flex min-h-11 w-full cursor-pointer items-center gap-1.5 text-left"
      aria-expanded={open}
      aria-label={`${group.title}, ${group.packs} packs: ${group.sizes}, oldest ${group.oldest}`}
      onClick={() => onOpen(line.key)}
    >
      <Mark aria-hidden size={20} className="shrink-0" />
      <b className="min-w-0 truncate font-heading font-semibold sm:whitespace-normal">{group.title}</b>
      <span className="ml-auto shrink-0 text-[0.9375rem] text-slate sm:hidden">
        {group.packs} · {group.due_words}
      </span>
    </button>
  );
}

function columnsFor(doing: {
  onOpen: (key: string) => void;
  showPackage: (code: string) => void;
}): ColumnDef<StockLine>[] {
  const cell = (
    id: string,
    header: string,
    group: (view: GroupView) => React.ReactNode,
    single: (view: PackageView) => React.ReactNode,
  ): ColumnDef<StockLine> => ({
    id,
    header,
    cell: ({ row: { original: line } }) =>
      line.kind === 'group' ? group(line.group) : line.kind === 'package' ? single(line.view) : null,
  });
  return [
    { id: 'name', header: 'What', cell: ({ row }) => nameCell(row.original, doing), enableHiding: false },
    cell(
      'sizes',
      'How many',
      ({ sizes, oldest }) => `${sizes}, oldest ${oldest}`,
      () => null,
    ),
    cell(
      'where',
      'Where and since when',
      ({ where }) => where,
      ({ story }) => story,
    ),
    cell(
      'comes',
      'Comes to',
      ({ comes_to }) => comes_to,
      ({ amount_words }) => amount_words,
    ),
    cell(
      'code',
      'Code',
      () => '',
      ({ code }) => <b className="font-heading font-semibold">{code}</b>,
    ),
    cell(
      'date',
      'Date',
      ({ due_words, due_full, band }) => (
        <span title={due_full} className={`font-heading font-semibold ${band === 'past' ? 'text-beet' : ''}`}>
          {due_words}
        </span>
      ),
      (view) => <DateButton view={view} />,
    ),
  ];
}

/** One line as it is drawn; while one scrolls it stays as it was. */
const DrawnLine = memo(function DrawnLine({
  row,
  index,
  isChosen,
  measure,
  onChoose,
}: {
  row: Row<StockLine>;
  index: number;
  /** Which columns are shown: another choice draws it anew. */
  shown: VisibilityState;
  isChosen: boolean;
  measure: (element: HTMLTableRowElement | null) => void;
  onChoose: (line: StockLine) => void;
}) {
  const line = row.original;
  return (
    <tr
      ref={measure}
      data-index={index}
      aria-rowindex={index + 2}
      className={line.kind === 'package' && line.inside ? 'bg-rime/60' : ''}
    >
      <td className="pl-2">
        {line.kind !== 'words' && (
          <label className="flex size-11 cursor-pointer items-center justify-center">
            <input
              type="checkbox"
              className="size-5 accent-[var(--ink)]"
              aria-label={
                line.kind === 'group'
                  ? `Choose all ${line.group.packs} of ${line.group.title}`
                  : `Choose ${line.view.food.name} ${line.view.code}`
              }
              checked={isChosen}
              onChange={() => onChoose(line)}
            />
          </label>
        )}
      </td>
      {row.getVisibleCells().map(({ id, column, getContext }) => (
        <td
          key={id}
          className={
            column.id === 'name'
              ? 'w-full max-w-0 py-1 sm:w-[28%]'
              : `hidden py-1 pr-3 text-[0.95rem] text-slate sm:table-cell ${column.id === 'date' ? 'whitespace-nowrap' : ''}`
          }
        >
          {flexRender(column.columnDef.cell, getContext())}
        </td>
      ))}
      <td className="py-1 pr-3 pl-2 text-right" data-main-action>
        {line.kind === 'package' && <MainAction view={line.view} />}
        {line.kind === 'group' && <MainAction view={line.group.first} count={line.group.packs} />}
      </td>
    </tr>
  );
});

/**
 * The stock as lines, only those in sight drawn. Arrows go along them, Enter opens a group, x chooses, − takes the one that goes
 * first.
 */
export function GroupTable({
  lines,
  shown,
  chosen,
  onOpen,
  onChoose,
  onEnd,
}: {
  lines: StockLine[];
  /** Columns that are shown, by id. */
  shown: VisibilityState;
  /** Codes that are chosen. */
  chosen: ReadonlySet<string>;
  onOpen: (key: string) => void;
  onChoose: (line: StockLine) => void;
  /** The last line came in sight. */
  onEnd: () => void;
}) {
  'use no memo';
  const { showPackage } = useDoor();
  const [columns] = useState(() => columnsFor({ onOpen, showPackage }));
  // What is virtual draws only what is in sight, by its own measures: https://react.dev/reference/eslint-plugin-react-hooks/lints/incompatible-library
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: lines,
    columns,
    state: { columnVisibility: shown },
    getCoreRowModel: getCoreRowModel(),
    getRowId: ({ key }) => key,
  });
  const body = useRef<HTMLTableSectionElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop(
      body.current?.getBoundingClientRect().top
        ? body.current.getBoundingClientRect().top + window.scrollY
        : 0,
    );
  }, [lines.length]);
  const { rows } = table.getRowModel();
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => GUESSED_HIGH,
    overscan: 6,
    scrollMargin: top,
    getItemKey: (at) => rows[at]?.id ?? at,
    // Before the page lives there is no window: as much as a screen holds is sent.
    initialRect: { width: 1280, height: 900 },
  });
  const items = virtual.getVirtualItems();
  const last = items.at(-1)?.index ?? -1;
  useLayoutEffect(() => {
    if (last >= rows.length - 10) onEnd();
  });
  const above = (items[0]?.start ?? top) - top;
  const below = virtual.getTotalSize() - ((items.at(-1)?.end ?? top) - top);
  const go = (at: number): void => {
    const to = Math.max(0, Math.min(rows.length - 1, at));
    virtual.scrollToIndex(to);
    requestAnimationFrame(() =>
      body.current?.querySelector<HTMLElement>(`[data-index="${to}"] button`)?.focus({ preventScroll: true }),
    );
  };
  const onKeyDown = (event: KeyboardEvent<HTMLTableSectionElement>): void => {
    const row = (event.target as HTMLElement).closest<HTMLElement>('[data-index]');
    if (!row || event.ctrlKey || event.metaKey || event.altKey) return;
    const at = Number(row.dataset.index);
    const line = rows[at]?.original;
    if (event.key === 'ArrowDown') go(at + 1);
    else if (event.key === 'ArrowUp') go(at - 1);
    else if (event.key === 'Home') go(0);
    else if (event.key === 'End') go(rows.length - 1);
    else if (line && event.key === 'x') onChoose(line);
    else if (line?.kind === 'group' && event.key === 'ArrowRight' && !line.open) onOpen(line.key);
    else if (line?.kind === 'group' && event.key === 'ArrowLeft' && line.open) onOpen(line.key);
    else if (event.key === '-') row.querySelector<HTMLElement>('[data-main-action] button')?.click();
    else return;
    event.preventDefault();
  };
  const isChosen = (line: StockLine): boolean =>
    line.kind === 'package'
      ? chosen.has(line.view.code)
      : line.kind === 'group' && chosen.has(line.group.first.code);
  return (
    <div className="card overflow-hidden">
      <table className="w-full text-left" aria-rowcount={rows.length + 1}>
        <thead className="sr-only sm:not-sr-only">
          {table.getHeaderGroups().map((head) => (
            <tr key={head.id} className="text-[0.9375rem] text-slate">
              <th scope="col" className="w-12 py-1 pl-4 font-normal">
                <span className="sr-only">Choose</span>
              </th>
              {head.headers.map(({ id, column, getContext }) => (
                <th
                  key={id}
                  scope="col"
                  className={`py-1 pr-3 font-normal ${id === 'name' ? '' : 'hidden sm:table-cell'}`}
                >
                  {flexRender(column.columnDef.header, getContext())}
                </th>
              ))}
              <th scope="col">
                <span className="sr-only">Do</span>
              </th>
            </tr>
          ))}
        </thead>
        <tbody ref={body} onKeyDown={onKeyDown} className="divide-y divide-line">
          {above > 0 && (
            <tr aria-hidden style={{ height: above }}>
              <td />
            </tr>
          )}
          {items.map(({ index, key }) => {
            const row = rows[index];
            if (!row) return null;
            return (
              <DrawnLine
                key={key}
                row={row}
                index={index}
                shown={shown}
                isChosen={isChosen(row.original)}
                measure={virtual.measureElement}
                onChoose={onChoose}
              />
            );
          })}
          {below > 0 && (
            <tr aria-hidden style={{ height: below }}>
              <td />
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}
