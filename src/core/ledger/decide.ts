import type { CommandKind, Told } from '../model/command';
import type { Decision, PastCommand } from '../model/decision';
import type { World } from '../model/world';
import { askLot } from './package/askLot';
import { settlePassing } from './package/settlePassing';
import { settlePromises } from './package/settlePromises';

/**
 * Decides a command: the events it makes, or a refusal. Nothing is written here; the store applies what comes back.
 *
 * @param past the command that this one speaks of, if any
 * @throws Refusal, StaleVersion or StaleSetting
 */
export function decide<Body extends object>(
  kind: CommandKind<Body>,
  command: Told & Body,
  world: World,
  past: PastCommand | null,
): Decision {
  const decision = kind.decide(command, world, past);
  const { events, settings } = decision;
  return {
    ...decision,
    // An undo brings back what was asked, or was not.
    settings: past ? settings : [...settings, ...askLot(events, world.today)],
    events: events.map((event) => settlePromises(settlePassing(event, world.today))),
  };
}

/** What the ledger says of a command. */
export function sayDecision<Body extends object>(
  kind: CommandKind<Body>,
  command: Told & Body,
  decision: Decision,
): string {
  const set = decision.settings.find(({ after }) => after.kind !== 'lot-look');
  const [first] = decision.events;
  return kind.says?.(decision, command) ?? set?.says ?? first?.says ?? 'Nothing changed.';
}
