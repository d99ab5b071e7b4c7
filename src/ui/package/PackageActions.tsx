'use client';

import { mayOffer } from '@/core/keeping/mayEat';
import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { useDoor } from '../door/useDoor';
import { AmountField } from '../forms/AmountField';
import dynamic from 'next/dynamic';
import { PotForm } from './PotForm';
import { ZoneChoice } from './ZoneChoice';

const MoreActions = dynamic(() => import('./more/MoreActions').then((module) => module.MoreActions));

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
  const button = (
    label: string,
    onClick: () => void,
    flags: { main?: boolean; danger?: boolean; open?: boolean; large?: boolean } = {},
  ) => (
    <button
      type="button"
      className={
        flags.large ? 'button max-sm:min-h-14 max-sm:min-w-[calc(50%-0.3rem)] max-sm:text-lg' : 'button'
      }
      data-main={flags.main}
      data-danger={flags.danger}
      aria-expanded={flags.open}
      disabled={busy}
      onClick={onClick}
    >
      {label}
    </button>
  );
  const mayTake = mayOffer({ may: detail.verdict });
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap gap-2">
        {mayTake &&
          button('Take all', () => run('package.take'), { main: detail.zone !== null, large: true })}
        {mayTake &&
          detail.amount > 1 &&
          button(
            'Half of it',
            () =>
              detail.part_opens === 'ask'
                ? ask('part')
                : run('package.take', { amount: Math.round(detail.amount / 2) }),
            { large: true },
          )}
        {mayTake && button('Take part', () => ask('part'), { open: asking === 'part' })}
        {!frozen && !detail.opened && button('Open', () => run('package.open'))}
        {button(detail.zone ? 'Move' : 'Put away', () => ask('put'), {
          main: !detail.zone,
          large: !detail.zone,
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
      {asking === 'part' && (
        <PartForm detail={detail} onTake={(amount, pieces) => run('package.take', { amount, pieces })} />
      )}
      {asking === 'put' && (
        <ZoneChoice
          title="Which zone?"
          code={detail.code}
          state={frozen ? 'frozen' : 'chilled'}
          onChoose={(zone, anyway) => run('package.move', { zone, anyway })}
        />
      )}
      {asking === 'thaw' && (
        <div className="space-y-2">
          <ZoneChoice
            title="Thaw it where? A plate, low in the fridge, is safest."
            code={detail.code}
            state="chilled"
            onChoose={(zone, anyway) => run('package.thaw', { method: 'fridge', zone, anyway })}
          />
          <div className="flex flex-wrap gap-2">
            {button('In cold water, cook at once', () => run('package.thaw', { method: 'cold-water' }))}
            {button('In the microwave, cook at once', () => run('package.thaw', { method: 'microwave' }))}
            {!detail.controlled && button('On a metal sheet', () => run('package.thaw', { method: 'metal' }))}
          </div>
        </div>
      )}
      {asking === 'pot' && <PotForm detail={detail} onTopUp={(more) => run('package.top-up', more)} />}
      <MoreActions detail={detail} />
    </div>
  );
}

type Pieces = 'closed' | 'open' | null;

/** How much to take; where only the cook knows whether that opens the rest, both ways are offered. */
function PartForm({
  detail,
  onTake,
}: {
  detail: PackageDetail;
  onTake: (amount: number, pieces: Pieces) => void;
}) {
  const [amount, setAmount] = useState<number | null>(null);
  const take = (pieces: Pieces): void => {
    if (amount !== null) onTake(amount, pieces);
  };
  const asks = detail.part_opens === 'ask';
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        take(asks ? 'open' : null);
      }}
    >
      <AmountField
        label="How much?"
        value={null}
        unit={detail.unit}
        most={detail.amount}
        onChange={setAmount}
      />
      {asks && (
        <button type="button" className="button" onClick={() => take('closed')}>
          Take it, each piece is closed in itself
        </button>
      )}
      <button type="submit" className="button" data-main="true">
        {asks ? 'Take it, the rest is open now' : 'Take it'}
      </button>
      {detail.part_opens === 'opens' && amount !== detail.amount && (
        <p className="w-full text-[0.9375rem] text-slate">What stays counts as opened today.</p>
      )}
    </form>
  );
}
