import type { Container } from '../../model/container';
import type { Decision } from '../../model/decision';
import type { Setting } from '../../model/setting';

export function decided(
  before: Container | null,
  after: Container | null,
  id: string,
  says: string,
): Decision {
  const setting = (value: Container | null): Setting => ({ kind: 'container', subject: id, value });
  return {
    lots: [],
    events: [],
    settings: [
      {
        type: after ? 'container.set' : 'container.removed',
        before: before && setting(before),
        after: setting(after),
        says,
      },
    ],
  };
}
