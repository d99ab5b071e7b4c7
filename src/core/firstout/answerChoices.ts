/** What a cook may answer, in the order in which it is offered; each has its key. */
export const ANSWER_KEYS = {
  'eat-tonight': 'e',
  plan: 'p',
  freeze: 'f',
  cook: 'c',
  give: 'g',
  compost: 'm',
  bin: 'b',
  'looked-fine': 'i',
} as const;
export type AnswerChoice = keyof typeof ANSWER_KEYS;

/** The answers as buttons say them. */
export const ANSWER_WORDS: Record<AnswerChoice, string> = {
  'eat-tonight': 'Eat tonight',
  plan: 'Plan',
  freeze: 'Freeze',
  cook: 'Cook',
  give: 'Give away',
  compost: 'Compost',
  bin: 'Bin it',
  'looked-fine': 'Looked, fine',
};
