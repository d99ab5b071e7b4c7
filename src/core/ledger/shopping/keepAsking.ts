import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { keptDecided } from '../settings/keptDecided';

/** Keeps words that are asked again and again, or forgets them. */
export const keepAskingCommand: CommandKind<{ words: string; keep: boolean }> = {
  type: 'asking.keep',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['asking'] }),
  decide: ({ words, keep }, world) => {
    const plain = words.trim().toLowerCase();
    return keptDecided(
      world,
      'asking',
      plain,
      keep ? { words: words.trim() } : null,
      keep ? `Asked again and again: “${words.trim()}”.` : `“${words.trim()}” is not kept any more.`,
    );
  },
};
