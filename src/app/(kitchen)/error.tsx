'use client';

import { DatabaseGone } from '@/ui/shell/DatabaseGone';

/** A page that could not be made: most often the database went away in the middle. Comes back by itself. */
export default function PageError() {
  return <DatabaseGone />;
}
