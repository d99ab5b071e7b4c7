import { wasSet, type Decision } from '../../model/decision';
import type { Container } from '../../model/container';
import type { Setting } from '../../model/setting';

export function decided(
  before: Container | null,
  after: Container | null,
  id: string,
  says: string,
): Decision {
  const setting = (value: Container | null): Setting => ({ kind: 'container', subject: id, value });
  return wasSet({
    type: after ? 'container.set' : 'container.removed',
    before: before && setting(before),
    after: setting(after),
    says,
  });
}
