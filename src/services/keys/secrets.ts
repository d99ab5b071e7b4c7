import { createHash, createHmac, randomBytes, randomInt } from 'node:crypto';

/** Letters and digits that nobody mistakes for each other, said or written. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_SIGNS = 12;

/** What is kept of a token or a code: who reads the database cannot use it. */
export const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** A token for a device; 256 bits of chance. */
export const newToken = (): string => randomBytes(32).toString('base64url');

const signs = (count: number): string =>
  Array.from({ length: count }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** An invitation to be read out or scanned, 60 bits of chance: "KT4M-9WXY-HJ2P". */
export const newCode = (): string => signs(CODE_SIGNS).replace(/(.{4})(?=.)/g, '$1-');

/** The mark of one label: from it no other label’s follows, nor the household’s secret. */
export const labelMark = (secret: string, code: string): string =>
  [...createHmac('sha256', secret).update(code).digest().subarray(0, CODE_SIGNS)]
    .map((byte) => SIGNS[byte % SIGNS.length])
    .join('');

/** The secret behind the marks on a household’s labels; 60 bits of chance. */
export const newGuestKey = (): string => signs(CODE_SIGNS);

/** A code as it was meant: blanks, dashes and small letters do not matter. */
export const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, '');
