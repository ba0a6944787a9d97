import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pictureFinder } from './find';
import { pictureFindings } from './findings';
import { pictureName } from './name';
import { contentIdOf, type Picture, pictureType } from './picture';

const png = (name: string): Picture => ({ name, mediaType: 'image/png', content: name });

describe('a picture’s name says what it is for', () => {
  test.each([
    ['mill', ['mill', 1, undefined, undefined]],
    ['mill@2x', ['mill', 2, undefined, undefined]],
    ['mill@3x~dark', ['mill', 3, 'dark', undefined]],
    ['mill~dark~tablet@2x.png', ['mill', 2, 'dark', 'tablet']],
    ['a/b/mill.svg', ['mill', 1, undefined, undefined]],
    ['mill@2x@3x', ['mill@2x', 3, undefined, undefined]],
    ['~dark', ['~dark', 1, undefined, undefined]],
    ['mill@9x', ['mill@9x', 1, undefined, undefined]],
    ['v1.5', ['v1.5', 1, undefined, undefined]],
  ])('%s', (name, expected) => {
    const { base, density, scheme, device } = pictureName(name);
    expect([base, density, scheme, device]).toEqual(expected);
  });
});

describe('the best picture for where it is shown', () => {
  const phone = { density: 1, scheme: 'light', device: 'phone' } as const;
  const finder = pictureFinder(
    ['mill', 'mill@2x', 'mill@3x', 'mill~dark', 'mill@2x~dark', 'mill~tablet', 'reel@2x'].map(png),
  );

  test.each([
    [phone, 'mill'],
    [{ ...phone, density: 2 }, 'mill@2x'],
    [{ ...phone, density: 4 }, 'mill@3x'],
    [{ ...phone, scheme: 'dark' }, 'mill~dark'],
    [{ ...phone, scheme: 'dark', density: 3 }, 'mill@2x~dark'],
    [{ ...phone, device: 'tablet', density: 2 }, 'mill~tablet'],
  ] as const)('%j → %s', (look, name) => {
    expect(finder.best('mill', look)?.name).toBe(name);
  });

  test('is found with an extension, by the name of a variant, or as the only one that there is', () => {
    expect(finder.best('mill.png', phone)?.name).toBe('mill');
    expect(finder.best('mill@3x', phone)?.name).toBe('mill@3x');
    expect(finder.best('reel', phone)?.name).toBe('reel@2x');
    expect([finder.has('reel.svg'), finder.has('loom'), finder.has('')]).toEqual([
      true,
      false,
      false,
    ]);
  });
});

describe('what is noticed about pictures', () => {
  test('one lacks a density that others have', () => {
    const found = pictureFindings(['a', 'a@2x', 'b', 'b@2x', 'c'].map(png));
    expect(found).toMatchObject([{ code: 'picture-density-missing', severity: 'note' }]);
    expect(found[0]?.message).toBe('"c" has no @2x picture, as 2 others have.');
  });

  test('a drawing that scales lacks none', () => {
    const drawing: Picture = { name: 'c', mediaType: 'image/svg+xml', content: 'c' };
    expect(pictureFindings([png('a'), png('a@2x'), drawing])).toEqual([]);
  });
});

test('the same content has the same id, and others have others', () => {
  const seen = new Map<string, string>();
  fc.assert(
    fc.property(fc.base64String({ maxLength: 40 }), (base64) => {
      const id = contentIdOf(base64);
      expect(id).toMatch(/^[0-9a-z]{20}$/);
      expect(contentIdOf(base64)).toBe(id);
      expect(seen.get(id) ?? base64).toBe(base64);
      seen.set(id, base64);
    }),
    { numRuns: 5_000 },
  );
});

describe('a file is a picture by what is in it', () => {
  const bytes = (text: string) => Uint8Array.from(text, (char) => char.charCodeAt(0));
  test.each<[string, string | undefined]>([
    ['\x89PNG\r\n\x1a\n', 'image/png'],
    ['\xff\xd8\xff\xe0', 'image/jpeg'],
    ['GIF89a', 'image/gif'],
    ['RIFF\x00\x01\x02\x03WEBPVP8 ', 'image/webp'],
    ['\x00\x00\x00 ftypavif', 'image/avif'],
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'image/svg+xml'],
    ['<?xml version="1.0"?>\n<!-- a mill --><svg >', 'image/svg+xml'],
    ['<html><svg>', undefined],
    ['[{"a":1}]', undefined],
  ])('%j', (head, type) => {
    expect(pictureType(bytes(head))).toBe(type);
  });
});
