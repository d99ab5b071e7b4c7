/** The event by which a page asks for the find panel. */
export const OPEN_FIND = 'orderly-frost-find';

/** Opens the find panel, with words to begin with. */
export function openFind(words = ''): void {
  window.dispatchEvent(new CustomEvent(OPEN_FIND, { detail: words }));
}
