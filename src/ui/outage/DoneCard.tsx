import { DID_WORDS } from './cutWords';
import type { Desk } from './deskOf';

/** What was decided and done, with what was lost. */
export function DoneCard({ desk: { cut, done } }: { desk: Desk }) {
  const things = done.flatMap((one) => one.things);
  if (things.length === 0) return null;
  const lost = things.filter(({ did, rule }) => did === 'discard' && rule !== 'date');
  return (
    <section aria-label="Done" className="card px-4 py-3">
      <h3 className="flex items-baseline justify-between text-lg">
        Done <span>{things.length}</span>
      </h3>
      <ul className="text-[0.9375rem]">
        {things.map((one) => (
          <li key={one.package}>
            {one.called} {one.code}: {DID_WORDS[one.did]}
          </li>
        ))}
      </ul>
      {lost.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          <a className="button" href={`/api/v1/outage/losses?cut=${cut.id}`} target="_blank" rel="noreferrer">
            Loss list
          </a>
          <a className="button" href={`/api/v1/outage/losses/csv?cut=${cut.id}`} download>
            Save as CSV
          </a>
        </div>
      )}
    </section>
  );
}
