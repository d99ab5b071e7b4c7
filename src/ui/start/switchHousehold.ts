import { postJson } from '../door/fetchJson';
import { forgetPages } from '../keys/forgetKept';

/** Changes to a household, or to the demo put back as it was, and loads its first page. @throws DoorError */
export async function switchHousehold(to: { choose: number } | 'demo', then = '/'): Promise<void> {
  if (to === 'demo') await postJson('/api/v1/households/demo', {}, { household: '' });
  else await postJson('/api/v1/households/choose', { id: to.choose }, { household: '' });
  await forgetPages();
  // Whole, so that nothing of the other household stays in this page.
  window.location.assign(then);
}
