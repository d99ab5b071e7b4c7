'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';

const ROOMS = [
  ['/kitchen', 'Drawing'],
  ['/kitchen/check', 'Check'],
  ['/kitchen/tidy', 'Tidy'],
  ['/kitchen/containers', 'Containers'],
  ['/kitchen/upkeep', 'Upkeep'],
  ['/kitchen/foods', 'Foods'],
  ['/kitchen/household', 'Household'],
] as const;

/** What there is to set up in the kitchen, one page each. */
export function KitchenRooms() {
  const here = usePathname();
  return (
    <nav
      aria-label="Kitchen"
      className="-mx-3 mb-2 flex overflow-x-auto border-b border-line px-3 sm:-mx-6 sm:px-6"
    >
      {ROOMS.map(([href, name]) => (
        <Link
          key={href}
          href={href}
          aria-current={
            here === href || (href !== '/kitchen' && here.startsWith(`${href}/`)) ? 'page' : undefined
          }
          className="flex min-h-11 shrink-0 items-center border-b-4 border-transparent px-3 text-slate-deep hover:text-ink aria-[current=page]:border-deep aria-[current=page]:font-semibold aria-[current=page]:text-ink"
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
