import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { Level } from '../../model/kept';
import type { World } from '../../model/world';
import { sayAmount } from '../../units/sayAmount';
import { keptDecided } from '../settings/keptDecided';

/** "at least 4 of 500 g", "never without 2", "6, only when on offer". */
export function sayLevel({ kind, packs, size }: Level): string {
  const count = `${packs}${size ? ` of ${sayAmount(size.amount, size.unit)}` : ''}`;
  if (kind === 'never-out') return `never without ${count}`;
  return kind === 'at-least' ? `at least ${count}` : `${count}, only when on offer`;
}

/** Sets how much of a food is kept; `null`: nothing in particular any more. */
function setLevel(command: { food: string; level: Level | null }, world: World): Decision {
  const { id, name } = world.food(command.food);
  const { level } = command;
  const says = level ? `${name}: ${sayLevel(level)}.` : `${name}: no level is kept any more.`;
  return keptDecided(world, 'level', id, level, says);
}

export const setLevelCommand: CommandKind<{ food: string; level: Level | null }> = {
  type: 'level.set',
  needs: () => ({ kept: ['level'] }),
  decide: setLevel,
};
