import { type Decision, wasSet } from '../../model/decision';
import type { Kept, KeptKind, KeptSetting } from '../../model/kept';
import type { World } from '../../model/world';

/** What a command on one of the small things a household keeps decides. */
export function keptDecided<K extends KeptKind>(
  world: World,
  kind: K,
  subject: string,
  value: Kept[K] | null,
  says: string,
): Decision {
  const setting = (of: Kept[K] | null) => ({ kind, subject, value: of }) as KeptSetting;
  const before = world.kept(kind, subject);
  return wasSet({
    type: value === null ? `${kind}.removed` : `${kind}.set`,
    before: before === null ? null : setting(before),
    after: setting(value),
    says,
  });
}
