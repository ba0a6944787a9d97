import { gzipSync } from 'node:zlib';
import { beforeAll, describe, expect, test } from 'vitest';
import { builtRuntime } from '../scripts/runtime.mjs';

/** With everything that any project may use: the design allows 40 kB, which is not reached yet. */
const mostBytes = 75_000;

describe('the runtime', () => {
  let built: { readonly bytes: number; readonly files: readonly string[]; readonly script: string };

  beforeAll(async () => {
    const { script, metafile } = await builtRuntime();
    const inside = Object.values(metafile.outputs).flatMap(({ inputs }) => Object.entries(inputs));
    const files = inside.flatMap(([file, { bytesInOutput }]) => (bytesInOutput > 0 ? [file] : []));
    built = { bytes: gzipSync(script).length, files, script };
  }, 60_000);

  test('is bounded', () => {
    expect(built.bytes).toBeGreaterThan(1_000);
    expect(built.bytes).toBeLessThanOrEqual(mostBytes);
  });

  test('reads no expression, and holds nothing that a strict policy forbids', () => {
    expect(built.files).toContain('src/core/values/compile/compile.ts');
    expect(built.files.filter((file) => /acorn|values\/syntax\//.test(file))).toEqual([]);
    expect(built.script).not.toMatch(/\beval\(|new Function\b|data:image|innerHTML/);
  });
});
