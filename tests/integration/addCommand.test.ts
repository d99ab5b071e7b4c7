import { execFile } from 'node:child_process';
import { cp, mkdtemp, readFile, rm, symlink, writeFile, appendFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { promisify } from 'node:util';

const ROOT = resolve(__dirname, '../..');
const run = promisify(execFile);

/** The example's code blocks, each with the file that its first line names. */
async function blocks(): Promise<{ file: string; code: string }[]> {
  const page = await readFile(join(ROOT, 'CONTRIBUTING.md'), 'utf8');
  const section = page.slice(page.indexOf('**Add a command.**'), page.indexOf('**Add a screen.**'));
  return [...section.matchAll(/```ts\n\/\/ (\S+)\n([\s\S]*?)```/g)].map(([, file = '', code = '']) => ({
    file,
    code,
  }));
}

const TRY = `
import { Store } from './tests/fixtures/memoryStore';
import { DOOR } from './src/services/door/readCommands';
const store = new Store();
store.store({ packs: 1 });
const version = store.first().version;
store.run({ id: 'r', type: 'package.rename', package: store.first().id, version, called: 'Mince for pies' });
const renamed = store.first().called;
store.run({ id: 'u', type: 'ledger.undo', command: 'r', meanwhile: 'out' });
let refused = '';
try {
  const { id, version, called } = store.first();
  store.run({ id: 's', type: 'package.rename', package: id, version, called });
} catch (error) { refused = (error as { rule: string }).rule; }
console.log(JSON.stringify({ renamed, back: store.first().called, refused, atDoor: DOOR.has('package.rename') }));
`;

test('a command is two files and a line: the example of CONTRIBUTING type-checks, is decided, and is undone', async () => {
  const found = await blocks();
  expect(found.map(({ file }) => file.split('/').pop())).toEqual([
    'renamePackage.ts',
    'renamePackage.ts',
    'index.ts',
  ]);
  const copy = await mkdtemp(join(tmpdir(), 'orderly-frost-example-'));
  try {
    for (const part of ['src', 'tests/fixtures', 'data', 'types'])
      await cp(join(ROOT, part), join(copy, part), { recursive: true });
    for (const part of ['tsconfig.json', 'package.json', 'next-env.d.ts'])
      await cp(join(ROOT, part), join(copy, part)).catch(() => undefined);
    await symlink(join(ROOT, 'node_modules'), join(copy, 'node_modules'));
    for (const { file, code } of found) {
      if (file.endsWith('index.ts')) await appendFile(join(copy, file), code);
      else await writeFile(join(copy, file), code, { flag: 'wx' });
    }
    await writeFile(join(copy, 'try.ts'), TRY);
    const node = (...args: string[]) => run(process.execPath, args, { cwd: copy, timeout: 300_000 });
    const { stdout } = await node(join(ROOT, 'node_modules/tsx/dist/cli.mjs'), 'try.ts');
    expect(JSON.parse(stdout)).toEqual({
      renamed: 'Mince for pies',
      back: 'Mutton mince',
      refused: 'name',
      atDoor: true,
    });
    const files = found.map(({ file }) => file).filter((file) => !file.endsWith('index.ts'));
    await writeFile(
      join(copy, 'tsconfig.one.json'),
      JSON.stringify({
        extends: './tsconfig.json',
        include: [...files, 'types'],
        compilerOptions: { noEmit: true, incremental: false },
      }),
    );
    await node(join(ROOT, 'node_modules/typescript/bin/tsc'), '-p', 'tsconfig.one.json');
  } finally {
    await rm(copy, { recursive: true, force: true });
  }
});
