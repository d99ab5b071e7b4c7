'use client';

const PREFIX = 'orderly-frost:own:';

/** Whose page this is; empty: nobody's. */
export const shownWhose = (): string => document.documentElement.dataset.whose ?? '';

/** The member whose page this is; empty where nobody is asked. */
export const shownMember = (): string => document.documentElement.dataset.member ?? '';

type Shelf = 'local' | 'session';
const shelfOf = (shelf: Shelf): Storage => (shelf === 'local' ? localStorage : sessionStorage);
const placeOf = (name: string): string => `${PREFIX}${shownWhose()}:${name}`;

/** What this device keeps of one household for one member; `null`: nothing, or it keeps nothing at all. */
export function readOwn(name: string, shelf: Shelf = 'local'): string | null {
  try {
    return shelfOf(shelf).getItem(placeOf(name));
  } catch {
    return null;
  }
}

/** Keeps something on this device for this household and member; `null`: no longer. A device that keeps nothing goes without. */
export function writeOwn(name: string, text: string | null, shelf: Shelf = 'local'): void {
  try {
    if (text === null) shelfOf(shelf).removeItem(placeOf(name));
    else shelfOf(shelf).setItem(placeOf(name), text);
  } catch {
    // Then it lives as long as the page.
  }
}

/** Drops what this device keeps of any household. */
export function dropOwn(): void {
  for (const shelf of ['local', 'session'] as const)
    try {
      const storage = shelfOf(shelf);
      for (const key of Object.keys(storage).filter((one) => one.startsWith(PREFIX))) storage.removeItem(key);
    } catch {
      // Nothing is kept there.
    }
}
