'use client';

import Link from 'next/link';
import type { PackageView } from '@/services/stock/packageView';
import { useDoor } from '../door/useDoor';

/** What the main action needs to know of a package. */
type ActedOn = Pick<PackageView, 'id' | 'code' | 'version' | 'amount_words' | 'verdict' | 'rule'> & {
  food: Pick<PackageView['food'], 'name'>;
  governing: Pick<PackageView['governing'], 'kind'>;
};

/** The one thing to do with a package from where it stands: take it; look at it when it is past its best; bin it
 * when it is not for eating; decide it where a power cut asks. */
export function MainAction({ view, count = 1 }: { view: ActedOn; count?: number }) {
  const { act, busy, showPackage } = useDoor();
  if (view.verdict === 'look-first' && view.governing.kind === 'best-by') {
    return (
      <button
        type="button"
        className="button shrink-0 whitespace-nowrap"
        aria-label={`Look at ${view.food.name}`}
        onClick={() => showPackage(view.code)}
      >
        Look
      </button>
    );
  }
  if (view.verdict === 'ask')
    return (
      <Link
        className="button shrink-0 whitespace-nowrap"
        href="/outage"
        aria-label={`Decide ${view.food.name} at the outage desk`}
      >
        Outage desk
      </Link>
    );
  const bin = view.verdict === 'discard';
  const name = `${view.food.name} ${view.amount_words}${count > 1 ? ', one of ' + count : ''}`;
  return (
    <button
      type="button"
      className="button shrink-0 whitespace-nowrap"
      data-main={!bin}
      data-danger={bin}
      disabled={busy}
      aria-label={bin ? `Bin it: ${name}` : `Take ${name}`}
      onClick={() =>
        void act({
          type: bin ? 'package.discard' : 'package.take',
          package: view.id,
          version: view.version,
          ...(bin ? { reason: view.rule === 'O13' ? 'power-cut' : 'past-date' } : {}),
        })
      }
    >
      {bin ? 'Bin it' : 'Take'}
    </button>
  );
}
