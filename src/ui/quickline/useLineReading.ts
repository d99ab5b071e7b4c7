import { useEffect, useMemo, useState } from 'react';
import type { Food } from '@/core/model/food';
import { completeQuickLine } from '@/core/quickline/completeQuickLine';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { placedReading, type QuickPlace, wantsPlace } from '@/core/quickline/placedReading';
import type { QuickReading } from '@/core/quickline/quickLine';
import { readHalf } from '@/core/quickline/readHalf';
import { severalThings } from '@/core/quickline/severalThings';
import { toApiLine } from '@/services/door/apiLine';
import { useAsk } from '../door/useRead';
import { type LinePreview, previewLine } from './previewLine';
import type { KnownVocabulary } from './useVocabulary';

/** So long nobody types before places are looked for, ms. */
const PAUSE_MS = 150;

const linesOf = (readings: readonly QuickReading[]) =>
  readings.flatMap((one) =>
    one.line && wantsPlace(one) ? [{ ...toApiLine(one.line), food: one.ownFood?.copy ?? one.line.food }] : [],
  );

/** Readings with the best zone for each that names none; `waiting` while it is looked for. Unanswered, they stay on the counter. */
function usePlaces(
  readings: QuickReading[],
  today: string,
): { placed: QuickReading[]; places: QuickPlace[]; waiting: boolean } {
  const lines = linesOf(readings);
  const wanted = lines.length === 0 ? '' : JSON.stringify({ lines });
  const [asked, setAsked] = useState('');
  useEffect(() => {
    const pause = setTimeout(() => setAsked(wanted), PAUSE_MS);
    return () => clearTimeout(pause);
  }, [wanted]);
  const { body, fault } = useAsk<{ places: QuickPlace[] }>(
    '/api/v1/zones/for-lines',
    asked === '' ? null : (JSON.parse(asked) as unknown),
  );
  const known = asked === wanted;
  if (wanted === '' || !known || body === null)
    return { placed: readings, places: [], waiting: wanted !== '' && !(known && fault !== '') };
  const places = [...body.places];
  const placed = readings.map((one) => {
    const place = wantsPlace(one) ? places.shift() : undefined;
    return place ? placedReading(one, place, today) : one;
  });
  return { placed, places: body.places, waiting: false };
}

/** What is typed, as it is understood: for a haul without places, else with the best one where none is named. */
export function useLineReading(
  text: string,
  { vocabulary, forHaul, verb }: { vocabulary: KnownVocabulary | null; forHaul: boolean; verb: boolean },
) {
  const half = useMemo(() => (forHaul ? readHalf(text) : { text, half: false }), [forHaul, text]);
  const read = useMemo((): { one: QuickReading | null; things: QuickReading[] } => {
    if (!vocabulary || half.text.trim() === '' || verb) return { one: null, things: [] };
    const known = { ...vocabulary, placedLater: true };
    const one = parseQuickLine<Food>(half.text, known);
    return { one, things: one.line === null ? severalThings<Food>(half.text, known) : [] };
  }, [half, verb, vocabulary]);
  const told = read.things.length > 0 || read.one === null ? read.things : [read.one];
  const { placed, places, waiting } = usePlaces(forHaul ? [] : told, vocabulary?.today ?? '');
  const final = forHaul ? told : placed;
  const several = read.things.length > 0 ? final : [];
  const reading = read.things.length > 0 ? read.one : (final[0] ?? null);
  const preview = useMemo(
    (): LinePreview | null =>
      reading?.line && vocabulary && !waiting ? previewLine(reading.line, vocabulary, reading.ownFood) : null,
    [reading, vocabulary, waiting],
  );
  const completions = useMemo(
    () => (vocabulary && text.trim() !== '' && !verb ? completeQuickLine(text, vocabulary) : []),
    [text, verb, vocabulary],
  );
  const place = several.length > 0 ? undefined : places[0];
  return { half, reading, several, place, preview, completions, waiting };
}
