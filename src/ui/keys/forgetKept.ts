'use client';

import { dropOwn } from '../door/ownStorage';

/** Forgets the pages this device keeps for a house without network. */
export async function forgetPages(): Promise<void> {
  if (!('caches' in window)) return;
  for (const name of await caches.keys()) if (name.startsWith('orderly-frost')) await caches.delete(name);
}

/** Forgets all that this device keeps of a household: pages, drafts, lines typed before. What waits to be sent stays for who entered it. */
export async function forgetKept(): Promise<void> {
  dropOwn();
  await forgetPages();
}
