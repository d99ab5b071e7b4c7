'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { Cut } from '@/core/model/cut';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { degreesOf, readDegrees } from '../units/readDegrees';
import { useUnits } from '../units/useWording';
import { toldPart } from './toldPart';
import { TELLTALE_CHOICES } from './cutWords';

const ROWS = 4;
interface Row {
  at: string;
  c: string;
}
interface Pencilled {
  rows: Row[];
  telltale: Cut['parts'][number]['telltale'];
}
const EMPTY: Row = { at: '', c: '' };

/** What was pencilled on the paper card, put in at once: readings with their times, and what the telltales showed. One undo. */
export function CatchUpCard({ cut, onDone }: { cut: Cut; onDone: () => void }) {
  const { act, busy } = useDoor();
  const units = useUnits();
  const [told, setTold] = useState<Readonly<Record<string, Pencilled>>>(() =>
    Object.fromEntries(
      cut.parts.map(({ id, telltale }) => [
        id,
        { rows: Array.from({ length: ROWS }, () => EMPTY), telltale },
      ]),
    ),
  );
  const setRow = (part: string, at: number, change: Partial<Row>): void => {
    const its = told[part];
    if (!its) return;
    const rows = its.rows.map((row, nth) => (nth === at ? { ...row, ...change } : row));
    setTold({ ...told, [part]: { ...its, rows } });
  };
  const half = ({ at, c }: Row): boolean =>
    (at === '') !== (c.trim() === '') || (c.trim() !== '' && !Number.isFinite(readDegrees(c, units)));
  const wrong = cut.parts.find(({ id }) => told[id]?.rows.some(half));
  const commands = wrong
    ? []
    : cut.parts.flatMap((part) => {
        const its = told[part.id];
        if (!its) return [];
        const readings = its.rows
          .filter(({ at }) => at !== '')
          .map(({ at, c }) => ({
            ...{ type: 'cut.read', cut: cut.id, part: part.id, reading: newUuid() },
            ...{ at: new Date(at).toISOString(), c: readDegrees(c, units) },
          }));
        const telltale =
          its.telltale === part.telltale
            ? []
            : [
                {
                  ...{ type: 'cut.part', cut: cut.id, off: false },
                  part: toldPart(part, { telltale: its.telltale }, true),
                },
              ];
        return [...readings, ...telltale];
      });
  return (
    <form
      aria-label="From the paper card"
      className="card space-y-4 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (commands.length > 0) void act(...commands).then((answers) => answers && onDone());
      }}
    >
      <h2 className="text-xl">From the paper card</h2>
      {cut.parts.map((part) => (
        <fieldset key={part.id}>
          <legend className="font-heading font-semibold">{part.called}</legend>
          <div className="flex flex-wrap gap-x-4 gap-y-2">
            {told[part.id]?.rows.map((row, at) => (
              <div key={at} className="flex items-end gap-1">
                <label>
                  <span className="block text-slate">{at + 1}. at</span>
                  <input
                    className="field"
                    type="datetime-local"
                    value={row.at}
                    onChange={(event) => setRow(part.id, at, { at: event.target.value })}
                  />
                </label>
                <label className="w-20">
                  <span className="block text-slate">{degreesOf(units)}</span>
                  <input
                    className="field"
                    value={row.c}
                    onChange={(event) => setRow(part.id, at, { c: event.target.value })}
                  />
                </label>
              </div>
            ))}
            {part.kind === 'freezer' && (
              <Choice
                label="Telltale"
                value={told[part.id]?.telltale ?? 'none'}
                choices={TELLTALE_CHOICES}
                onChoose={(telltale) => {
                  const its = told[part.id];
                  if (its) setTold({ ...told, [part.id]: { ...its, telltale } });
                }}
              />
            )}
          </div>
        </fieldset>
      ))}
      <p role="alert" className="text-beet">
        {wrong ? `${wrong.called}: a reading needs a time and a temperature.` : ''}
      </p>
      <button type="submit" className="button" data-main="true" disabled={busy || commands.length === 0}>
        {commands.length === 0 ? 'Nothing is put in yet' : `Put in ${commands.length}`}
      </button>
    </form>
  );
}
