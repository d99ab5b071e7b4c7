'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';

const EVERY_MS = 2500;

/** Shown in place of a page while the database is out of reach; comes back by itself. */
export function DatabaseGone({ onBack }: { onBack?: () => void }) {
  const router = useRouter();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => {
      setTries((count) => count + 1);
      fetch('/api/v1/health', { cache: 'no-store' })
        .then((response) => {
          if (!response.ok) return;
          if (onBack) onBack();
          else router.refresh();
        })
        .catch(() => undefined);
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [router, onBack]);
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-4 p-6">
      <h1 className="text-3xl">The store cannot be reached</h1>
      <p className="text-lg">
        The food is where it was, and nothing you stored is lost; only the list is out of reach for the
        moment. This page comes back by itself.
      </p>
      <p role="status" className="text-slate">
        Looked {tries} {tries === 1 ? 'time' : 'times'} so far. If it stays so, start Orderly Frost again with{' '}
        <code>npm start</code>.
      </p>
    </main>
  );
}
