import { gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { beforeAll, describe, expect, test } from 'vitest';

/** Gestures and all; the design allows 40 kB with every part. */
const mostBytes = 37_000;

describe('the runtime', () => {
  let bundle: { readonly bytes: number; readonly files: readonly string[] };

  beforeAll(async () => {
    const { outputFiles, metafile } = await build({
      entryPoints: ['src/runtime/index.ts'],
      bundle: true,
      minify: true,
      format: 'esm',
      write: false,
      metafile: true,
    });
    const [made] = outputFiles;
    if (made === undefined) throw new Error('nothing was built');
    const inside = Object.values(metafile.outputs).flatMap(({ inputs }) => Object.entries(inputs));
    const files = inside.flatMap(([file, { bytesInOutput }]) => (bytesInOutput > 0 ? [file] : []));
    bundle = { bytes: gzipSync(made.contents).length, files };
  });

  test('is small', () => {
    expect(bundle.bytes).toBeGreaterThan(1_000);
    expect(bundle.bytes).toBeLessThanOrEqual(mostBytes);
  });

  test('reads no expression and needs no package', () => {
    expect(bundle.files).toContain('src/core/values/compile/compile.ts');
    expect(
      bundle.files.filter((file) => /node_modules|values\/(syntax|check)\//.test(file)),
    ).toEqual(['src/core/values/check/checked.ts']);
  });
});
