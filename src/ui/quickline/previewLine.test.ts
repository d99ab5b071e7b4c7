import { knownZone } from '../../../tests/fixtures/knownZone';
import { index } from '../../../tests/fixtures/reference';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { previewLine } from './previewLine';
import type { KnownVocabulary } from './useVocabulary';

const vocabulary: KnownVocabulary = {
  foods: index,
  today: '2026-11-25',
  currency: 'EUR',
  caution: 'usual',
  zones: [knownZone()],
};

function preview(text: string, caution: 'usual' | 'careful' = 'usual') {
  const { line } = parseQuickLine(text, vocabulary);
  if (!line) throw new Error(`not a line: ${text}`);
  return previewLine(line, { ...vocabulary, caution });
}

describe('what storing a line would make', () => {
  it('tells packs and the date they would get, with the trail', () => {
    const told = preview('trout 1.6 kg / 4 flat > layer 1');
    expect(told).toMatchObject({
      packs: '4 packages of 400 g',
      due: 'best by Tuesday 9 February 2027',
      refused: null,
    });
    expect(told.trail.map(({ rule }) => rule)).toEqual(['K2', 'K5']);
  });

  it.each([
    ['mince 1 kg / 3', '3 packages of 333 g to 334 g'],
    ['milk 2 l', 'one package of 2 l'],
    ['eggs 14', 'one package of 14'],
  ])('%s: %s', (text, packs) => {
    expect(preview(text).packs).toBe(packs);
  });

  it('follows the household’s caution', () => {
    expect(preview('milk 1 l').due).toBe('use by Wednesday 2 December 2026');
    expect(preview('milk 1 l', 'careful').due).toBe('use by Monday 30 November 2026');
  });

  it.each([
    ['lettuce 1 frozen', 'does not freeze well'],
    ['mince 1 kg bought 5 days ago frozen', 'too late to freeze'],
  ])('%s is refused before it is sent: %s', (text, words) => {
    expect(preview(text)).toMatchObject({ due: null, refused: expect.stringContaining(words) });
  });

  it('a rule of the house refuses, and may be overruled; what a zone measures may not', () => {
    const at = (change: Parameters<typeof knownZone>[0]) => {
      const zones = [knownZone({ cold: 'fridge', temperatureC: 4, name: 'Top shelf', ...change })];
      const { line } = parseQuickLine('milk 1 l > top shelf', { ...vocabulary, zones });
      return line && previewLine(line, { ...vocabulary, zones });
    };
    expect(at({ person: 'Wren' })).toMatchObject({
      due: null,
      overrule: true,
      refused: 'Top shelf belongs to Wren.',
    });
    expect(at({ never: ['dairy'] })).toMatchObject({ overrule: true });
    expect(at({ temperatureC: 12 })).toMatchObject({ due: null, overrule: false });
    expect(at({ temperatureC: 8 })?.trail.map(({ rule }) => rule)).toEqual(['K2', 'K9']);
  });

  it('what is past its date when it comes in says so', () => {
    expect(preview('chicken thighs 600 g use by 20 nov').warning).toContain('Not for eating');
    expect(preview('bread 1 best before 20 nov').warning).toContain('Look at it first');
  });
});
