'use client';

import { useState } from 'react';
import type { HouseholdView } from '@/services/household/householdView';
import { useDoor } from '../door/useDoor';
import { postJson } from '../door/fetchJson';
import { Choice } from '../forms/Choice';
import { namesOf } from '../start/namesOf';
import { CautionField } from '../start/CautionField';
import { MarksField } from '../start/MarksField';
import { DATE_CHOICES, DECIMAL_CHOICES, HEMISPHERE_CHOICES, UNIT_CHOICES } from '../start/unitChoices';

/** What the household is called, who lives there, by which dates it goes, and how it measures and writes. */
export function HouseholdForm({ view }: { view: HouseholdView }) {
  const { act, tell, busy } = useDoor();
  const { settings } = view;
  const [name, setName] = useState(settings.name);
  const [people, setPeople] = useState(settings.people.join(', '));
  const [marks, setMarks] = useState(settings.marks);
  const [caution, setCaution] = useState(settings.caution);
  const [hemisphere, setHemisphere] = useState(settings.hemisphere);
  const [units, setUnits] = useState(settings.units);
  const [decimals, setDecimals] = useState(settings.decimals);
  const [dateOrder, setDateOrder] = useState(settings.dateOrder);
  const [timeZone, setTimeZone] = useState(settings.timeZone);
  const [currency, setCurrency] = useState(settings.currency);
  const [person, setPerson] = useState(view.person ?? '');
  const faulty = name.trim() === '';
  const choosePerson = async (chosen: string): Promise<void> => {
    setPerson(chosen);
    try {
      await postJson('/api/v1/households/person', { name: chosen });
      tell(chosen === '' ? 'Nobody signs on this device.' : `${chosen} signs on this device from now on.`);
    } catch (error) {
      setPerson(view.person ?? '');
      tell(error instanceof Error ? error.message : 'That did not work.', 'error');
    }
  };
  return (
    <section className="card p-5" aria-labelledby="household">
      <h2 id="household" className="text-lg">
        Household
      </h2>
      {settings.people.length > 0 && (
        <Choice
          label="Who uses this device? The ledger says who did what."
          className="mt-3 block"
          value={person}
          choices={[['', 'Nobody says'], ...settings.people.map((one) => [one, one] as const)]}
          onChoose={(chosen) => void choosePerson(chosen)}
        />
      )}
      <form
        className="mt-3 grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          const changes = {
            name: name.trim(),
            people: namesOf(people),
            marks,
            caution,
            hemisphere,
            units,
            decimals,
            dateOrder,
            timeZone,
            currency,
          };
          if (!faulty) void act({ type: 'household.set', changes });
        }}
      >
        <label>
          <span className="block text-slate">Name</span>
          <input
            className="field"
            maxLength={60}
            value={name}
            aria-invalid={faulty}
            aria-describedby="household-fault"
            onChange={(event) => setName(event.target.value)}
          />
          <span id="household-fault" role="alert" className="block text-[0.9375rem] text-beet">
            {faulty ? 'It needs a name.' : ''}
          </span>
        </label>
        <label>
          <span className="block text-slate">Who lives here, with commas</span>
          <input
            className="field"
            maxLength={400}
            value={people}
            onChange={(event) => setPeople(event.target.value)}
          />
        </label>
        <MarksField people={namesOf(people)} marks={marks} onChange={setMarks} />
        <CautionField value={caution} onChoose={setCaution} />
        <Choice label="Units" value={units} choices={UNIT_CHOICES} onChoose={setUnits} />
        <Choice label="Tenths" value={decimals} choices={DECIMAL_CHOICES} onChoose={setDecimals} />
        <Choice label="Dates in figures" value={dateOrder} choices={DATE_CHOICES} onChoose={setDateOrder} />
        <Choice label="Seasons" value={hemisphere} choices={HEMISPHERE_CHOICES} onChoose={setHemisphere} />
        <label>
          <span className="block text-slate">Time zone</span>
          <input
            className="field"
            list="time-zones"
            value={timeZone}
            onChange={(event) => setTimeZone(event.target.value)}
          />
        </label>
        <label>
          <span className="block text-slate">Currency</span>
          <input
            className="field"
            maxLength={3}
            value={currency}
            onChange={(event) => setCurrency(event.target.value.toUpperCase())}
          />
        </label>
        <button type="submit" className="button" data-main="true" disabled={busy || faulty}>
          Keep it so
        </button>
      </form>
    </section>
  );
}
