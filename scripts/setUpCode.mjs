// npm run setup-code: a new set-up code, also when there are members: the way back in when every password is lost.
import process from 'node:process';
import { ensureModules, run } from './machine.mjs';

await ensureModules();
const { openDatabase } = await import('./mariadb.mjs');
const database = await openDatabase();
process.exitCode = await run(process.execPath, ['--import', 'tsx', 'scripts/setUpCode.ts', '--always'], {
  env: { ...process.env, DATABASE_URL: database.url },
});
await database.close();
