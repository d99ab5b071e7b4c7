'use client';

import type { LumpAnswer, LumpOffer } from '@/services/lump/lump';
import { useDoor } from '../door/useDoor';

/** So sure nobody needs a second thought. */
const SURE = 80;

/** What the lump may be, the likeliest first, each with its reasons; or something new; or the bin. */
export function LumpOffers({
  answer,
  fault,
  inBooks,
  askOut,
  onThis,
  onNew,
  onBin,
}: {
  answer: LumpAnswer | null;
  fault: string;
  /** It stands in the books without a name. */
  inBooks: boolean;
  /** Nobody said yet how long it was out of the cold: what was lost does not come back without. */
  askOut: boolean;
  onThis: (offer: LumpOffer) => void;
  onNew: () => void;
  onBin: () => void;
}) {
  const { busy, showPackage } = useDoor();
  const unsure = answer !== null && (answer.offers[0]?.sure ?? 0) < SURE;
  return (
    <section aria-labelledby="may-be" className="card p-4">
      <h2 id="may-be" className="text-lg">
        What it may be
      </h2>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {answer === null ? (
        <p className="mt-1 text-slate">Say one thing on the left, and the likeliest stand here.</p>
      ) : (
        <>
          {unsure && answer.cautious_words !== '' && (
            <p className="mt-1 rounded-part bg-beet-tint px-3 py-2">
              Nobody can be sure of this one. Of all that it may well be the earliest date is{' '}
              <b>{answer.cautious_words}</b>
              {answer.cautious_words === 'past already'
                ? ': say more of it, or throw it out.'
                : ': eat it by then, or throw it out.'}
            </p>
          )}
          <ol className="mt-1 divide-y divide-line" aria-live="polite">
            {answer.offers.map((offer) => (
              <li key={offer.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-3">
                {offer.photo !== null && (
                  <img
                    src={`/api/v1/photos/${offer.photo}`}
                    alt={`Photo of ${offer.name} ${offer.code}`}
                    className="size-20 rounded-part object-cover"
                  />
                )}
                <button
                  type="button"
                  className="min-h-11 min-w-0 flex-1 basis-56 text-left"
                  onClick={() => showPackage(offer.code)}
                >
                  <b className="font-heading text-lg font-semibold">
                    {offer.name} {offer.amount_words}
                  </b>{' '}
                  <span className="text-slate">
                    {offer.code}, {offer.place}
                  </span>
                  <span className="block">
                    {offer.sure_words}; {offer.date_words}
                    {offer.not_for_eating && <b className="text-beet">, not for eating</b>}
                  </span>
                  <span className="block text-[0.9375rem] text-slate">{offer.reasons.join(' · ')}</span>
                </button>
                <button
                  type="button"
                  className="button"
                  data-main={offer === answer.offers[0] && !unsure}
                  disabled={busy || (askOut && offer.books === 'lost')}
                  aria-label={`It is ${offer.name} ${offer.code}`}
                  onClick={() => onThis(offer)}
                >
                  It is this one
                </button>
                {askOut && offer.books === 'lost' && (
                  <span className="text-slate">Say first how long it was out of the cold.</span>
                )}
              </li>
            ))}
          </ol>
          <p className="mt-2 text-slate">{answer.stranger_words}</p>
        </>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={onNew}>
          Something new: name it at the line
        </button>
        {inBooks && (
          <button type="button" className="button" data-danger="true" disabled={busy} onClick={onBin}>
            Bin it
          </button>
        )}
      </div>
    </section>
  );
}
