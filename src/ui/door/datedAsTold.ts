import type { NewCommand } from './doorClient';

/** What comes later than this waited behind another, or for a network. */
const AT_ONCE_MS = 1000;

/**
 * Commands as they go to the door: what is sent late, or again, says how long ago it was told; what tells its own instant (a
 * reading from the card) keeps that.
 *
 * @param toldAt when the cook told them, by this device's clock, ms
 * @param now by the same clock, ms
 * @param again they were sent before
 */
export function datedAsTold<Told extends NewCommand>(
  commands: readonly Told[],
  { toldAt, now, again }: { toldAt: number; now: number; again: boolean },
): Told[] {
  const agoMs = Math.max(0, Math.round(now - toldAt));
  if (!again && agoMs < AT_ONCE_MS) return [...commands];
  return commands.map((command) => (command.at === undefined ? { ...command, ago_ms: agoMs } : command));
}
