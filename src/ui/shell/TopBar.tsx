'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { Shell } from '@/services/today/shell';
import { FindButton } from '../find/FindButton';
import { HouseholdButton } from './HouseholdButton';
import { PLACES } from './places';

/** The name, the places, and how cold it is. */
export function TopBar({
  shell,
}: {
  shell: Pick<Shell, 'temperatures' | 'household' | 'other' | 'person' | 'role' | 'power_off' | 'warm'>;
}) {
  const here = usePathname();
  return (
    <header className="sticky top-0 z-30 flex min-h-14 flex-wrap items-center gap-x-4 border-b border-line bg-snow px-3 sm:px-6">
      <Link href="/" className="flex min-h-11 min-w-11 items-center gap-2.5 font-heading text-xl font-bold">
        <svg aria-hidden width="26" height="26" viewBox="0 0 26 26">
          <rect width="26" height="26" rx="7" fill="var(--ink)" />
          <path d="M6 8.5h14M6 13h14M6 17.5h9" stroke="var(--ice)" strokeWidth="2.4" strokeLinecap="round" />
        </svg>
        <span className="max-sm:sr-only">Orderly Frost</span>
      </Link>
      <nav
        aria-label="Places"
        className="order-last -mx-1 flex w-full justify-between sm:justify-start sm:gap-1 lg:order-none lg:w-auto"
      >
        {PLACES.map(({ href, name }) => (
          <Link
            key={href}
            href={href}
            aria-current={here === href || (href !== '/' && here.startsWith(`${href}/`)) ? 'page' : undefined}
            className="flex min-h-11 items-center justify-center rounded-part font-heading text-[0.9375rem] font-semibold text-slate-deep [font-stretch:80%] hover:bg-rime aria-[current=page]:bg-ink aria-[current=page]:text-snow min-[380px]:min-w-11 min-[500px]:[font-stretch:100%] sm:px-2 sm:text-base 2xl:px-3"
          >
            {name}
          </Link>
        ))}
      </nav>
      <FindButton />
      <HouseholdButton shell={shell} />
      {shell.power_off === null && shell.warm !== null && (
        <Link
          href="/outage/log"
          className="order-last flex min-h-11 w-full items-center justify-center font-heading font-semibold text-beet lg:order-none lg:w-auto"
        >
          {shell.warm} is too warm
        </Link>
      )}
      {shell.power_off !== null && (
        <Link
          href="/outage"
          className="order-last flex min-h-11 w-full items-center justify-center font-heading font-semibold text-beet lg:order-none lg:w-auto"
        >
          Power off since {shell.power_off}
        </Link>
      )}
      <ul
        aria-label="Temperatures, last read"
        className={`hidden gap-4 text-[0.95rem] text-slate ${shell.power_off === null && shell.warm === null ? 'xl:flex' : ''}`}
      >
        {shell.temperatures.map(({ name, words, warm }) => (
          <li key={name}>
            {name} <b className={`font-heading ${warm ? 'text-beet' : 'text-ink'}`}>{words}</b>
          </li>
        ))}
      </ul>
    </header>
  );
}
