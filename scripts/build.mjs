// The application into dist/, the command line into dist/cli/ with bin/yarncard to start it.
import { chmodSync, copyFileSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, root, runOrExit } from './setup.mjs';

ensureInstalled();
rmSync(join(root, 'dist'), { recursive: true, force: true });
// The database's WebAssembly build is fetched by its worker when a database is first read.
mkdirSync(join(root, 'public/sqlite'), { recursive: true });
copyFileSync(
  join(root, 'node_modules/sql.js/dist/sql-wasm.wasm'),
  join(root, 'public/sqlite/sql-wasm.wasm'),
);
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
mkdirSync(join(root, 'bin'), { recursive: true });
writeFileSync(join(root, 'bin/yarncard'), "#!/usr/bin/env node\nimport('../dist/cli/main.mjs');\n");
chmodSync(join(root, 'bin/yarncard'), 0o755);
