'use client';

import { useEffect, useState } from 'react';
import { sayPlainDate } from '@/core/calendar/sayDate';
import type { TrailLine } from '@/core/keeping/history';
import type { PackageDetail } from '@/services/package';
import { fetchJson } from '../door/sendCommand';

/** The lines of a trail: rule, what it did to the date, source. */
export function TrailLines({ trail }: { trail: readonly TrailLine[] }) {
  return (
    <ol className="mt-2 space-y-2">
      {trail.map((line, at) => (
        <li key={at} className="border-l-4 border-ice pl-3 text-[0.95rem]">
          <p>{line.says}</p>
          <p className="text-[0.9375rem] text-slate">
            {line.rule} ·{' '}
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
export function DateTrail({ code, full }: { code: string; full: string }) {
  const [detail, setDetail] = useState<PackageDetail | null>(null);
  const [fault, setFault] = useState('');
  useEffect(() => {
    fetchJson<PackageDetail>(`/api/v1/packages/${code}`)
      .then(setDetail)
      .catch((error: Error) => setFault(error.message));
  }, [code]);
  return (
    <section aria-label="Why this date">
      <h3 className="text-base first-letter:uppercase">{full}</h3>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {detail ? (
        <TrailLines trail={detail.trail} />
      ) : (
        fault === '' && <p className="mt-2 text-slate">Looking it up …</p>
      )}
      <p className="mt-3 text-[0.9375rem] text-slate">
        When in doubt, throw it out. Your local food-safety advice comes first.
      </p>
    </section>
  );
}
