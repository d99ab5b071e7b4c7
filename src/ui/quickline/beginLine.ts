/** The event by which a page begins a line for the cook. */
export const BEGIN_LINE = 'orderly-frost-line';

/** Puts a beginning into the quick line and the cursor behind it. */
export function beginLine(text: string): void {
  window.dispatchEvent(new CustomEvent(BEGIN_LINE, { detail: text }));
}

const DRAFT = 'orderly-frost-line-begun';

/** Keeps what is typed and not stored yet, so that it survives a reload. */
export function keepDraft(text: string): void {
  try {
    sessionStorage.setItem(DRAFT, text);
  } catch {
    // Then it lives as long as the page.
  }
}

/** What was typed before this page was loaded. */
export function draftBefore(): string {
  try {
    return sessionStorage.getItem(DRAFT) ?? '';
  } catch {
    return '';
  }
}
