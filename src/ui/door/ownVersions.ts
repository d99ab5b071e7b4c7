import type { DoorAnswer, NewCommand } from './doorClient';

/** A deed told on this page that moved a package on. */
interface Move {
  deed: string;
  to: number;
}

/** By package and the version it had. */
export type Moves = Map<string, Move>;

const MOST_MOVES = 400;

/** What a command does, without what makes it one of its own. */
const deedOf = ({ id: _id, ago_ms: _ago, ...deed }: NewCommand): string => JSON.stringify(deed);

/** Verbs on one package, and what a round finds of it, say which version of it was seen. */
const seenBy = ({ type, package: one, version }: NewCommand): { id: string; version: number } | null =>
  (type.startsWith('package.') || type === 'round.look') &&
  typeof one === 'string' &&
  typeof version === 'number'
    ? { id: one, version }
    : null;

/**
 * A command told while the page had not heard of the one before it means the package as that one left it: who opens a jar and
 * moves it in one breath is not somebody else to himself. The same deed said again stays as it was told, and is refused.
 */
export function withOwnVersion<Told extends NewCommand>(command: Told, moves: Moves): Told {
  const seen = seenBy(command);
  if (!seen) return command;
  const deed = deedOf(command);
  let { version } = seen;
  for (;;) {
    const move = moves.get(`${seen.id} ${version}`);
    if (!move || move.deed === deed) return { ...command, version };
    version = move.to;
  }
}

/** Learns from an answer which version a command left. `told`: as it was told; `sent`: as the door got it. */
export function learnVersions(
  moves: Moves,
  told: readonly NewCommand[],
  sent: readonly NewCommand[],
  answers: readonly DoorAnswer[],
): void {
  answers.forEach(({ packages }, at) => {
    const [mine, sentAs] = [told[at], sent[at]];
    const seen = sentAs && seenBy(sentAs);
    const after = packages.find(({ id }) => id === seen?.id);
    if (!mine || !seen || !after || after.version <= seen.version) return;
    moves.set(`${seen.id} ${seen.version}`, { deed: deedOf(mine), to: after.version });
  });
  for (const key of moves.keys()) {
    if (moves.size <= MOST_MOVES) break;
    moves.delete(key);
  }
}
