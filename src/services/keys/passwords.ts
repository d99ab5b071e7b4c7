import { hash, verify } from '@node-rs/argon2';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import * as common from '@zxcvbn-ts/language-common';
import { newToken } from './secrets';

/** Argon2id as OWASP’s password storage sheet sets it for interactive use: 19 MiB, two passes, one lane. */
const ARGON2ID = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** Characters of a password (ASVS 2.1.1, 2.1.2). */
const MIN_LENGTH = 12;
export const MAX_LENGTH = 128;

/** 0 to 4; from 2 on a password withstands guessing at the speed this server lets one guess. */
const LEAST_SCORE = 2;

/** A password that is guessed too soon is so by its beginning; judging more of it takes longer than it is worth. */
const LONG_ENOUGH = 48;

/** The password as it is kept. */
export const hashPassword = (password: string): Promise<string> => hash(password, ARGON2ID);

// Somebody who is not there takes as long to be refused as somebody who is.
let nobodys: Promise<string> | null = null;

/** Whether it is the password; `secret` null: it never is, and that takes as long. */
export async function isPassword(secret: string | null, password: string): Promise<boolean> {
  nobodys ??= hashPassword(newToken());
  const right = await verify(secret ?? (await nobodys), password).catch(() => false);
  return right && secret !== null;
}

let strength: ZxcvbnFactory | null = null;

/** What is wrong with a password to be; `null`: nothing. It may not be guessed from names here, nor be a common one. */
export function passwordFault(password: string, names: readonly string[]): string | null {
  if (password.length < MIN_LENGTH)
    return `A password needs at least ${MIN_LENGTH} characters. Three or four words are good.`;
  return passwordScore(password, names) >= LEAST_SCORE
    ? null
    : 'That password is too easy to guess. Take three or four words that don’t belong together.';
}

/** How hard a password is to guess, 0 to 4. */
export function passwordScore(password: string, names: readonly string[]): number {
  strength ??= new ZxcvbnFactory({ dictionary: common.dictionary, graphs: common.adjacencyGraphs });
  const { score } = strength.check(password.slice(0, LONG_ENOUGH), [
    ...names,
    'orderly',
    'frost',
    'fridge',
    'freezer',
  ]);
  return score;
}
