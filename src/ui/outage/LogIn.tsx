'use client';

import { useState } from 'react';
import type { LogRead } from '@/services/outage/readLog';
import type { ThermometerView } from '@/services/outage/thermometers';
import { postJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';

/** As many as one command takes. */
const MOST_READINGS = 2000;
const EXAMPLE = 'time,compartment,celsius\n2026-11-27 06:15,Boat-shed chest,-18';

/** A log from a file or pasted: read first, by compartment, with the lines that say nothing; put in by one press. */
export function LogIn({ parts }: { parts: readonly ThermometerView[] }) {
  const { act, tell, busy } = useDoor();
  const [csv, setCsv] = useState('');
  const [read, setRead] = useState<LogRead | null>(null);
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const look = async (text: string): Promise<void> => {
    setCsv(text);
    try {
      setRead(text.trim() === '' ? null : await postJson<LogRead>('/api/v1/outage/log/read', { csv: text }));
    } catch (error) {
      setRead(null);
      tell(error instanceof Error ? error.message : 'That cannot be read.', 'error');
    }
  };
  const partOf = ({ name, part }: LogRead['parts'][number]): string => part ?? chosen[name] ?? '';
  const ready = (read?.parts ?? []).filter((one) => partOf(one) !== '');
  const count = ready.reduce((sum, { readings }) => sum + readings.length, 0);
  const putIn = (): void => {
    const commands = ready.flatMap((one) =>
      Array.from({ length: Math.ceil(one.readings.length / MOST_READINGS) }, (_, at) => ({
        type: 'log.add',
        part: partOf(one),
        readings: one.readings.slice(at * MOST_READINGS, (at + 1) * MOST_READINGS),
      })),
    );
    void act(...commands).then((answers) => {
      if (!answers) return;
      setCsv('');
      setRead(null);
    });
  };
  return (
    <section aria-label="Put a log in" className="card space-y-3 p-4">
      <h2 className="text-lg">Put a log in</h2>
      <p className="text-slate">
        A table of time and temperature, as most thermometers save it. Times without a zone are this
        kitchen’s.
      </p>
      <label className="block">
        <span className="block text-slate">A CSV file</span>
        <input
          className="field py-2"
          type="file"
          accept=".csv,text/csv,text/plain"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void file.text().then(look);
          }}
        />
      </label>
      <label className="block">
        <span className="block text-slate">or pasted</span>
        <textarea
          className="field min-h-24 font-mono text-base"
          value={csv.length > 4000 ? `${csv.slice(0, 4000)}\n…` : csv}
          placeholder={EXAMPLE}
          onChange={(event) => void look(event.target.value)}
        />
      </label>
      <div role="status" className="space-y-2">
        {read?.parts.map((one) => (
          <div key={one.name} className="flex flex-wrap items-end gap-3">
            <p className="mr-auto">
              <b className="font-heading">{one.name === '' ? 'No compartment named' : one.name}</b>:{' '}
              {one.readings.length} readings
            </p>
            {one.part === null && (
              <Choice
                label="is the log of"
                value={chosen[one.name] ?? ''}
                choices={[['', 'choose …'], ...parts.map(({ id, called }) => [id, called] as const)]}
                onChoose={(id) => setChosen({ ...chosen, [one.name]: id })}
              />
            )}
          </div>
        ))}
        {read && read.bad.length > 0 && (
          <details open={read.parts.length === 0} className="border-l-4 border-honey pl-3">
            <summary className="min-h-11 cursor-pointer py-2">
              {read.bad.length === 1 ? 'One line says nothing' : `${read.bad.length} lines say nothing`}; they
              are left out
            </summary>
            <ul className="max-h-52 overflow-y-auto text-[0.9375rem]">
              {read.bad.map(({ line, text, says }) => (
                <li key={line}>
                  line {line}: “{text}”: {says}
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
      <button
        type="button"
        className="button"
        data-main={count > 0}
        disabled={busy || count === 0}
        onClick={putIn}
      >
        {count === 0 ? 'Nothing to put in yet' : `Put in ${count} readings`}
      </button>
    </section>
  );
}
