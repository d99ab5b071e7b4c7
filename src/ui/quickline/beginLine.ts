/** The event by which a page begins a line for the cook. */
export const BEGIN_LINE = 'orderly-frost-line';

/** Puts a beginning into the quick line and the cursor behind it. */
export function beginLine(text: string): void {
  window.dispatchEvent(new CustomEvent(BEGIN_LINE, { detail: text }));
}
