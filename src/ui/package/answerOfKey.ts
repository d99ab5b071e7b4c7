import { ANSWER_KEYS, ANSWER_WORDS, type AnswerChoice } from '@/core/firstout/answerChoices';

const CHOICES = Object.keys(ANSWER_WORDS) as AnswerChoice[];

/** The choice whose key was pressed; `null` for any other key. */
export function answerOfKey(key: string): AnswerChoice | null {
  return CHOICES.find((choice) => ANSWER_KEYS[choice] === key) ?? null;
}
