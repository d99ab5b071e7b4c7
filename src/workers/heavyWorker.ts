import { Refusal } from '../core/model/refusal';
import { HEAVY_WORK, type HeavyWork } from './heavyWork';

/** What the server asks of its workers: one function and what it is given. */
export interface HeavyTask {
  name: keyof HeavyWork;
  given: readonly unknown[];
}

/** What it is answered: a refusal keeps its rule on the way between threads. */
export type HeavyAnswer = { answer: unknown } | { refused: { rule: string; says: string } };

export default async function work({ name, given }: HeavyTask): Promise<HeavyAnswer> {
  try {
    const ask = HEAVY_WORK[name] as (...args: readonly unknown[]) => unknown;
    return { answer: await ask(...given) };
  } catch (error) {
    if (error instanceof Refusal) return { refused: { rule: error.rule, says: error.says } };
    throw error;
  }
}
