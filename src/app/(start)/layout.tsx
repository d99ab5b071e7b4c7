import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import '../globals.css';

export const dynamic = 'force-dynamic';

export const metadata: Metadata = { title: 'Orderly Frost' };

/** Pages before there is a household to show: no places, no counter. */
export default function StartLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body className="bg-rime text-ink">
        <main id="main" className="mx-auto max-w-5xl px-4 py-6 sm:px-6 sm:py-10">
          {children}
        </main>
      </body>
    </html>
  );
}
