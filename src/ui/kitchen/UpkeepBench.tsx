'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import { addDays } from '@/core/calendar/calendarDate';
import { UPKEEP_KINDS } from '@/core/kitchen/jobDue';
import { typedIn } from '@/core/units/typedIn';
import type { UpkeepView } from '@/services/kitchen/upkeep';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { NumberField } from '../forms/NumberField';
import { useWording } from '../units/useWording';
import { DayField } from '../forms/DayField';

/** What comes round: done with one button, its interval changed where it stands. */
export function UpkeepBench({
  jobs,
  today,
  appliances,
}: {
  jobs: UpkeepView[];
  today: string;
  appliances: string[];
}) {
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
      <section className="card p-5" aria-labelledby="upkeep">
        <h2 id="upkeep" className="text-lg">
          Rounds and upkeep
        </h2>
        {jobs.length === 0 && (
          <p className="mt-1 text-slate">Nothing comes round in this kitchen yet. Pick one beside.</p>
        )}
        <ul className="mt-1 divide-y divide-line">
          {jobs.map((one) => (
            <UpkeepRow key={`${one.job.id} ${one.job.everyDays}`} {...one} />
          ))}
        </ul>
      </section>
      <NewUpkeep today={today} appliances={appliances} />
    </div>
  );
}

function UpkeepRow({ job, due, due_words, last_words }: UpkeepView) {
  const { act, busy } = useDoor();
  const [frost, setFrost] = useState('');
  const field = typedIn('mm', useWording());
  const measured = Math.round(field.read(frost));
  const says = UPKEEP_KINDS.find(({ name }) => job.name.startsWith(name))?.says;
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
      <span className="min-w-0 flex-1 basis-64">
        <b className="font-heading font-semibold">{job.name}</b>
        <span className={`block text-[0.9375rem] ${due ? 'font-semibold text-ember-deep' : 'text-slate'}`}>
          {job.dueOn === null ? `every ${job.everyDays} days, ` : ''}
          {due_words} · {last_words}
        </span>
        {says && <span className="block text-[0.9375rem] text-slate">{says}</span>}
      </span>
      {job.frostMm !== null && (
        <form
          className="flex items-center gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            const { lastOn: _last, ...rest } = job;
            if (measured >= 0 && measured < 1000)
              void act({ type: 'job.set', job: { ...rest, frostMm: measured } });
          }}
        >
          <label className="flex items-center gap-1.5 text-slate">
            Frost, {field.unit}
            <input
              className="field w-18"
              inputMode="decimal"
              placeholder={field.show(job.frostMm)}
              value={frost}
              onChange={(event) => setFrost(event.target.value)}
            />
          </label>
          <button type="submit" className="button" disabled={busy || !(measured >= 0 && measured < 1000)}>
            Measured
          </button>
        </form>
      )}
      <button
        type="button"
        className="button"
        data-main={due}
        disabled={busy}
        aria-label={`Done: ${job.name}`}
        onClick={() => void act({ type: 'job.done', job: job.id })}
      >
        Done
      </button>
      <button
        type="button"
        className="button"
        data-muted="true"
        disabled={busy}
        aria-label={`No longer: ${job.name}`}
        onClick={() => {
          const { lastOn: _last, ...rest } = job;
          void act({ type: 'job.set', job: { ...rest, retired: true } });
        }}
      >
        No longer
      </button>
    </li>
  );
}

function NewUpkeep({ today, appliances }: { today: string; appliances: string[] }) {
  const { act, busy } = useDoor();
  const [picked, setPicked] = useState(UPKEEP_KINDS[0]?.name ?? '');
  const [own, setOwn] = useState('');
  const [where, setWhere] = useState('');
  const [days, setDays] = useState<number | null>(null);
  const [on, setOn] = useState('');
  const kind = UPKEEP_KINDS.find(({ name }) => name === picked);
  const once = kind?.ahead !== undefined;
  const base = kind ? kind.name : own.trim();
  const name = where === '' ? base : `${base}, ${where}`;
  const everyDays = days ?? kind?.everyDays ?? 30;
  const dueOn = once && on !== '' ? addDays(on, -(kind.ahead ?? 0)) : null;
  const fault =
    base === ''
      ? 'Say what is to be done.'
      : once && on === ''
        ? 'Choose the day they are needed.'
        : dueOn !== null && dueOn < today
          ? `That leaves no ${kind?.ahead} days: put them in today and choose a later day.`
          : '';
  return (
    <section className="card space-y-3 p-5" aria-labelledby="new-upkeep">
      <h2 id="new-upkeep" className="text-lg">
        Something else comes round
      </h2>
      <Choice
        label="What"
        value={picked}
        choices={[
          ...UPKEEP_KINDS.map(({ name: title }): [string, string] => [title, title]),
          ['', 'in my own words'],
        ]}
        onChoose={(title) => {
          setPicked(title);
          setDays(null);
        }}
      />
      {!kind && (
        <label className="block">
          <span className="block text-slate">In your own words</span>
          <input
            className="field"
            maxLength={60}
            value={own}
            onChange={(event) => setOwn(event.target.value)}
          />
        </label>
      )}
      <Choice
        label="Where"
        value={where}
        choices={[['', 'the whole kitchen'], ...appliances.map((title): [string, string] => [title, title])]}
        onChoose={setWhere}
      />
      {once ? (
        <DayField label="They are needed on" value={on} from={today} onChange={setOn} />
      ) : (
        <NumberField
          key={picked}
          label="Every so many days"
          value={everyDays}
          most={3650}
          onChange={(value) => setDays(value)}
        />
      )}
      {kind && <p className="text-slate">{kind.says}</p>}
      <button
        type="button"
        className="button"
        data-main="true"
        disabled={busy || fault !== ''}
        onClick={() =>
          void act({
            type: 'job.set',
            job: { id: newUuid(), kind: 'upkeep', name, everyDays, dueOn, frostMm: kind?.frost ? 0 : null },
          })
        }
      >
        Add it
      </button>
      {fault !== '' && <p className="text-slate">{fault}</p>}
    </section>
  );
}
