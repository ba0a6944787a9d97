import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { Face, Font, Blob as FontBlob } from 'harfbuzzjs';
import { expect, test } from 'vitest';
import wawoff2 from 'wawoff2/decompress.js';
import { families } from '../../../../scripts/fonts/families.mjs';
import { tablesOf } from '../../../../tests/support/font-tables';
import { ownFontFile } from '../../../../tests/support/own-font';
import { unwrapped } from '../font-tables';

/** Each family's first slice and its last, and a font of a project's own. */
const files = [
  ...families().flatMap(({ slices }) => [slices[0]?.file, slices.at(-1)?.file]),
  ownFontFile,
].filter((file) => file !== undefined);

const remade = new Set(['glyf', 'loca', 'head']);

test.each(files.map((file) => [file.split('/').at(-1), file]))(
  '%s is what the reference makes of it: every table, every outline',
  async (_name, file) => {
    const packed = new Uint8Array(readFileSync(file));
    const ours = await unwrapped(packed);
    const theirs = (await wawoff2(packed)).slice();
    const [own, reference] = [tablesOf(ours), tablesOf(theirs)];
    expect([...own.keys()].sort()).toEqual([...reference.keys()].sort());
    for (const [tag, bytes] of own)
      if (!remade.has(tag)) expect(bytes.equals(reference.get(tag) ?? Buffer.alloc(0))).toBe(true);
    const blobs = [ours, theirs].map((each) => new FontBlob(each));
    const fonts = blobs.map((blob) => new Font(new Face(blob)));
    const count = own.get('maxp')?.readUInt16BE(4) ?? 0;
    expect(count).toBeGreaterThan(1);
    for (let glyph = 0; glyph < count; glyph += 1) {
      const [one, other] = fonts.map((font) => font.glyphToPath(glyph));
      if (one !== other) expect([glyph, one]).toEqual([glyph, other]);
    }
  },
);

test('one font after the other, each keeps its bytes', async () => {
  const [one = '', other = ''] = files;
  const first = await unwrapped(new Uint8Array(readFileSync(one)));
  const before = first.slice();
  await unwrapped(new Uint8Array(readFileSync(other)));
  expect(first).toEqual(before);
});

test('a file that was cut off or changed is refused, or read, and never holds anybody up', async () => {
  const whole = new Uint8Array(readFileSync(ownFontFile));
  await fc.assert(
    fc.asyncProperty(
      fc.nat(whole.length - 1),
      fc.array(fc.tuple(fc.nat(2_000), fc.nat(255)), { maxLength: 4 }),
      async (length, changes) => {
        const bytes = whole.slice(0, length);
        for (const [at, value] of changes) if (at < length && at > 4) bytes[at] = value;
        await unwrapped(bytes).catch((error: unknown) => expect(error).toBeInstanceOf(Error));
      },
    ),
    { numRuns: 60 },
  );
});
