// The application into dist/, the command line into dist/cli/ with bin/yarncard to start it.
import { createHash } from 'node:crypto';
import {
  chmodSync,
  copyFileSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join, relative } from 'node:path';
import { ensureInstalled, root, runOrExit } from './setup.mjs';

ensureInstalled();
const { makeFaces } = await import('./fonts.mjs');
const { makeIcons } = await import('./icons.mjs');
const { makeParser } = await import('./parser.mjs');
const { makeRuntime } = await import('./runtime.mjs');
rmSync(join(root, 'dist'), { recursive: true, force: true });
// The database's WebAssembly build is fetched by its worker when a database is first read.
mkdirSync(join(root, 'public/sqlite'), { recursive: true });
copyFileSync(
  join(root, 'node_modules/sql.js/dist/sql-wasm.wasm'),
  join(root, 'public/sqlite/sql-wasm.wasm'),
);
await makeFaces();
await makeIcons();
await makeParser();
await makeRuntime();
runOrExit('npx', ['--no-install', 'astro', 'build'], {
  env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' },
});

const { build } = await import('esbuild');
await build({
  absWorkingDir: root,
  entryPoints: ['cli/main.ts', 'cli/sqlite-thread.ts'],
  outdir: 'dist/cli',
  bundle: true,
  splitting: true,
  minify: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  outExtension: { '.js': '.mjs' },
  mainFields: ['module', 'main'],
  // Packages in CommonJS ask for Node's modules with require, and for where they stand.
  banner: {
    js: [
      "import { createRequire } from 'node:module';",
      "import { fileURLToPath as pathOfUrl } from 'node:url';",
      'const require = createRequire(import.meta.url);',
      'const __filename = pathOfUrl(import.meta.url);',
      "const __dirname = pathOfUrl(new URL('.', import.meta.url));",
    ].join(' '),
  },
  logLevel: 'warning',
});
// Who draws letters as outlines reads it beside itself.
copyFileSync(
  join(root, 'node_modules/harfbuzzjs/dist/harfbuzz.wasm'),
  join(root, 'dist/cli/harfbuzz.wasm'),
);
const files = filesOfBuild(join(root, 'dist/client'));
const revision = createHash('sha256').update(JSON.stringify(files)).digest('hex').slice(0, 16);
// Any address of a project would do: the server makes the same page for all of them.
const projectPage = '/p/any/data';
await build({
  absWorkingDir: root,
  entryPoints: ['src/offline/sw.ts'],
  outfile: 'dist/client/sw.js',
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: {
    'process.env.NODE_ENV': '"production"',
    filesOfBuild: JSON.stringify([...files, { url: projectPage, revision }]),
    projectPage: JSON.stringify(projectPage),
  },
  logLevel: 'warning',
});

/** Every file that the server gives, by its address, with what tells one version from the next. */
function filesOfBuild(folder) {
  return (
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => join(entry.parentPath, entry.name))
      .sort()
      .map((file) => {
        const path = `/${relative(folder, file).replaceAll('\\', '/')}`;
        const content = createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16);
        return { url: path.replace(/(?<=.)\/index\.html$|index\.html$/, ''), revision: content };
      })
      // Faces of thousands of characters are kept as they are wanted.
      .filter(({ url }) => url !== '/404.html' && !url.startsWith('/faces/more/'))
  );
}

mkdirSync(join(root, 'bin'), { recursive: true });
writeFileSync(join(root, 'bin/yarncard'), "#!/usr/bin/env node\nimport('../dist/cli/main.mjs');\n");
chmodSync(join(root, 'bin/yarncard'), 0o755);
