import { referenceRows } from '../../../tests/fixtures/reference';
import { readOutageClasses } from './readOutageClasses';

it('reads every class of the file without a fault', () => {
  const { classes, faults } = readOutageClasses('outage.csv', referenceRows('outage'));
  expect(faults).toEqual([]);
  expect(classes.size).toBe(referenceRows('outage').length);
});

it.each([
  ['a verdict nobody knows', { fridge_verdict: 'maybe' }, 'fridge_verdict'],
  ['discard without hours', { fridge_limit_hours: '' }, 'fridge_threshold_c'],
  ['a thawed discard without hours', { freezer_thawed_limit_hours: '' }, 'freezer_thawed_limit_hours'],
  ['hours where nothing is discarded', { freezer_thawed_verdict: 'refreeze' }, 'freezer_thawed_limit_hours'],
  ['a mould check that is neither yes nor no', { mould_check: 'perhaps' }, 'mould_check'],
  ['no source', { source: '' }, 'source'],
  ['an id that stands twice', { id: 'raw-fish' }, 'id'],
])('names row and column of %s', (_what, change, column) => {
  const rows = referenceRows('outage');
  rows[0] = { ...rows[0], ...change };
  const { faults } = readOutageClasses('outage.csv', rows);
  const row = column === 'id' ? rows.findIndex(({ id }, at) => at > 0 && id === 'raw-fish') + 2 : 2;
  expect(faults).toContainEqual(expect.objectContaining({ file: 'outage.csv', row, column }));
});
