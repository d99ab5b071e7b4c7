import type { PlaceChoice } from '@/services/kitchen/placeChoices';
import type { SeenRow } from '@/services/today/seenToday';
import type { AnswerChoice } from '@/core/firstout/answerChoices';
import { DISCARD_REASONS } from '@/core/model/package';
import type { Door } from '../door/useDoor';
import type { NewCommand } from '../door/doorClient';
import { fetchJson } from '../door/fetchJson';
import { keepAnswer } from '../package/lastAnswer';
import { planDays } from '../package/planDays';

/** Answers that ask for no day, zone, dish or reason. */
const AT_ONCE: Partial<Record<AnswerChoice, { type: string; [more: string]: unknown }>> = {
  'eat-tonight': { type: 'package.answer', answer: 'eat-tonight' },
  'looked-fine': { type: 'package.answer', answer: 'looked-fine' },
  give: { type: 'package.give' },
  compost: { type: 'package.compost' },
};

/** The nth zone as the list names them; what speaks against one is read before it is chosen. */
async function zoneCalled(code: string, nth: number): Promise<string> {
  const { places } = await fetchJson<{ places: PlaceChoice[] }>(
    `/api/v1/packages/${encodeURIComponent(code)}/places?state=frozen`,
  );
  const place = places[nth - 1];
  if (!place) throw new Error('There is no such zone in the list.');
  if (place.against !== '') throw new Error(`${place.name}: ${place.against}`);
  return place.id;
}

/**
 * Answers a row by keys alone, before its buttons are drawn: a letter, or a letter and the figure of a day, a reason or a zone.
 *
 * @param nth the figure; `null`: none yet
 * @returns the answer on its way; `null`: something is asked first
 */
export function answerByKey(
  { view, packages, heads_up }: SeenRow,
  today: string,
  choice: AnswerChoice,
  nth: number | null,
  { act, tell }: Pick<Door, 'act' | 'tell'>,
): Promise<unknown> | null {
  if (heads_up.forbidden[choice] !== undefined) return null;
  const run = ({ type, ...more }: { type: string; [more: string]: unknown }): Promise<unknown> => {
    keepAnswer(view.food.name, choice);
    return act(...packages.map(({ id, version }): NewCommand => ({ type, package: id, version, ...more })));
  };
  const atOnce = AT_ONCE[choice];
  if (atOnce) return run(atOnce);
  if (nth === null) return null;
  const reason = choice === 'bin' ? DISCARD_REASONS[nth - 1] : undefined;
  if (reason) return run({ type: 'package.discard', reason });
  const on = choice === 'plan' ? planDays(today, heads_up.plan_until)[nth - 1] : undefined;
  if (on) return run({ type: 'package.answer', answer: 'plan', on });
  if (choice !== 'freeze') return null;
  return zoneCalled(view.code, nth).then(
    (zone) => run({ type: 'package.freeze', zone, anyway: false }),
    (error: Error) => {
      tell(error.message, 'error');
      return null;
    },
  );
}
