import { knownZone } from '../../../tests/fixtures/knownZone';
import { index } from '../../../tests/fixtures/reference';
import { parseQuickLine } from './parseQuickLine';
import { placedReading, wantsPlace } from './placedReading';

const TODAY = '2026-11-25';
const layer = knownZone();
const read = (text: string) =>
  parseQuickLine(text, { foods: index, today: TODAY, zones: [layer], placedLater: true });
const found = { zone: layer, says: 'beside its like', rule: '' };

describe('a line that names no zone', () => {
  it('wants a place; one that names a zone or the counter does not', () => {
    expect(wantsPlace(read('trout 1.6 kg'))).toBe(true);
    expect(wantsPlace(read('ice cream 1 l'))).toBe(true);
    for (const text of [`trout 1.6 kg > ${layer.name}`, 'trout 1.6 kg > counter', 'unicorn 1 kg'])
      expect(wantsPlace(read(text))).toBe(false);
  });

  it('takes the zone and says so; into a freezer it is frozen today, unless it was before', () => {
    const placed = placedReading(read('trout 1.6 kg'), found, TODAY);
    expect(placed.parts.at(-1)?.says).toBe(`to ${layer.name}, ${layer.appliance}`);
    expect(placed.line).toMatchObject({ zone: layer.id, frozenOn: TODAY });
    expect(wantsPlace(placed)).toBe(false);
    const lain = placedReading(read('trout 1.6 kg frozen 3 nov'), found, TODAY);
    expect(lain.line?.frozenOn).toBe('2026-11-03');
    expect(placedReading(read('ice cream 1 l'), found, TODAY).line).toMatchObject({
      frozenOn: null,
      start: { frozen: true },
    });
  });

  it.each(['mince 500 g in the freezer', 'mince 500 g freezer', 'mince 500 g > freezer'])(
    '%s: frozen today, in whichever zone has room',
    (text) => {
      const reading = read(text);
      expect(wantsPlace(reading)).toBe(true);
      expect(reading.line).toMatchObject({ zone: null, frozenOn: TODAY });
    },
  );

  it('stays on the counter where there is none', () => {
    const { line, parts } = placedReading(read('bananas 6'), { zone: null, says: 'why', rule: '' }, TODAY);
    expect(line?.zone).toBeNull();
    expect(parts.at(-1)?.says).toBe('on the counter');
  });
});
