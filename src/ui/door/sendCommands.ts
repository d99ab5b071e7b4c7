'use client';

import type { MutationOptions } from '@tanstack/react-query';
import { v4 as newUuid } from 'uuid';
import { shownHousehold } from './fetchJson';
import { shownMember } from './ownStorage';
import { type DoorAnswer, doorClient, type NewCommand, type Sending, SENDING } from './doorClient';

export { keepUnanswered } from './doorClient';

/** Ids of what was told from this page: no news to it. */
export const toldHere = new Set<string>();

/** Commands that wait for an answer, by what they say. */
const waiting = new Map<string, Promise<DoorAnswer[]>>();

/**
 * Sends commands through the door, all or nothing. They keep their ids until they are answered: what was lost on the way is
 * asked for again, and the same told again meanwhile is not done twice.
 *
 * @throws DoorError when the door refused
 */
export async function sendCommands(commands: readonly NewCommand[]): Promise<DoorAnswer[]> {
  const says = JSON.stringify(commands);
  const before = waiting.get(says);
  if (before) return before;
  const client = doorClient();

  const sending: Sending = {
    commands: commands.map((command) => ({ id: newUuid(), ...command })),
    toldAt: Date.now(),
    household: shownHousehold(),
    member: shownMember(),
    sent: 0,
  };
  for (const { id } of sending.commands) toldHere.add(id);
  const options = client.defaultMutationOptions<MutationOptions<DoorAnswer[], Error, Sending>>({
    mutationKey: SENDING,
  });
  const answer = client.getMutationCache().build(client, options).execute(sending);
  waiting.set(says, answer);
  try {
    const answers = await answer;
    void client.invalidateQueries({ predicate: ({ meta }) => meta?.lasting !== true });
    return answers;
  } finally {
    waiting.delete(says);
  }
}

/** Resolves when the door has answered all that was told here, also before a reload. */
export function allAnswered(): Promise<void> {
  const cache = doorClient().getMutationCache();
  return new Promise((resolve) => {
    const look = (): void => {
      if (cache.findAll({ status: 'pending' }).length > 0) return;
      stop();
      resolve();
    };
    const stop = cache.subscribe(look);
    look();
  });
}
