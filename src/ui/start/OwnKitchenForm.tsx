'use client';

import Link from 'next/link';
import { useState, useSyncExternalStore } from 'react';
import type { Hemisphere } from '@/core/calendar/hemisphere';
import type { Marks } from '@/core/model/food';
import type { Caution } from '@/core/model/history';
import { PLAIN_WORDING, type Wording } from '@/core/units/wording';
import { Choice } from '../forms/Choice';
import { postJson } from '../door/fetchJson';
import { namesOf } from './namesOf';
import { CautionField } from './CautionField';
import { MarksField } from './MarksField';
import { DATE_CHOICES, DECIMAL_CHOICES, HEMISPHERE_CHOICES, UNIT_CHOICES } from './unitChoices';

/** What a country's shops count in; others are chosen by hand. */
const CURRENCY_OF: Readonly<Record<string, string>> = {
  US: 'USD',
  GB: 'GBP',
  CA: 'CAD',
  AU: 'AUD',
  NZ: 'NZD',
  CH: 'CHF',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  PL: 'PLN',
  CZ: 'CZK',
  HU: 'HUF',
  JP: 'JPY',
  IN: 'INR',
  ZA: 'ZAR',
  BR: 'BRL',
  MX: 'MXN',
  IS: 'ISK',
  RO: 'RON',
  TR: 'TRY',
};

/** Where the use-by of a pack is its safety date by law. */
const BY_THE_PACK = new Set(
  'GB IE FR DE AT BE NL LU ES PT IT GR CY MT DK SE FI EE LV LT PL CZ SK HU SI HR RO BG NO IS LI CH'.split(
    ' ',
  ),
);
/** Where summer begins in December. */
const SOUTH = new Set('AU NZ ZA AR CL UY PY BO PE BR NA BW LS SZ MZ MG ZW ZM MW MU RE FJ PG'.split(' '));

interface Guess extends Wording {
  caution: Caution;
  hemisphere: Hemisphere;
  timeZone: string;
  currency: string;
  dateOrder: 'dmy' | 'mdy';
}

const NO_GUESS: Guess = {
  ...PLAIN_WORDING,
  timeZone: 'UTC',
  currency: 'EUR',
  dateOrder: 'dmy',
  caution: 'usual',
  hemisphere: 'north',
};
let guessed: Guess | null = null;

/** What the browser says of where it is. */
function guess(): Guess {
  if (guessed) return guessed;
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const region = new Intl.Locale(navigator.language).maximize().region ?? '';
  const us = region === 'US' || region === 'LR' || region === 'MM';
  guessed = {
    timeZone,
    currency: CURRENCY_OF[region] ?? 'EUR',
    units: us ? 'us' : 'metric',
    decimals: new Intl.NumberFormat(navigator.language).format(1.5).includes(',') ? 'comma' : 'point',
    dateOrder: us ? 'mdy' : 'dmy',
    caution: BY_THE_PACK.has(region) ? 'printed' : 'usual',
    hemisphere: SOUTH.has(region) ? 'south' : 'north',
  };
  return guessed;
}

const never = (): (() => void) => () => undefined;

