import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './setup.mjs';

/** Expressions, formats and the trace against their references, in a process of their own. */
export async function benchValues(itemCount, note, noteTime) {
  const { build } = await import('esbuild');
  const folder = mkdtempSync(join(tmpdir(), 'yarn-card-bench-'));
  const outfile = join(folder, 'values.mjs');
  await build({
    absWorkingDir: root,
    entryPoints: ['tests/bench/values.ts'],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    mainFields: ['module', 'main'],
    external: ['sql.js', 'json-p3'],
    logLevel: 'warning',
  });
  const { stdout, stderr, status } = spawnSync(process.execPath, [outfile, String(itemCount)], {
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(stderr);
  const { expressions, passes, formats, trace, rows } = JSON.parse(stdout);
  for (const { expression, ours, byHand, whole, library, by } of expressions) {
    note(`\`${escaped(expression)}\`, item by item`, 'written by hand', ours, byHand, 2.5);
    const way = by === 'items' ? '' : ' by columns';
    note(`… over all items${way}`, '@marcbachmann/cel-js', whole, library, 0.35);
  }
  for (const { expression, ours, byHand } of passes)
    note(`\`${escaped(expression)}\` by columns`, 'written by hand', ours, byHand, 0.5);
  for (const { name, ours, reference, atMost } of formats)
    note(name, 'cached Intl', ours, reference, atMost);
  note(
    'all values of rows of ten parts, a binding',
    'the same of plain rows',
    rows.rich,
    rows.plain,
    3,
  );
  noteTime('trace of 12 bindings, with parsing', trace, 0.5);
}

const escaped = (expression) => expression.replaceAll('`', "'").replaceAll('|', '\\|');
