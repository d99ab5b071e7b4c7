'use client';

import { sayFullDate } from '@/core/calendar/sayDate';
import type { Food } from '@/core/model/food';
import type { HaulLine, HaulPart } from '@/core/model/haul';
import { lineHistory } from '@/core/haul/lineHistory';
import { isBlanched } from '@/core/haul/preparation';
import { coldOf, warmthOf } from '@/core/ledger/package/judgePackage';
import { type HistoryEvent, USUAL_CONDITIONS } from '@/core/model/history';
import { judgeKeeping, type Keeping } from '@/core/keeping/judgeKeeping';
import { packingOf } from '@/core/portions/packing';
import { Refusal } from '@/core/model/refusal';
import { Said } from '../units/Said';
import type { KnownVocabulary } from '../quickline/useVocabulary';

/** The dates a part would get if it were packed and put away now, by the same engine as behind the door. */
function dueOf(
  line: HaulLine,
  part: HaulPart,
  food: Food,
  { today, caution, zones }: Pick<KnownVocabulary, 'today' | 'caution' | 'zones'>,
): { keeping: Keeping | null; refused: string } {
  const history: HistoryEvent[] = lineHistory(line, today, line.stoodMinutes, false);
  const zone = zones.find(({ id }) => id === part.zone);
  const frozen = line.start.frozen ?? false;
  if (part.goes === 'freezer' && !frozen) {
    history.push({ did: 'frozen', on: today, ...(zone?.cold === 'freezer' ? coldOf(zone) : {}) });
  } else if (part.goes === 'fridge' && frozen) history.push({ did: 'thawing', on: today });
  else if (part.goes === 'room') history.push({ did: 'kept-out', on: today });
  else if (zone) history.push(...warmthOf(zone, zone.cold === 'freezer' ? -18 : 4, today));
  try {
    const keeping = judgeKeeping(food, history, today, {
      ...USUAL_CONDITIONS,
      printed: line.printed,
      wrap: packingOf(part.packing).wrap ?? (frozen ? 'carton' : USUAL_CONDITIONS.wrap),
      blanched: isBlanched(line.preparation),
      caution,
    });
    return { keeping, refused: '' };
  } catch (error) {
    return { keeping: null, refused: error instanceof Refusal ? error.says : 'It cannot be dated.' };
  }
}

/** The dates of each part, with why. */
export function DueLine({
  line,
  food,
  vocabulary,
}: {
  line: HaulLine;
  food: Food;
  vocabulary: KnownVocabulary;
}) {
  return (
    <div className="space-y-1">
      {line.parts.map((part, at) => {
        const { keeping, refused } = dueOf(line, part, food, vocabulary);
        if (!keeping) {
          return (
            <p key={at} role="alert" className="font-semibold text-beet">
              <Said>{refused}</Said>
            </p>
          );
        }
        const { date, kind } = keeping.governing;
        return (
          <details key={at}>
            <summary className="min-h-11 cursor-pointer py-2">
              {kind === 'use-by' ? 'use by' : 'best by'} <b className="font-heading">{sayFullDate(date)}</b>
              <span className="text-slate">
                {' '}
                · {packingOf(part.packing).name} ·{' '}
                <span className="text-deep underline decoration-dotted">why</span>
              </span>
            </summary>
            <ul className="space-y-1 pb-2 pl-4 text-[0.9375rem] text-slate">
              {keeping.trail.map((told, nth) => (
                <li key={nth}>
                  {told.rule} · <Said>{told.says}</Said> <span className="block">After {told.source}.</span>
                </li>
              ))}
              <li>When in doubt, throw it out. Follow local food-safety advice.</li>
            </ul>
          </details>
        );
      })}
    </div>
  );
}
