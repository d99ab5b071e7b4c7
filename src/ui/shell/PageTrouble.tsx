'use client';

import { useEffect, useState } from 'react';
import { DatabaseGone } from './DatabaseGone';

/** A page that could not be made: says whether the store is out of reach (and waits for it), or offers to try again. */
export function PageTrouble({ retry }: { retry: () => void }) {
  const [storeReached, setStoreReached] = useState(false);
  useEffect(() => {
    fetch('/api/v1/health', { cache: 'no-store' })
      .then((response) => setStoreReached(response.ok))
      .catch(() => undefined);
  }, []);
  if (!storeReached) return <DatabaseGone onBack={retry} />;
  return (
    <div className="card mx-auto mt-8 max-w-xl p-8">
      <h1 className="text-2xl">This page could not be made</h1>
      <p className="mt-2">Something went wrong on our side. Nothing in the store was changed.</p>
      <button type="button" className="button mt-4" data-main="true" onClick={retry}>
        Try again
      </button>
    </div>
  );
}
