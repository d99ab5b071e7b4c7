/** Told by scripts/backup.mjs and start.mjs: `back-up FILE`, `restore FILE` or `nightly FOLDER`, over DATABASE_URL. */
import { mkdirSync } from 'node:fs';
import { backUp, backUpTonight } from './backups/backUp';
import { restore } from './backups/restore';
import { say, sayPlainly } from './machine.mjs';

const [, , verb, place = '', ...rest] = process.argv;
const url = process.env.DATABASE_URL ?? '';

async function run(): Promise<void> {
  switch (verb) {
    case 'back-up':
      say(`${place}: ${await backUp(url, place)} packages, restored on trial and whole.`);
      return;
    case 'restore':
      say(
        `Restored: ${(await restore(url, place, rest.includes('--before-0.14'))).join(', ')}. What was there before is kept until the next restore.`,
      );
      return;
    case 'nightly':
      mkdirSync(place, { recursive: true });
      return backUpTonight(url, place, new Date().toISOString().slice(0, 10));
    default:
      throw new Error(`There is no “${verb}”.`);
  }
}

run().catch((error: unknown) => {
  console.error(error instanceof Error ? sayPlainly(error) : error);
  process.exitCode = 1;
});
