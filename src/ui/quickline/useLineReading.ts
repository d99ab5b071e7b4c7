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

/** Readings with the best zone for each that names none; `waiting` while it is looked for, `unanswered` when it cannot be. */
function usePlaces(
  readings: QuickReading[],
  today: string,
): { placed: QuickReading[]; places: QuickPlace[]; waiting: boolean; unanswered: boolean } {
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
  if (wanted === '' || !known || body === null) {
    const unanswered = wanted !== '' && known && fault !== '';
    return { placed: readings, places: [], waiting: wanted !== '' && !unanswered, unanswered };
  }
  const places = [...body.places];
  const placed = readings.map((one) => {
    const place = wantsPlace(one) ? places.shift() : undefined;
    return place ? placedReading(one, place, today) : one;
  });
  return { placed, places: body.places, waiting: false, unanswered: false };
}

interface LineRead {
  one: QuickReading | null;
  things: QuickReading[];
}

const NOTHING_READ: LineRead = { one: null, things: [] };

function readLine(text: string, vocabulary: KnownVocabulary | null, placedLater: boolean): LineRead {
  if (!vocabulary || text.trim() === '') return NOTHING_READ;
  const known = { ...vocabulary, placedLater };
  const one = parseQuickLine<Food>(text, known);
  return { one, things: one.line === null ? severalThings<Food>(text, known) : [] };
}

const toldIn = ({ one, things }: LineRead): QuickReading[] =>
  things.length > 0 || one === null ? things : [one];

/** What is typed, as it is understood: for a haul without places, else with the best one where none is named. */
export function useLineReading(
  text: string,
  { vocabulary, forHaul, verb }: { vocabulary: KnownVocabulary | null; forHaul: boolean; verb: boolean },
) {
  const half = useMemo(() => (forHaul ? readHalf(text) : { text, half: false }), [forHaul, text]);
  const typed = verb ? '' : half.text;
  const found = useMemo(() => readLine(typed, vocabulary, true), [typed, vocabulary]);
  const { placed, places, waiting, unanswered } = usePlaces(
    forHaul ? [] : toldIn(found),
    vocabulary?.today ?? '',
  );
  // Nobody looks for a place: the line says it itself, and what lives in a freezer asks which one.
  const read = useMemo(
    () => (unanswered ? readLine(typed, vocabulary, false) : found),
    [unanswered, typed, vocabulary, found],
  );
  const final = forHaul || unanswered ? toldIn(read) : placed;
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
