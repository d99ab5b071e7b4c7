// Builds the service worker: what the build put out is listed in it, so that a phone has it without a network.
import { build } from 'esbuild';
import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';

/** Files of the build, as addresses; their names change with what is in them. */
function builtFiles(dir, address) {
  return readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(dir, entry.name);
    const at = `${address}/${entry.name}`;
    if (entry.isDirectory()) return builtFiles(file, at);
    return statSync(file).size > 0 && !entry.name.endsWith('.map')
      ? [{ url: encodeURI(at), revision: null }]
      : [];
  });
}

/** @param root the project @param outfile where the worker goes */
export async function buildServiceWorker(root, outfile) {
  const manifest = builtFiles(path.join(root, '.next', 'static'), '/_next/static');
  await build({
    entryPoints: [path.join(root, 'src', 'workers', 'serviceWorker.ts')],
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    legalComments: 'none',
    define: { 'self.__SW_MANIFEST': JSON.stringify(manifest), 'process.env.NODE_ENV': '"production"' },
    outfile,
  });
}
