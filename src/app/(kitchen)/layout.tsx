import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { readShell } from '@/services/today/shell';
import { DoorProvider } from '@/ui/door/DoorProvider';
import { CounterStrip } from '@/ui/shell/CounterStrip';
import nextDynamic from 'next/dynamic';
import { Later } from '@/ui/shell/Later';
import { TopBar } from '@/ui/shell/TopBar';
import '../globals.css';

const DatabaseGone = nextDynamic(() =>
  import('@/ui/shell/DatabaseGone').then((module) => module.DatabaseGone),
);

export const dynamic = 'force-dynamic';

export const metadata: Metadata = {
  title: { default: 'Orderly Frost', template: '%s · Orderly Frost' },
  description: 'The cold store of your kitchen: what lies where, what to eat first, and whether it is safe.',
};

export const viewport: Viewport = {
  themeColor: [
    { media: '(prefers-color-scheme: light)', color: '#fbfdfc' },
    { media: '(prefers-color-scheme: dark)', color: '#152726' },
  ],
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const shell = await readShell();
  return (
    <html
      lang="en"
      data-household={shell?.household.id}
      data-member={shell?.member}
      data-whose={shell?.whose}
    >
      <body className="bg-rime text-ink">
        {shell ? (
          <DoorProvider
            wording={shell.wording}
            house={{
              demo: shell.household.demo,
              codesLocal: shell.codes_local,
              refused: shell.refused,
              cooks: shell.cooks,
            }}
          >
            <a href="#main" className="button absolute -top-20 left-2 z-50 focus:top-2">
              Skip to the page
            </a>
            <TopBar shell={shell} />
            <main id="main" className="px-3 pt-3 pb-24 sm:px-6">
              {children}
            </main>
            <CounterStrip items={shell.counter} bench={shell.bench} />
            <Later notifyAt={shell.notify_at} at={shell.at} changes={shell.changes} today={shell.today} />
          </DoorProvider>
        ) : (
          <DatabaseGone />
        )}
      </body>
    </html>
  );
}
