/** Letters and digits that nobody mistakes for each other, said or written: no I, O, 0, 1. */
export const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
export const DIGITS = '23456789';

/** Coprime to every size below, so that neighbours in time are far apart in code and no code comes twice. */
export const STRIDE = 7919;
/** Where the first code of a size lies. */
export const OFFSET = 12_345;

/**
 * The short code of a household's n-th package: two letters and two digits ("KT47"), three digits once those 36,864
 * are spent, and so on. Every n has a code of its own.
 *
 * @param n whole number from 0
 */
export function packageCode(n: number): string {
  let digits = 2;
  let size = LETTERS.length ** 2 * DIGITS.length ** digits;
  let rest = n;
  while (rest >= size) {
    rest -= size;
    digits += 1;
    size *= DIGITS.length;
  }
  let mixed = Number((BigInt(rest) * BigInt(STRIDE) + BigInt(OFFSET)) % BigInt(size));
  let code = '';
  for (let at = 0; at < digits; at++) {
    code = (DIGITS[mixed % DIGITS.length] ?? '') + code;
    mixed = Math.floor(mixed / DIGITS.length);
  }
  for (let at = 0; at < 2; at++) {
    code = (LETTERS[mixed % LETTERS.length] ?? '') + code;
    mixed = Math.floor(mixed / LETTERS.length);
  }
  return code;
}
