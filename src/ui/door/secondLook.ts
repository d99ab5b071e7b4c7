import { type NewCommand } from './doorClient';
import { DoorError } from './fetchJson';

/** Something the door wants said twice before it does it. */
export interface SecondLook {
  title: string;
  says: string;
  choices: { label: string; commands: NewCommand[]; danger?: boolean }[];
}

/** The same commands with an answer added; lines of a haul carry it themselves. */
function withAnswer(commands: readonly NewCommand[], answer: Record<string, unknown>): NewCommand[] {
  return commands.map((command) => {
    if (command.type !== 'haul.store') return { ...command, ...answer };
    const lines = command.lines as Record<string, unknown>[];
    return { ...command, lines: lines.map((line) => ({ ...line, ...answer })) };
  });
}

const PLACING = ['package.move', 'package.freeze', 'package.thaw', 'haul.store'];

/**
 * What the cook may answer when the door refused: a household rule may be overruled, an odd reading may be so, and of what comes
 * back it is asked where it was meanwhile. `null`: the refusal stands.
 */
export function secondLook(error: unknown, commands: readonly NewCommand[]): SecondLook | null {
  if (!(error instanceof DoorError)) return null;
  const says = error.message;
  const again = (label: string, answer: Record<string, unknown>, danger = false) => ({
    label,
    danger,
    commands: withAnswer(commands, answer),
  });
  switch (error.rule) {
    case 'P4':
      if (!commands.every(({ type }) => PLACING.includes(type))) return null;
      return {
        title: 'It goes against a rule of the house',
        says,
        choices: [again('Put it there all the same', { anyway: true })],
      };
    case 'promised':
      return {
        title: 'It is kept for somebody',
        says,
        choices: [again('Take it all the same', { promised: true })],
      };
    case 'looser':
      return {
        title: 'That makes it keep longer',
        says,
        choices: [again('I looked twice: it is so', { sure: true }, true)],
      };
    case 'reading':
      return { title: 'Is that reading right?', says, choices: [again('Yes, it is so', { sure: true })] };
    case 'never-left':
      return {
        title: 'Did it truly never leave?',
        says,
        choices: [
          again('It lay in the cold all the while', { meanwhile: 'never' }),
          again('Not sure: it counts as out of the cold', { meanwhile: 'out' }),
        ],
      };
    case 'meanwhile':
      return {
        title: 'Where was it meanwhile?',
        says,
        choices: [
          again('It stood out: count the minutes', { meanwhile: 'out' }),
          again('The entry was wrong: it lay in the cold', { meanwhile: 'cold' }),
        ],
      };
    default:
      return null;
  }
}
