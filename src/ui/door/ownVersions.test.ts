import fc from 'fast-check';
import { learnVersions, type Moves, withOwnVersion } from './ownVersions';

const JAR = 'jar';
const VERBS = ['package.open', 'package.move', 'package.take', 'package.answer', 'round.look'];

/** A door that knows one package and refuses who saw another version of it. */
function door() {
  let version = 1;
  const moves: Moves = new Map();
  const tell = (type: string, seen: number): boolean => {
    const told = { type, package: JAR, version: seen };
    const sent = withOwnVersion({ ...told, id: `${Math.random()}` }, moves);
    if (sent.version !== version) return false;
    version += 1;
    const after = { id: JAR, code: 'AA22', version, here: true };
    learnVersions(moves, [told], [sent], [{ id: '', type, says: '', packages: [after] }]);
    return true;
  };
  return { tell, bySomebodyElse: () => void version++, present: () => version };
}

test('verbs told in one breath reach the package as the one before left it; the same said twice is done once', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray(VERBS, { minLength: 2 }), (verbs) => {
      const { tell, present } = door();
      for (const verb of verbs) expect(tell(verb, 1)).toBe(true);
      for (const verb of verbs) expect([verb, tell(verb, 1)]).toEqual([verb, false]);
      expect(present()).toBe(1 + verbs.length);
    }),
  );
});

test('what somebody else changed between is never passed over', () => {
  const { tell, bySomebodyElse, present } = door();
  expect(tell('package.open', 1)).toBe(true);
  bySomebodyElse();
  expect(tell('package.move', 1)).toBe(false);
  expect(tell('package.move', present())).toBe(true);
});

test('only verbs on a package follow it: what was judged or put away was seen as it was', () => {
  const { tell } = door();
  expect(tell('package.open', 1)).toBe(true);
  const moves: Moves = new Map([[`${JAR} 1`, { deed: 'another', to: 2 }]]);
  const judged = { type: 'cut.judge', package: JAR, version: 1 };
  expect(withOwnVersion(judged, moves)).toBe(judged);
});
