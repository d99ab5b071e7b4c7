'use client';

import { flexRender, getCoreRowModel, useReactTable, type VisibilityState } from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useLayoutEffect, useRef, useState } from 'react';
import { useDoor } from '../door/useDoor';
import { DrawnLine } from './DrawnLine';
import { columnsFor } from './stockColumns';
import type { StockLine } from './stockLines';
import { useMainPress } from './useMainPress';

const GUESSED_HIGH = 58;

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
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions change within: nothing here is memoised ('use no memo')
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
  const pressMain = useMainPress();
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
    else if (event.key === '-') pressMain(row);
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
