// What every command needs first: the packages of the lock file. Node's own modules only.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

export function runOrExit(command, args, options) {
  const status = run(command, args, options);
  if (status !== 0) process.exit(status);
}

const stampOf = (name) => join(root, 'node_modules', `.yarn-card-${name}`);
const readStamp = (name) => (existsSync(stampOf(name)) ? readFileSync(stampOf(name), 'utf8') : '');

export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Yarn Card needs Node 20.19 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (readStamp('installed') === lock) return;
  console.log('Installing packages …');
  runOrExit('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']);
  writeFileSync(stampOf('installed'), lock);
}

function* filesBelow(folder) {
  for (const entry of readdirSync(join(root, folder), { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

/** Changes whenever anything that the build reads does. */
function sourceStamp() {
  const hash = createHash('sha256');
  // What the build itself puts into public/ is none of its sources.
  const files = ['src', 'cli', 'public']
    .flatMap((folder) => [...filesBelow(folder)])
    .filter(
      (file) =>
        !['sqlite', 'measures', 'faces', 'icons', 'pack', '_astro'].some((made) =>
          file.startsWith(join('public', made)),
        ),
    );
  for (const file of [
    ...files,
    'package-lock.json',
    'astro.config.mjs',
    'tsconfig.json',
    'scripts/build.mjs',
    'scripts/parser.mjs',
    'scripts/runtime.mjs',
    'scripts/fonts.mjs',
    'scripts/fonts/box-face.mjs',
    'scripts/fonts/emoji.mjs',
    'scripts/fonts/families.mjs',
    'scripts/fonts/sfnt.mjs',
  ].sort()) {
    if (/\.test\.tsx?$/.test(file)) continue;
    hash.update(file).update(readFileSync(join(root, file)));
  }
  return hash.digest('hex');
}

export function ensureBuilt() {
  const stamp = sourceStamp();
  const isThere = ['dist/server/entry.mjs', 'bin/yarncard'].every(
    (file) => existsSync(join(root, file)) && statSync(join(root, file)).isFile(),
  );
  if (isThere && readStamp('built') === stamp) return;
  console.log('Building …');
  runOrExit(process.execPath, ['scripts/build.mjs']);
  writeFileSync(stampOf('built'), stamp);
}
