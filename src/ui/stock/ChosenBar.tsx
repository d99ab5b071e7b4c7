'use client';

import { mayOffer } from '@/core/keeping/mayEat';
import { useState } from 'react';
import { DISCARD_REASONS, type DiscardReason } from '@/core/model/package';
import type { PackageView } from '@/services/stock/packageView';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { DISCARD_WORDS } from '../package/discardWords';
import { ChosenDeeds, type DeedZone } from './ChosenDeeds';

/** What is chosen as one: taken, thrown out, kept, put together, each with one undo for all. */
export function ChosenBar({
  chosen,
  zones,
  onDone,
}: {
  chosen: readonly PackageView[];
  zones: readonly DeedZone[];
  onDone: () => void;
}) {
  const { act, busy, showLabels } = useDoor();
  const [binning, setBinning] = useState(false);
  const [unfolded, setUnfolded] = useState(false);
  const all = (
    type: string,
    more: Record<string, unknown> | ((one: PackageView) => Record<string, unknown>) = {},
  ): void =>
    void act(
      ...chosen.map((one) => ({
        ...{ type, package: one.id, version: one.version },
        ...(typeof more === 'function' ? more(one) : more),
      })),
    ).then((answers) => answers && onDone());
  const [first, ...rest] = chosen;
  const alike = rest.length > 0 && rest.every((one) => one.food.id === first?.food.id);
  const merge = (): void => {
    if (!first) return;
    const others = rest.map(({ id, version }) => ({ package: id, version, amount: null }));
    void act({ type: 'package.merge', package: first.id, version: first.version, with: others }).then(
      (answers) => answers && onDone(),
    );
  };
  const button = (words: string, press: () => void, danger = false) => (
    <button type="button" className="button" data-danger={danger} disabled={busy} onClick={press}>
      {words}
    </button>
  );
  return (
    <section
      aria-label={`${chosen.length} chosen`}
      className="sticky top-14 z-20 rounded-card border border-tape-edge bg-tape px-4 py-2 text-tape-ink"
    >
      <div className="flex flex-wrap items-center gap-2">
        <b className="mr-auto font-heading">{chosen.length} chosen</b>
        {chosen.every(({ verdict }) => mayOffer({ may: verdict })) &&
          button('Take them', () => all('package.take'))}
        {button('Labels', () => showLabels(chosen.map(({ code }) => code)))}
        <Choice
          label="Move them"
          className="[&>span]:sr-only"
          value=""
          choices={[['', 'Move them to …'], ...zones.map(({ id, name }) => [id, name] as const)]}
          onChoose={(zone) => zone !== '' && all('package.move', { zone })}
        />
        {chosen.every(({ opened, state }) => !opened && state !== 'frozen') &&
          button('Open', () => all('package.open'))}
        {alike && button('Put together', merge)}
        {button('Hands off', () => all('package.keep-for', { whose: '', on: null, handsOff: true }))}
        {button('Nowhere', () => all('package.lose'))}
        {button('Bin them', () => setBinning(!binning), true)}
        <button
          type="button"
          className="button"
          aria-expanded={unfolded}
          onClick={() => setUnfolded(!unfolded)}
        >
          Freeze, split, pour …
        </button>
        {button('Untick', onDone)}
      </div>
      {unfolded && <ChosenDeeds chosen={chosen} zones={zones} all={all} />}
      {binning && (
        <fieldset className="mt-2">
          <legend>Why?</legend>
          <div className="flex flex-wrap gap-2">
            {DISCARD_REASONS.map((reason: DiscardReason) => (
              <span key={reason}>
                {button(DISCARD_WORDS[reason], () => all('package.discard', { reason }), true)}
              </span>
            ))}
          </div>
        </fieldset>
      )}
    </section>
  );
}
