import { DIGITS, LETTERS, OFFSET, STRIDE } from './packageCode';

/** What undoes the stride in a size: `STRIDE * inverse = 1` modulo `size` (extended Euclid). */
function inverseOf(size: bigint): bigint {
  let [a, b] = [BigInt(STRIDE) % size, size];
  let [x, y] = [1n, 0n];
  while (b > 0n) {
    const times = a / b;
    [a, b] = [b, a - times * b];
    [x, y] = [y, x - times * y];
  }
  return ((x % size) + size) % size;
}

/**
 * The number whose code this is: `packageCode` turned around.
 *
 * @returns `null` for what is no code
 */
export function codeNumber(code: string): number | null {
  if (!/^[A-Z]{2}[2-9]{2,8}$/.test(code)) return null;
  let size = BigInt(LETTERS.length ** 2);
  let before = 0n;
  let mixed = 0n;
  for (const [at, sign] of [...code].entries()) {
    const among = at < 2 ? LETTERS : DIGITS;
    const place = among.indexOf(sign);
    if (place < 0) return null;
    mixed = mixed * BigInt(among.length) + BigInt(place);
    if (at < 2) continue;
    size *= BigInt(DIGITS.length);
    if (at >= 3 && at < code.length - 1) before += size;
  }
  const offset = (((mixed - BigInt(OFFSET)) % size) + size) % size;
  return Number(before + ((offset * inverseOf(size)) % size));
}
