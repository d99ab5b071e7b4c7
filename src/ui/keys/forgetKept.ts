'use client';

/** Forgets what this device keeps of the household for a house without network. */
export async function forgetKept(): Promise<void> {
  if (!('caches' in window)) return;
  for (const name of await caches.keys()) if (name.startsWith('orderly-frost')) await caches.delete(name);
}
