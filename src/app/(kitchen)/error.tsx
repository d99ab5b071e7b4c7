'use client';

import { useRouter } from 'next/navigation';
import { startTransition } from 'react';
import { PageTrouble } from '@/ui/shell/PageTrouble';

/** A page that could not be made: most often the database went away in the middle. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  const router = useRouter();
  const retry = (): void =>
    startTransition(() => {
      router.refresh();
      reset();
    });
  return <PageTrouble retry={retry} />;
}
