import { readFileSync } from 'node:fs';
import { deflateSync } from 'node:zlib';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { tablesOf } from '../../../tests/support/font-tables';
import { ownFontFile } from '../../../tests/support/own-font';
import { unwrapped } from './font-tables';
import { ownFonts } from './own-fonts';

const file = readFileSync(ownFontFile);
const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64');

/** Wraps tables as WOFF 1.0 has them, those compressed that become smaller. */
function asWoff(tables: ReadonlyMap<string, Buffer>): Buffer {
  const packed = [...tables].map(([tag, bytes]) => {
    const small = deflateSync(bytes);
    return { tag, length: bytes.length, bytes: small.length < bytes.length ? small : bytes };
  });
  const head = Buffer.alloc(44 + 20 * packed.length);
  head.write('wOFF', 0, 'latin1');
  head.writeUInt32BE(0x10000, 4);
  head.writeUInt16BE(packed.length, 12);
  let at = head.length;
  const bodies = packed.map(({ tag, length, bytes }, i) => {
    const entry = 44 + 20 * i;
    head.write(tag, entry, 'latin1');
    for (const [field, value] of [at, bytes.length, length, 0].entries())
      head.writeUInt32BE(value, entry + 4 + 4 * field);
    const body = Buffer.concat([bytes, Buffer.alloc(-bytes.length & 3)]);
    at += body.length;
    return body;
  });
  return Buffer.concat([head, ...bodies]);
}

test('a font is the same however it is wrapped', async () => {
  const plain = await unwrapped(file);
  const tables = tablesOf(plain);
  expect([...tables.keys()]).toEqual(expect.arrayContaining(['cmap', 'hmtx', 'GPOS', 'fvar']));
  expect(await unwrapped(plain)).toBe(plain);
  expect(tablesOf(await unwrapped(asWoff(tables)))).toEqual(tables);
});

test('what is no font, or a broken one, is left out; others are there', async () => {
  const broken = asWoff(tablesOf(await unwrapped(file)));
  broken.fill(0xff, 44, 64);
  const endless = asWoff(new Map([['cmap', Buffer.alloc(64)]]));
  endless.writeUInt32BE(0x7fffffff, 44 + 12);
  const bomb = asWoff(new Map([['cmap', Buffer.alloc(9_000_000)]]));
  bomb.writeUInt32BE(100_000, 44 + 12);
  const fonts = await ownFonts(
    new Map([
      ['words', base64(Buffer.from('wOFF'))],
      ['no base64', '%%%'],
      ['broken', base64(broken)],
      ['bomb', base64(bomb)],
      ['endless', base64(endless)],
      ['fine', base64(file)],
    ]),
  );
  expect([...fonts.keys()]).toEqual(['fine']);
});

test('whatever bytes come after a font’s mark, something is said of it or it is taken', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom('wOFF', 'wOF2', 'OTTO'),
      fc.uint8Array({ maxLength: 400 }),
      async (mark, rest) => {
        const bytes = Buffer.concat([Buffer.from(mark, 'latin1'), rest]);
        const fonts = await ownFonts(new Map([['any', base64(bytes)]]));
        expect(fonts.size).toBeLessThanOrEqual(1);
      },
    ),
    { numRuns: 60 },
  );
});
