import type { UnsaidAge } from '@/core/quickline/unsaidAge';
import { readOwn, writeOwn } from '../door/ownStorage';

/** A line that could not be stored yet, with what is wrong; kept on this device until it is mended or dropped. */
export interface AsideLine {
  id: string;
  text: string;
  zone: string;
  says: string;
}

/** What a first fill keeps on this device, so that it may be closed half way. */
interface Shelf {
  aside: AsideLine[];
  zone: string;
  draft: string;
  codes: string[];
  /** Those of them that nobody else labelled: frozen, or packed at home. */
  wanting: string[];
  /** How old things are whose line does not say, by zone. */
  ages: Readonly<Record<string, UnsaidAge>>;
}

const EMPTY: Shelf = { aside: [], zone: '', draft: '', codes: [], wanting: [], ages: {} };
const PLACE = 'first-fill';
let listeners: (() => void)[] = [];
let known: { text: string; shelf: Shelf } = { text: '', shelf: EMPTY };

/** The shelf as it stands; the same object until it changes. */
export function presentShelf(): Shelf {
  let text: string;
  try {
    text = readOwn(PLACE) ?? '';
    if (text === known.text) return known.shelf;
    known = { text, shelf: { ...EMPTY, ...(JSON.parse(text) as Partial<Shelf>) } };
  } catch {
    // No storage, or nothing readable in it: kept as long as the page is open.
  }
  return known.shelf;
}

/** On the server there is none. */
export const noShelf = (): Shelf => EMPTY;

export function changeShelf(change: (shelf: Shelf) => Partial<Shelf>): void {
  const shelf = { ...presentShelf(), ...change(presentShelf()) };
  const text = JSON.stringify(shelf);
  known = { text, shelf };
  writeOwn(PLACE, text);
  for (const listener of listeners) listener();
}

export function onShelf(listener: () => void): () => void {
  listeners.push(listener);
  return () => {
    listeners = listeners.filter((one) => one !== listener);
  };
}
