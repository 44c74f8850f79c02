// Builds the web files to dist/web and bundles the server to dist/server; skipped when nothing has changed since.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const STAMP = 'dist/built-from';

/** Builds what is out of date. Returns whether anything was built. */
export async function build() {
  const from = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === from) return false;
  console.log('Building …');
  const [vite, esbuild] = await Promise.all([import('vite'), import('esbuild')]);
  await Promise.all([
    vite.build({ logLevel: 'error' }),
    esbuild.build({
      entryPoints: ['src/server/main.ts'],
      outfile: 'dist/server/main.js',
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      packages: 'external',
      sourcemap: true,
      logLevel: 'error',
    }),
  ]);
  writeFileSync(STAMP, from);
  return true;
}

/** A hash over the names, sizes and times of everything that a build reads. */
function fingerprint() {
  const hash = createHash('sha256');
  const add = (path) => {
    const { mtimeMs, size } = statSync(path);
    hash.update(`${path} ${mtimeMs} ${size}\n`);
  };
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) walk(path);
      else if (!/\.test\.tsx?$/.test(entry.name)) add(path);
    }
  };
  walk('src');
  ['package.json', 'package-lock.json', 'vite.config.ts', 'scripts/build.mjs'].forEach(add);
  return hash.digest('hex');
}

if (process.argv[1]?.endsWith('build.mjs')) await build();
