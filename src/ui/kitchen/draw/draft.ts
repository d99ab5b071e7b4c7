import type { ApplianceDrawing } from '@/core/model/drawing';
import { readOwn, writeOwn } from '../../door/ownStorage';

const nameOf = (key: string): string => `drawing ${key}`;

/** An unfinished drawing left in this browser, if it began from the same version. */
export function keptDraft(key: string, version: number | null): ApplianceDrawing | null {
  try {
    const text = readOwn(nameOf(key));
    if (text === null) return null;
    const draft = JSON.parse(text) as { version: number | null; drawing: ApplianceDrawing };
    return draft.version === version ? draft.drawing : null;
  } catch {
    return null;
  }
}

/** Keeps a drawing in this browser until it is saved. A browser that keeps nothing goes without. */
export function keepDraft(key: string, version: number | null, drawing: ApplianceDrawing): void {
  writeOwn(nameOf(key), JSON.stringify({ version, drawing }));
}

export const forgetDraft = (key: string): void => writeOwn(nameOf(key), null);
