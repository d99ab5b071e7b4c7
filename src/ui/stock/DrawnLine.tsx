'use client';

import { flexRender, type Row, type VisibilityState } from '@tanstack/react-table';
import { memo } from 'react';
import { MainAction } from '../package/MainAction';
import type { StockLine } from './stockLines';
import { IfMay } from '../door/IfMay';

/** One line as it is drawn; while one scrolls it stays as it was. */
export const DrawnLine = memo(function DrawnLine({
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
        {line.kind === 'package' && (
          <IfMay type="package.take">
            <MainAction view={line.view} />
          </IfMay>
        )}
        {line.kind === 'group' && (
          <IfMay type="package.take">
            <MainAction view={line.group.first} count={line.group.packs} />
          </IfMay>
        )}
      </td>
    </tr>
  );
});
