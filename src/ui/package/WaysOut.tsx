import Link from 'next/link';

/** What a cook can do about a rule that refused a place, the easiest first. */
const WAYS: Readonly<Record<string, readonly { words: string; to: string }[]>> = {
  P1: [{ words: 'Measure a zone', to: '/kitchen' }],
  P2: [{ words: 'Measure a zone', to: '/kitchen' }],
  P3: [
    { words: 'Tidy the fridge', to: '/kitchen/tidy' },
    { words: 'Add a tray', to: '/kitchen' },
  ],
  P4: [{ words: 'Change the zone’s rule', to: '/kitchen' }],
  P5: [
    { words: 'Make room', to: '/kitchen/tidy' },
    { words: 'See what goes first', to: '/' },
  ],
  P6: [{ words: 'Change the shelves', to: '/kitchen' }],
};

/** Doors to what helps where nothing takes a package. */
export function WaysOut({ rule }: { rule: string }) {
  const ways = WAYS[rule] ?? [];
  if (ways.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-2">
      {ways.map(({ words, to }) => (
        <Link key={words} className="button" href={to}>
          {words}
        </Link>
      ))}
    </p>
  );
}
