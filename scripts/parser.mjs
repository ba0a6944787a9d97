// The parser of expressions (acorn) as a file of its own: the page and the worker, which are bundled
// apart, load the same one.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { transform } from 'esbuild';
import { root } from './setup.mjs';

const folder = join(root, 'node_modules/acorn');
const { version } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
// Beside what is built: browsers keep that for good.
const address = `/_astro/acorn-${version}.js`;

export async function makeParser() {
  const source = readFileSync(join(folder, 'dist/acorn.mjs'), 'utf8');
  const { code } = await transform(source, { minify: true, format: 'esm', target: 'es2022' });
  rmSync(join(root, 'public/_astro'), { recursive: true, force: true });
  mkdirSync(join(root, 'public/_astro'), { recursive: true });
  writeFileSync(join(root, 'public', address), code);
}

/** For Vite: what the browser loads imports the parser from there. */
export const parserApart = () => ({
  name: 'yarn-card:parser-apart',
  apply: 'build',
  enforce: 'pre',
  resolveId(id, _importer, { ssr } = {}) {
    return id === 'acorn' && !ssr ? { id: address, external: true } : undefined;
  },
});
