import type { CutDeed, DOORS, TELLTALES } from '@/core/model/cut';
import type { OutageVerdict } from '@/core/model/outageClass';
import { sayHours } from '@/core/powercut/sayCut';

export const TELLTALE_CHOICES: readonly (readonly [(typeof TELLTALES)[number], string])[] = [
  ['none', 'none, or not looked at'],
  ['loose', 'cubes loose and sharp'],
  ['rounded', 'rounded or wet, still separate'],
  ['one-block', 'one block, or the coin sank'],
  ['water', 'water'],
];

export const DOOR_CHOICES: readonly (readonly [(typeof DOORS)[number], string])[] = [
  ['shut', 'kept shut'],
  ['opened', 'opened often'],
  ['unknown', 'nobody knows'],
];

/** What to do, the most pressing first. The edge lends the group its colour; what may be done is what the verdict asks. */
export const VERDICT_GROUPS: {
  verdict: OutageVerdict;
  title: string;
  edge: string;
  did: CutDeed | null;
  button: string;
}[] = [
  { verdict: 'discard', title: 'Throw out', edge: 'border-beet', did: 'discard', button: 'Throw out' },
  {
    verdict: 'cook-now',
    title: 'Cook now',
    edge: 'border-ember',
    did: 'cook-now',
    button: 'To be cooked now',
  },
  {
    verdict: 'eat-soon',
    title: 'Eat by tomorrow',
    edge: 'border-ember',
    did: 'eat-soon',
    button: 'Eat by tomorrow',
  },
  { verdict: 'check', title: 'Look first', edge: 'border-honey', did: null, button: '' },
  {
    verdict: 'refreeze-quality-loss',
    title: 'Freeze again, for cooking',
    edge: 'border-honey',
    did: 'refreeze',
    button: 'Frozen again',
  },
  { verdict: 'refreeze', title: 'Freeze again', edge: 'border-ice', did: 'refreeze', button: 'Frozen again' },
  { verdict: 'keep', title: 'Keeps', edge: 'border-ice', did: null, button: '' },
];

export const DID_WORDS: Readonly<Record<CutDeed, string>> = {
  discard: 'thrown out',
  'cook-now': 'to be cooked now',
  'eat-soon': 'eat by tomorrow',
  refreeze: 'frozen again',
};

export const CERTAINTY_WORDS = {
  measured: 'seen or measured',
  published: 'published limit',
  assumed: 'assumed, to be safe',
} as const;

/** "1 h 10 min", "31 h", "2½ days": rounded down, and never as exact as it is not. */
export function sayLeft(hours: number): string {
  if (hours >= 48) return `${Math.floor(hours / 24)}${hours % 24 >= 12 ? '½' : ''} days`;
  return hours >= 6 ? `${Math.floor(hours)} h` : sayHours(Math.floor(hours * 60) / 60);
}

/** "16:05", by this device. */
export const sayTime = (at: string): string =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** What a browser's field for a day and an hour wants, in the time of this device. */
export function localInput(ms: number): string {
  const at = new Date(ms);
  return new Date(ms - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}
