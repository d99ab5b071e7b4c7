// npm run backup FILE and npm run restore FILE: the whole store, photos and all, while servers run.
import { existsSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { createInterface } from 'node:readline/promises';
import { ensureModules, run, say } from './machine.mjs';

const [, , verb, ...rest] = process.argv;
const told = rest.find((word) => !word.startsWith('--'));

async function confirmed() {
  if (verb !== 'restore' || rest.includes('--yes')) return true;
  if (!process.stdin.isTTY) {
    say('This puts the backup in the place of all that is there. Run it in a terminal, or add --yes.');
    return false;
  }
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(
    `Put ${told} in the place of everything that is in the store now? (yes/no) `,
  );
  ask.close();
  return answer.trim().toLowerCase() === 'yes';
}

if (!told) {
  say(`Which file? npm run ${verb === 'restore' ? 'restore' : 'backup'} FILE`);
  process.exit(1);
}
const file = path.resolve(process.env.INIT_CWD ?? '.', told);
if (verb === 'restore' && !existsSync(file)) {
  say(`There is no ${file}.`);
  process.exit(1);
}
if (!(await confirmed())) {
  say('Nothing was changed.');
  process.exit(1);
}
await ensureModules();
const { openDatabase } = await import('./mariadb.mjs');
const database = await openDatabase();
process.exitCode = await run(
  process.execPath,
  ['--import', 'tsx', 'scripts/backup.ts', verb, file, ...rest.filter((word) => word === '--before-0.14')],
  {
    env: { ...process.env, DATABASE_URL: database.url },
  },
);
await database.close();
