import { readOwn, writeOwn } from '../door/ownStorage';
import { ANSWER_WORDS, type AnswerChoice } from '@/core/firstout/answerChoices';

const KEPT = 'answers';
const MOST_KEPT = 200;

function kept(): Record<string, string> {
  try {
    return JSON.parse(readOwn(KEPT) ?? '{}') as Record<string, string>;
  } catch {
    return {};
  }
}

/** How the cook answered for a food of this name the last time, on this device; `null`: not yet. */
export function lastAnswer(name: string): AnswerChoice | null {
  const answer = kept()[name];
  return answer !== undefined && Object.hasOwn(ANSWER_WORDS, answer) ? (answer as AnswerChoice) : null;
}

/** Remembers an answer for the next time. */
export function keepAnswer(name: string, answer: AnswerChoice): void {
  const { [name]: _before, ...others } = kept();
  const newest = Object.entries({ ...others, [name]: answer }).slice(-MOST_KEPT);
  writeOwn(KEPT, JSON.stringify(Object.fromEntries(newest)));
}
