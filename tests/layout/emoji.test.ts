import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import decompress from 'wawoff2/decompress.js';
import { emojiSlices } from '../../scripts/fonts/emoji.mjs';

/** The names of a font's tables. Standard: OpenType, table directory. */
function tablesOf(font: Uint8Array): string[] {
  const view = Buffer.from(font);
  return Array.from({ length: view.readUInt16BE(4) }, (_, at) =>
    view.toString('latin1', 12 + 16 * at, 16 + 16 * at),
  );
}

test('emoji are drawn in colour: each slice has the drawings that Chromium takes, and no others', async () => {
  for (const { file } of emojiSlices()) {
    const tables = tablesOf(await decompress(readFileSync(file)));
    expect([file, tables.includes('COLR'), tables.includes('SVG ')]).toEqual([file, true, false]);
  }
});

test('each emoji is in one slice; none is fetched since a sign asks for emoji', () => {
  const slices = emojiSlices();
  const isIn = (char: number) =>
    slices.filter(({ ranges }) => ranges.some(([from, to]) => from <= char && char <= to)).length;
  for (let char = 0; char < 0x1fb00; char += 1)
    if (/\p{Emoji}/u.test(String.fromCodePoint(char)))
      expect([char, isIn(char)]).toEqual([char, 1]);
  expect(isIn(0xfe0f)).toBe(0);
  expect(isIn(0x200d)).toBe(1);
});
