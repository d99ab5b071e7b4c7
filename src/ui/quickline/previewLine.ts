import { sayFullDate } from '@/core/calendar/sayDate';
import type { Food } from '@/core/foods/food';
import { type HistoryEvent, type TrailLine, USUAL_CONDITIONS } from '@/core/keeping/history';
import { judgeKeeping } from '@/core/keeping/judgeKeeping';
import type { IntakeLine } from '@/core/ledger/intakeLine';
import { sayPackSizes } from '@/core/portions/sayPackSizes';
import { Refusal } from '@/core/refusal';
import type { KnownVocabulary } from './useVocabulary';

/** What storing the line would make: packs in words and the date they would get, or the rule that says no. */
export interface LinePreview {
  packs: string;
  due: string | null;
  trail: TrailLine[];
  refused: string | null;
}

function sayPacks({ amount, packs, unit }: IntakeLine): string {
  const size = sayPackSizes(amount, packs, unit);
  return packs === 1 ? `one package of ${size}` : `${packs} packages of ${size}`;
}

/** Runs the same keeping engine as the server over the line. */
export function previewLine(line: IntakeLine, vocabulary: KnownVocabulary): LinePreview {
  const food: Food | undefined = vocabulary.foods.byId.get(line.food);
  const packs = sayPacks(line);
  if (!food) return { packs, due: null, trail: [], refused: null };
  const history: HistoryEvent[] = [{ did: line.start.did, on: line.start.on }];
  if (line.openedOn) history.push({ did: 'opened', on: line.openedOn });
  if (line.frozenOn) history.push({ did: 'frozen', on: line.frozenOn });
  history.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  try {
    const keeping = judgeKeeping(food, history, vocabulary.today, {
      ...USUAL_CONDITIONS,
      printed: line.printed,
      wrap: line.wrap ?? 'zip-bag',
      blanched: line.blanched,
      caution: vocabulary.caution,
    });
    const { date, kind } = keeping.governing;
    return {
      packs,
      due: `${kind === 'use-by' ? 'use by' : 'best by'} ${sayFullDate(date)}`,
      trail: keeping.trail,
      refused: null,
    };
  } catch (error) {
    return {
      packs,
      due: null,
      trail: [],
      refused: error instanceof Refusal ? error.says : 'This line cannot be stored.',
    };
  }
}
