import type { Container } from '../model/container';

const MOST_MM = 2000;

const MOST_COUNT = 500;

/** A vessel bulges: litres may be this much above what its inner measures give. */
const BULGE = 1.1;

/** What is wrong with a container, as a sentence; `null`: nothing. */
export function checkContainer({ name, outerMm, innerMm, litres, count, rigid }: Container): string | null {
  if (name.trim() === '') return 'A container needs a name.';
  if (!Number.isInteger(count) || count < 1 || count > MOST_COUNT)
    return `${name}: 1 to ${MOST_COUNT} of a kind.`;
  const words = ['long', 'wide', 'high'];
  for (const [at, word] of words.entries()) {
    const [outer, inner] = [outerMm[at] ?? 0, innerMm[at] ?? 0];
    if (outer < 1 || outer > MOST_MM) return `${name} is ${outer} mm ${word}; 1 to ${MOST_MM} mm can be.`;
    if (inner < 1 || inner > outer) return `${name} is ${inner} mm ${word} inside and ${outer} mm outside.`;
  }
  const most = (innerMm.reduce((product, mm) => product * mm, 1) / 1_000_000) * BULGE;
  if (litres <= 0) return `${name} holds ${litres} litres.`;
  if (rigid && litres > most) {
    return `${name} cannot hold ${litres} litres: its inner measures give ${most.toFixed(1)} at most.`;
  }
  return null;
}
