'use client';

import dynamic from 'next/dynamic';

const Shortcuts = dynamic(() => import('./Shortcuts').then((module) => module.Shortcuts), { ssr: false });
const Notices = dynamic(() => import('./Notices').then((module) => module.Notices), { ssr: false });
const Others = dynamic(() => import('./Others').then((module) => module.Others), { ssr: false });

/** What shows nothing at first, fetched once the page lives: keys, what others do, and the day's notices. */
export function Later({ notifyAt }: { notifyAt: string }) {
  return (
    <>
      <Shortcuts />
      <Others />
      <Notices notifyAt={notifyAt} />
    </>
  );
}
