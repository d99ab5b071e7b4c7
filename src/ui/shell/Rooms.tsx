'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';

/** The pages of a place, one beside the other; the first is the place itself. */
export function Rooms({
  name: place,
  rooms,
}: {
  name: string;
  rooms: readonly (readonly [href: string, name: string])[];
}) {
  const here = usePathname();
  return (
    <nav
      aria-label={place}
      className="-mx-3 mb-2 flex overflow-x-auto border-b border-line px-3 sm:-mx-6 sm:px-6"
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