/** A household of one's own: its name is enough, the rest is guessed from the browser and can be changed later. */
export function OwnKitchenForm({ timeZones, currencies }: { timeZones: string[]; currencies: string[] }) {
  const told = useSyncExternalStore(never, guess, () => NO_GUESS);
  const [changed, setChanged] = useState<Partial<Guess>>({});
  const [name, setName] = useState('');
  const [people, setPeople] = useState('');
  const [marks, setMarks] = useState<Marks>({});
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const { timeZone, currency, units, decimals, dateOrder, caution, hemisphere } = { ...told, ...changed };
  const zones = timeZones.includes(timeZone) ? timeZones : [timeZone, ...timeZones];
  const names = namesOf(people);
  const make = async (): Promise<void> => {
    if (name.trim() === '') {
      setFault('What is your household called? Any name will do: the street, the family.');
      return;
    }
    setBusy(true);
    try {
      const body = {
        name: name.trim(),
        time_zone: timeZone,
        currency,
        units,
        decimals,
        date_order: dateOrder,
        caution,
        hemisphere,
        people: names,
        marks: Object.fromEntries(Object.entries(marks).filter(([one]) => names.includes(one))),
      };
      await postJson('/api/v1/households/add', body, { household: '' });
      window.location.assign('/move-in');
    } catch (error) {
      setBusy(false);
      setFault(error instanceof Error ? error.message : 'That did not work. Try again.');
    }
  };
  return (
    <form
      className="card mx-auto max-w-2xl space-y-5 p-5 sm:p-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <h1 className="text-[1.6rem]">Our own kitchen</h1>
      <label className="block">
        <span className="block font-semibold">What is your household called?</span>
        <input
          className="field mt-1"
          autoFocus
          maxLength={60}
          value={name}
          aria-invalid={fault !== ''}
          aria-describedby="own-fault"
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <p id="own-fault" role="alert" className={fault === '' ? 'sr-only' : 'text-beet'}>
        {fault}
      </p>
      <label className="block">
        <span className="block font-semibold">Who lives there?</span>
        <span className="block text-slate">
          Names, with commas; they sign what they do. You may leave it empty.
        </span>
        <input
          className="field mt-1"
          maxLength={400}
          value={people}
          onChange={(event) => setPeople(event.target.value)}
        />
      </label>
      <div className="grid gap-4 sm:grid-cols-2">
        <Choice
          label="Units"
          value={units}
          choices={UNIT_CHOICES}
          onChoose={(value) =>
            setChanged({ ...changed, units: value, dateOrder: value === 'us' ? 'mdy' : 'dmy' })
          }
        />
        <CautionField value={caution} onChoose={(value) => setChanged({ ...changed, caution: value })} />
        <MarksField people={names} marks={marks} onChange={setMarks} />
      </div>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-slate-deep">
          {timeZone.replaceAll('_', ' ')} · {currency} · {decimals === 'comma' ? '1,5' : '1.5'} ·{' '}
          {dateOrder === 'dmy' ? 'day first (25/11)' : 'month first (11/25)'} ·{' '}
          {hemisphere === 'north' ? 'summer in June' : 'summer in December'}: is that right?
        </summary>
        <div className="mt-2 grid gap-4 sm:grid-cols-2">
          <label>
            <span className="block text-slate">Time zone</span>
            <select
              className="field"
              value={timeZone}
              onChange={(event) => setChanged({ ...changed, timeZone: event.target.value })}
            >
              {zones.map((zone) => (
                <option key={zone}>{zone}</option>
              ))}
            </select>
          </label>
          <label>
            <span className="block text-slate">Currency</span>
            <select
              className="field"
              value={currency}
              onChange={(event) => setChanged({ ...changed, currency: event.target.value })}
            >
              {currencies.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </label>
          <Choice
            label="Tenths"
            value={decimals}
            choices={DECIMAL_CHOICES}
            onChoose={(value) => setChanged({ ...changed, decimals: value })}
          />
          <Choice
            label="Dates in figures"
            value={dateOrder}
            choices={DATE_CHOICES}
            onChoose={(value) => setChanged({ ...changed, dateOrder: value })}
          />
          <Choice
            label="Seasons"
            value={hemisphere}
            choices={HEMISPHERE_CHOICES}
            onChoose={(value) => setChanged({ ...changed, hemisphere: value })}
          />
        </div>
      </details>
      <p className="text-slate">All of it can be changed later, under Kitchen, Household.</p>
      <div className="flex flex-wrap gap-3">
        <button type="submit" className="button" data-main="true" disabled={busy}>
          {busy ? 'Moving in …' : 'Move in'}
        </button>
        <Link href="/start" className="button">
          Back
        </Link>
      </div>
    </form>
  );
}
