'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** The pages of a place, one beside the other; the first is the place itself. */
export function Rooms({
  name: place,
  rooms,
}: {
  name: string;
  rooms: readonly (readonly [href: string, name: string])[];
}) {
  const here = usePathname();
  const row = useRef<HTMLElement>(null);
  // On a phone the row is longer than the screen: the page that is open is in the middle of what shows.
  useEffect(() => {
    const open = row.current?.querySelector<HTMLElement>('[aria-current]');
    if (row.current && open)
      row.current.scrollLeft = open.offsetLeft - (row.current.clientWidth - open.clientWidth) / 2;
  }, [here]);
  return (
    <nav
      ref={row}
      aria-label={place}
      className="relative -mx-3 mb-2 flex overflow-x-auto border-b border-line px-3 sm:-mx-6 sm:px-6"
    >
      {rooms.map(([href, name]) => (
        <Link
          key={href}
          href={href}
          aria-current={
            here === href || (href !== rooms[0]?.[0] && here.startsWith(`${href}/`)) ? 'page' : undefined
          }
          className="flex min-h-11 shrink-0 items-center border-b-4 border-transparent px-3 text-slate-deep hover:text-ink aria-[current=page]:border-deep aria-[current=page]:font-semibold aria-[current=page]:text-ink"
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
