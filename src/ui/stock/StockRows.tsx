'use client';

import type { PackageView } from '@/services/stock/packageView';
import { useDoor } from '../door/useDoor';
import { DateButton } from '../package/DateButton';
import { MainAction } from '../package/MainAction';
import { sayPackage } from '../package/sayPackage';
import { Tape } from '../tape/Tape';

/** One table of packages; on a phone each row folds into two lines. */
export function StockRows({
  name,
  views,
  chosen,
  onToggle,
}: {
  name: string;
  views: readonly PackageView[];
  chosen: ReadonlySet<string>;
  onToggle: (code: string) => void;
}) {
  const { showPackage } = useDoor();
  return (
    <section className="card overflow-hidden" aria-label={name === '' ? 'Packages' : name}>
      {name !== '' && (
        <h2 className="border-b border-line px-4 py-2 text-lg">{`${name} · ${views.length}`}</h2>
      )}
      <table className="w-full text-left">
        <thead className="sr-only sm:not-sr-only">
          <tr className="text-[0.9375rem] text-slate">
            <th scope="col" className="w-12 py-1 pl-4 font-normal">
              <span className="sr-only">Choose</span>
            </th>
            <th scope="col" className="py-1 font-normal">
              Package
            </th>
            <th scope="col" className="hidden font-normal sm:table-cell">
              Where and since when
            </th>
            <th scope="col" className="hidden font-normal sm:table-cell">
              Code
            </th>
            <th scope="col" className="hidden font-normal sm:table-cell">
              Date
            </th>
            <th scope="col">
              <span className="sr-only">Do</span>
            </th>
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          {views.map((view) => (
            <tr key={view.id}>
              <td className="pl-2">
                <label className="flex size-11 cursor-pointer items-center justify-center">
                  <input
                    type="checkbox"
                    className="size-5 accent-[var(--ink)]"
                    aria-label={`Choose ${view.food.name} ${view.code}`}
                    checked={chosen.has(view.code)}
                    onChange={() => onToggle(view.code)}
                  />
                </label>
              </td>
              <td className="w-full max-w-0 py-1 sm:w-1/3">
                <button
                  type="button"
                  className="flex min-h-11 w-full cursor-pointer items-center text-left"
                  aria-label={sayPackage(view)}
                  onClick={() => showPackage(view.code)}
                >
                  <Tape
                    food={view.food.name}
                    detail={view.amount_words}
                    band={view.band}
                    state={view.state}
                  />
                </button>
                <span className="flex items-center gap-2 text-[0.9375rem] text-slate sm:hidden">
                  <DateButton view={view} />
                  <span className="min-w-0 truncate">{view.story}</span>
                </span>
              </td>
              <td className="hidden text-[0.95rem] text-slate sm:table-cell">{view.story}</td>
              <td className="hidden font-heading font-semibold sm:table-cell">{view.code}</td>
              <td className="hidden whitespace-nowrap sm:table-cell md:w-60">
                <span className="flex items-center gap-2">
                  <DateButton view={view} />
                  <span className="hidden text-[0.9375rem] text-slate md:inline">{view.left_words}</span>
                </span>
              </td>
              <td className="py-1 pr-3 pl-2 text-right">
                <MainAction view={view} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
