import type { LotLook } from '../../model/kept';
import type { LedgerEvent } from '../../model/package';
import type { SettingEvent } from '../../model/setting';
import type { CalendarDate } from '../../calendar/calendarDate';

const WHY = { bad: 'was found bad', corrected: 'was put right' } as const;

/** Why what came in with this one is to be looked at too; `null`: it is not. */
function whyOf({ type, before, after }: LedgerEvent): LotLook['why'] | null {
  if (type === 'package.corrected') return 'corrected';
  const bad = ({ history, gone }: LedgerEvent['after']): boolean =>
    history.some(({ did }) => did === 'found-bad') || gone?.reason === 'spoiled';
  return before !== null && bad(after) && !bad(before) ? 'bad' : null;
}

/** What came in with something that was found bad, or was entered wrongly, may be the same: the household is asked once. */
export function askLot(events: readonly LedgerEvent[], on: CalendarDate): SettingEvent[] {
  return events.flatMap((event): SettingEvent[] => {
    const why = whyOf(event);
    if (why === null || event.type === 'package.undone') return [];
    const { lotId, code, called } = event.after;
    const after = { kind: 'lot-look' as const, subject: lotId, value: { code, called, on, why } };
    return [{ type: 'lot-look.set', before: null, after, says: `${called} ${code} ${WHY[why]}.` }];
  });
}
