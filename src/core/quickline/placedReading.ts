import type { CalendarDate } from '../calendar/calendarDate';
import type { QuickReading, QuickZone } from './quickLine';

/** Where a line goes that names no zone. */
export interface QuickPlace {
  /** `null`: it stays on the counter. */
  zone: QuickZone | null;
  /** What speaks for the zone, or why it has none. */
  says: string;
  /** The rule that refused it every zone; empty: none did. */
  rule: string;
}

/** True for a line that is understood and names no place, not even the counter. */
export const wantsPlace = ({ line, parts }: QuickReading): boolean =>
  line !== null && line.zone === null && !parts.some(({ meaning }) => meaning === 'place');

/** The reading with the zone that was found for it, said as its last part; what goes to a freezer is frozen today, unless it was before. */
export function placedReading(reading: QuickReading, place: QuickPlace, today: CalendarDate): QuickReading {
  const { line, text, parts } = reading;
  const { zone } = place;
  if (!line) return reading;
  const at = { meaning: 'place' as const, from: text.length, to: text.length };
  if (!zone) return { ...reading, parts: [...parts, { ...at, says: 'on the counter' }] };
  const frozen = line.start.frozen || line.frozenOn !== null;
  const frozenOn = zone.cold === 'freezer' && !frozen ? today : line.frozenOn;
  const said = `to ${zone.name}, ${zone.appliance}`;
  return { ...reading, parts: [...parts, { ...at, says: said }], line: { ...line, zone: zone.id, frozenOn } };
}
