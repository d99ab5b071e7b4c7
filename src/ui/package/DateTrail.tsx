'use client';

import { sayPlainDate } from '@/core/calendar/sayDate';
import type { TrailLine } from '@/core/model/history';
import type { PackageDetail } from '@/services/stock/package';
import { useRead } from '../door/useRead';
import { Sheet } from '../door/Sheet';
import { RuleName } from '../rules/RuleName';

/** The lines of a trail: rule, what it did to the date, source. */
export function TrailLines({ trail }: { trail: readonly TrailLine[] }) {
  return (
    <ol className="mt-2 space-y-2">
      {trail.map((line, at) => (
        <li key={at} className="border-l-4 border-ice pl-3 text-[0.95rem]">
          <p>{line.says}</p>
          <p className="text-[0.9375rem] text-slate">
            <RuleName rule={line.rule} /> ·{' '}
            {line.from !== line.to && line.to !== null
              ? `${line.from === null ? '' : `${sayPlainDate(line.from)} → `}${sayPlainDate(line.to)}`
              : 'no change'}{' '}
            · after {line.source}
          </p>
        </li>
      ))}
    </ol>
  );
}

/** The trail of one package, fetched when it is asked for. */
export function TrailSheet({ code, full, onClose }: { code: string; full: string; onClose: () => void }) {
  const { body: detail, fault } = useRead<PackageDetail>(`/api/v1/packages/${code}`);
  return (
    <Sheet title="Why this date" onClose={onClose}>
      <p className="font-heading text-lg font-semibold">
        {detail ? `${detail.food.name}, ${detail.amount_words}` : code}
      </p>
      <p className="font-heading text-2xl font-semibold first-letter:uppercase">{full}</p>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {detail ? (
        <TrailLines trail={detail.trail} />
      ) : (
        fault === '' && <p className="mt-2 text-slate">Looking it up …</p>
      )}
      <p className="mt-4 text-slate">
        When in doubt, throw it out. Your local food-safety advice comes first; babies, pregnant, old or ill
        people need more caution.
      </p>
    </Sheet>
  );
}
