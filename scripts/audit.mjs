// Asks the package registry what is known against the packages that ship, and holds it against what is accepted with a reason.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { ROOT, say } from './machine.mjs';

const GRAVE = ['high', 'critical'];
/** Advisories that are known and do not matter here, each with why and until when. */
const accepted = JSON.parse(readFileSync(path.join(ROOT, 'data', 'accepted-advisories.json'), 'utf8'));

const asked = spawnSync('npm', ['audit', '--omit=dev', '--json'], { cwd: ROOT, encoding: 'utf8' });
let told = null;
try {
  told = JSON.parse(asked.stdout);
} catch {
  // Not an answer.
}
if (!told?.vulnerabilities) {
  say('Audit: the registry here answers no such question. Ask one that does, before a release.');
  process.exit(0);
}
const today = new Date().toISOString().slice(0, 10);
const open = Object.values(told.vulnerabilities)
  .flatMap(({ name, via }) => via.filter((one) => typeof one === 'object').map((one) => ({ name, ...one })))
  .filter(
    ({ severity, url }) =>
      GRAVE.includes(severity) && !accepted.some((one) => one.url === url && one.until >= today),
  );
for (const { name, severity, title, url } of open) say(`${name}: ${severity}, ${title} (${url})`);
process.exit(open.length === 0 ? 0 : 1);
