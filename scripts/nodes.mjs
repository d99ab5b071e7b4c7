// npm run test:nodes: the product on each supported line of Node.js besides the one that runs this, by the registry's own binaries.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { ensureBuild, ensureModules, giveUp, locked, run, say, VAR } from './machine.mjs';

const LINES = [20, 22, 24];
const [own] = process.versions.node.split('.').map(Number);

/** The binary of a line of Node.js, fetched once. */
async function nodeOf(line) {
  const name = `node-${process.platform}-${process.arch}`;
  const folder = path.join(VAR, 'nodes', String(line));
  const binary = path.join(folder, 'node_modules', name, 'bin', 'node');
  await locked(`node-${line}`, async () => {
    if (existsSync(binary)) return;
    mkdirSync(folder, { recursive: true });
    const args = ['install', '--prefix', folder, '--no-save', '--no-audit', '--no-fund', '--loglevel=error'];
    if ((await run('npm', [...args, `${name}@${line}`])) !== 0)
      giveUp(`Node.js ${line} could not be fetched.`);
  });
  return binary;
}

await ensureModules();
await ensureBuild();
for (const line of LINES.filter((one) => one !== own)) {
  const node = await nodeOf(line);
  const { stdout } = spawnSync(node, ['--version'], { encoding: 'utf8' });
  if (!stdout.startsWith(`v${line}.`)) giveUp(`Node.js ${line} does not run here.`);
  const env = { ...process.env, PATH: `${path.dirname(node)}${path.delimiter}${process.env.PATH}` };
  for (const args of [
    ['--import', 'tsx', 'scripts/smoke.ts'],
    [
      'node_modules/jest/bin/jest.js',
      '--selectProjects',
      'unit',
      '--silent',
      '--testPathPatterns',
      'src/core/(keeping|powercut|portions|firstout)/',
    ],
  ])
    if ((await run(node, args, { env })) !== 0)
      giveUp(`On Node.js ${stdout.trim()}: ${args.join(' ')} failed.`);
  say(`Node.js ${stdout.trim()}: starts, takes a command, prints, forecasts; unit tests pass.`);
}
