import { readOwn, writeOwn } from '../door/ownStorage';

/** The event by which a page begins a line for the cook. */
export const BEGIN_LINE = 'orderly-frost-line';

/** Puts a beginning into the quick line and the cursor behind it. */
export function beginLine(text: string): void {
  window.dispatchEvent(new CustomEvent(BEGIN_LINE, { detail: text }));
}

const DRAFT = 'line-begun';

/** Keeps what is typed and not stored yet, so that it survives a reload. */
export const keepDraft = (text: string): void => writeOwn(DRAFT, text, 'session');

/** What was typed before this page was loaded. */
export const draftBefore = (): string => readOwn(DRAFT, 'session') ?? '';
