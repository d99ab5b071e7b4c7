'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/package';
import { useDoor } from '../door/DoorProvider';
import { PotForm } from './PotForm';

type Asking = 'none' | 'part' | 'put' | 'thaw' | 'pot';

/** What can be done with a package from where it stands. */
export function PackageActions({ detail }: { detail: PackageDetail }) {
  const { act, busy, showLabels } = useDoor();
  const [asking, setAsking] = useState<Asking>('none');
  const base = { package: detail.id, version: detail.version };
  const frozen = detail.hard_frozen;
  const run = (type: string, more: Record<string, unknown> = {}): void => {
    setAsking('none');
    void act({ type, ...base, ...more });
  };
  const ask = (what: Asking): void => setAsking(asking === what ? 'none' : what);
  const zonesOf = (cold: 'fridge' | 'freezer') => detail.zones.filter((zone) => zone.cold === cold);
  const button = (
    label: string,
    onClick: () => void,
    flags: { main?: boolean; danger?: boolean; open?: boolean } = {},
  ) => (
    <button
      type="button"
      className="button"
      data-main={flags.main}
      data-danger={flags.danger}
      aria-expanded={flags.open}
      disabled={busy}
      onClick={onClick}
    >
      {label}
    </button>
  );
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap gap-2">
        {detail.verdict !== 'discard' && button('Take all', () => run('package.take'), { main: true })}
        {detail.verdict !== 'discard' && button('Take part', () => ask('part'), { open: asking === 'part' })}
        {!frozen && !detail.opened && button('Open', () => run('package.open'))}
        {button(detail.zone ? 'Move' : 'Put away', () => ask('put'), {
          main: !detail.zone,
          open: asking === 'put',
        })}
        {frozen && button('Move down to thaw', () => ask('thaw'), { open: asking === 'thaw' })}
        {detail.zone && button('To the counter', () => run('package.move', { zone: null }))}
        {button('Label', () => showLabels([detail.code]))}
        {detail.state === 'thawing' &&
          button('It is thawed', () => run('package.thaw', { method: 'fridge' }))}
        {detail.form === 'pot' && button('Top up', () => ask('pot'), { open: asking === 'pot' })}
        {detail.may_stay_out && button('Keep it out', () => run('package.keep-out'))}
        {!frozen && button('Found turning', () => run('package.find', { finding: 'turning' }))}
      </div>
      {asking === 'part' && <PartForm detail={detail} onTake={(amount) => run('package.take', { amount })} />}
      {asking === 'put' && (
        <ZoneChoice
          title="Which zone?"
          zones={zonesOf(frozen ? 'freezer' : 'fridge').filter(({ id }) => id !== detail.zone?.id)}
          onChoose={(zone) => run('package.move', { zone })}
        />
      )}
      {asking === 'thaw' && (
        <div className="space-y-2">
          <ZoneChoice
            title="Thaw it where? A plate, low in the fridge, is safest."
            zones={zonesOf('fridge')}
            onChoose={(zone) => run('package.thaw', { method: 'fridge', zone })}
          />
          <div className="flex flex-wrap gap-2">
            {button('In cold water, cook at once', () => run('package.thaw', { method: 'cold-water' }))}
            {button('In the microwave, cook at once', () => run('package.thaw', { method: 'microwave' }))}
            {!detail.controlled && button('On a metal sheet', () => run('package.thaw', { method: 'metal' }))}
          </div>
        </div>
      )}
      {asking === 'pot' && <PotForm detail={detail} onTopUp={(more) => run('package.top-up', more)} />}
    </div>
  );
}

function ZoneChoice({
  title,
  zones,
  onChoose,
}: {
  title: string;
  zones: PackageDetail['zones'];
  onChoose: (zone: string) => void;
}) {
  return (
    <fieldset className="rounded-part border border-line p-3">
      <legend className="px-1">{title}</legend>
      <div className="flex flex-wrap gap-2">
        {zones.map((zone) => (
          <button key={zone.id} type="button" className="button" onClick={() => onChoose(zone.id)}>
            {zone.name}
            <span className="font-normal"> {zone.appliance}</span>
          </button>
        ))}
        {zones.length === 0 && <p>There is no zone for that in this kitchen.</p>}
      </div>
    </fieldset>
  );
}

function PartForm({ detail, onTake }: { detail: PackageDetail; onTake: (amount: number) => void }) {
  const [text, setText] = useState('');
  const amount = Number(text);
  const fault =
    text === ''
      ? ''
      : !Number.isInteger(amount) || amount < 1
        ? 'A whole number, please.'
        : amount > detail.amount
          ? `There are ${detail.amount_words} in it.`
          : '';
  const unit = detail.unit === 'pc' ? 'pieces' : detail.unit;
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text !== '' && fault === '') onTake(amount);
      }}
    >
      <label className="w-44">
        <span className="block">How much, in {unit}?</span>
        <input
          className="field"
          inputMode="numeric"
          value={text}
          onChange={(event) => setText(event.target.value)}
          aria-invalid={fault !== ''}
          aria-describedby="part-fault"
        />
      </label>
      <button type="submit" className="button" data-main="true">
        Take it
      </button>
      <p id="part-fault" role="alert" className="w-full text-beet">
        {fault}
      </p>
    </form>
  );
}
