// What an app's page needs, as one script that a pack begins with: it is made once, so that browser
// and command line write the same bytes.
import { mkdirSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { build, transform } from 'esbuild';
import { root } from './setup.mjs';

/**
 * Style sheets as their text, without what nobody reads. Pictures in them become files: a strict
 * policy lets no address of data in.
 */
const sheetsAsText = (signs) => ({
  name: 'sheets-as-text',
  setup(own) {
    own.onLoad({ filter: /\.css$/ }, async ({ path }) => {
      const { code } = await transform(await readFile(path, 'utf8'), {
        loader: 'css',
        minify: true,
      });
      const text = code
        .trim()
        .replace(/url\((["'])data:image\/svg\+xml,(.*?)\1\)/g, (_, __, svg) => {
          const sign = decodeURIComponent(svg);
          if (!signs.includes(sign)) signs.push(sign);
          return `url(sign:${signs.indexOf(sign) + 1})`;
        });
      return { contents: `export default ${JSON.stringify(text)};`, loader: 'js' };
    });
  },
});

/** The script, and the pictures that its style sheet names, in their order. */
export async function builtRuntime() {
  const signs = [];
  const { outputFiles, metafile } = await build({
    absWorkingDir: root,
    entryPoints: ['src/runtime/index.ts'],
    bundle: true,
    minify: true,
    format: 'iife',
    globalName: 'runtime',
    target: 'es2022',
    plugins: [sheetsAsText(signs)],
    write: false,
    metafile: true,
    logLevel: 'warning',
  });
  return { script: outputFiles[0].text, signs, metafile };
}

export async function makeRuntime() {
  const { script, signs } = await builtRuntime();
  mkdirSync(join(root, 'public/pack'), { recursive: true });
  writeFileSync(join(root, 'public/pack/runtime.json'), JSON.stringify({ script, signs }));
}
