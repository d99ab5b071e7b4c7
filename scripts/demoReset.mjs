// npm run demo:reset: throws the present stock away and begins again with the demo household. Asks first.
import process from 'node:process';
import { createInterface } from 'node:readline/promises';
import { ensureModules, prepareDatabase, say } from './machine.mjs';

async function confirmed() {
  if (process.argv.includes('--yes')) return true;
  if (!process.stdin.isTTY) {
    say('This throws away all packages and the ledger. Run it in a terminal, or add --yes.');
    return false;
  }
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(
    'Throw away all packages, zones and the ledger, and begin with the demo household? (yes/no) ',
  );
  ask.close();
  return answer.trim().toLowerCase() === 'yes';
}

if (!(await confirmed())) {
  say('Nothing was changed.');
  process.exit(1);
}
await ensureModules();
const { openDatabase } = await import('./mariadb.mjs');
const database = await openDatabase();
await prepareDatabase(database.url, ['--reset']);
await database.close();
