import type { GuestLabel } from '@/services/keys/guest';

/** One label, large, and what holds for it today. */
export function LabelWords({ label }: { label: GuestLabel }) {
  return (
    <>
      <section
        className="rounded-card border-2 bg-tape p-5 text-tape-ink"
        style={{ borderColor: 'var(--tape-edge)' }}
        aria-label={`Label ${label.code}`}
      >
        <h1 className="text-[2rem] leading-tight">{label.name}</h1>
        <p className="text-xl">
          {label.amount_words} · <span className="font-mono">{label.code}</span>
        </p>
        <p className="mt-3 text-lg">{label.happened}</p>
        <p className="text-2xl font-semibold">{label.due}</p>
        {label.then_do !== '' && <p className="mt-2 text-lg">{label.then_do}</p>}
      </section>
      {label.gone ? (
        <p className="card mt-4 p-4 text-lg">
          This one has left the cold already. What you hold may be another; ask.
        </p>
      ) : label.unfit ? (
        <p role="alert" className="mt-4 rounded-card bg-beet-tint p-4 text-lg font-semibold text-beet">
          Do not eat it. When in doubt, throw it out.
        </p>
      ) : (
        <p className="card mt-4 p-4 text-lg">Today: {label.left_words}.</p>
      )}
    </>
  );
}
