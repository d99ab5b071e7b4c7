import type { Food } from '@/core/model/food';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import type { QuickReading } from '@/core/quickline/quickLine';
import type { NewCommand } from '../door/doorClient';
import { previewLine } from '../quickline/previewLine';
import { storing } from '../quickline/storing';
import type { KnownVocabulary } from '../quickline/useVocabulary';

/** A line read where it lies: what it means, what storing it would say, and the commands that do it. */
export interface FilledLine {
  reading: QuickReading;
  preview: ReturnType<typeof previewLine> | null;
  /** Why it cannot be stored as it stands; empty: it can. */
  fault: string;
  commands: NewCommand[];
}

/** What no maker labelled: frozen, cooked or packed at home. */
export function wantsLabel(
  filled: FilledLine | undefined,
  { cold }: { cold: 'fridge' | 'freezer' },
): boolean {
  const line = filled?.reading.line;
  return (
    line !== null &&
    line !== undefined &&
    (cold === 'freezer' || line.start.did === 'cooked' || line.wrap !== null)
  );
}

/** Reads what lies in a zone already. */
export function readFilled(text: string, zone: string, vocabulary: KnownVocabulary): FilledLine {
  const reading = parseQuickLine<Food>(text, { ...vocabulary, zoneId: zone });
  if (!reading.line)
    return { reading, preview: null, fault: reading.faults.map(({ says }) => says).join(' '), commands: [] };
  const preview = previewLine(reading.line, vocabulary, reading.ownFood);
  return { reading, preview, fault: preview.refused ?? '', commands: storing(reading) };
}
