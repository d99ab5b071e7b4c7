import { wasSet, type Decision } from '../../model/decision';
import type { Job, SettingEvent } from '../../model/setting';

export function decided(type: SettingEvent['type'], before: Job | null, after: Job, says: string): Decision {
  const setting = (value: Job) => ({ kind: 'job' as const, subject: after.id, value });
  return wasSet({ type, before: before && setting(before), after: setting(after), says });
}
