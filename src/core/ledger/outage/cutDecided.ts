import type { Decision } from '../../model/decision';
import type { Cut } from '../../model/cut';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { keptDecided } from '../settings/keptDecided';

const DAY_MS = 86_400_000;
/** What a phone may tell late, and longer than any food would last. */
const MOST_DAYS = 31;

const overlaps = (a: Pick<Cut, 'from' | 'until'>, b: Pick<Cut, 'from' | 'until'>): boolean =>
  a.from < (b.until ?? '9999') && b.from < (a.until ?? '9999');

/** Times that cannot be, told plainly. @throws Refusal `cut` */
function refuseTimes({ from, until }: Pick<Cut, 'from' | 'until'>, now: string): void {
  if (from > now) throw new Refusal('cut', 'The power cannot have gone off after now.');
  if (until !== null && until < from)
    throw new Refusal('cut', 'The power came back before it went; check the two times.');
  if (until !== null && until > now) throw new Refusal('cut', 'The power cannot have come back after now.');
  const days = (Date.parse(until ?? now) - Date.parse(from)) / DAY_MS;
  if (days > MOST_DAYS)
    throw new Refusal(
      'cut',
      `That would be ${Math.round(days)} days without power. After so long nothing keeps: clear it out zone by zone. Is the date right?`,
    );
}

/** What a command on a cut decides. @throws Refusal `cut` for times that cannot be, no part, or another cut of the same part then */
export function cutDecided(world: World, cut: Cut, says: string): Decision {
  refuseTimes(cut, world.now);
  if (cut.parts.length === 0)
    throw new Refusal('cut', 'Which appliance lost its power? Choose at least one.');
  for (const other of world.keptAll('cut')) {
    if (other.id === cut.id || !overlaps(other, cut)) continue;
    const both = other.parts.find(({ id, drawn }) => drawn && cut.parts.some((part) => part.id === id));
    if (both)
      throw new Refusal('cut', `${both.called} is in another power cut at that time: add to that one.`);
  }
  return keptDecided(world, 'cut', cut.id, cut, says);
}
