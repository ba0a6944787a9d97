export const pictureTypes = [
  'image/svg+xml',
  'image/png',
  'image/jpeg',
  'image/webp',
  'image/gif',
  'image/avif',
] as const;

export type PictureType = (typeof pictureTypes)[number];

/** A picture of the project's own, named by image parts. What it shows is kept beside the project. */
export interface Picture {
  readonly name: string;
  readonly mediaType: PictureType;
  /** Id of its content: pictures with the same content have the same. */
  readonly content: string;
}

/** What pictures show, as base64, by the ids of contents. */
export type PictureContents = ReadonlyMap<string, string>;

const marks: readonly (readonly [PictureType, RegExp])[] = [
  ['image/png', /^\x89PNG\r\n/],
  ['image/jpeg', /^\xff\xd8\xff/],
  ['image/gif', /^GIF8[79]a/],
  ['image/webp', /^RIFF[\s\S]{4}WEBP/],
  ['image/avif', /^[\s\S]{4}ftyp(?:avif|avis)/],
  [
    'image/svg+xml',
    /^(?:\xef\xbb\xbf)?\s*(?:<\?xml[\s\S]*?\?>\s*)?(?:<!--[\s\S]*?-->\s*|<!DOCTYPE[^>]*>\s*)*<svg[\s>]/i,
  ],
];

/** What kind of picture a file is, by its first bytes; undefined: none that can be shown. */
export function pictureType(head: Uint8Array): PictureType | undefined {
  const text = String.fromCharCode(...head.subarray(0, 2_000));
  return marks.find(([, mark]) => mark.test(text))?.[0];
}

/** What is kept by its content, beside the project. */
export type HasContent = Pick<Picture, 'content'>;

/** The contents of these, as far as they are there. */
export const contentsFor = (
  wanted: readonly HasContent[],
  contents: PictureContents,
): PictureContents =>
  new Map(
    wanted.flatMap(({ content }): [string, string][] => {
      const base64 = contents.get(content);
      return base64 === undefined ? [] : [[content, base64]];
    }),
  );

/**
 * The id of a content: the same for the same. It tells apart what people bring, not what is made to
 * be mistaken; each project has contents of its own, so that no other's can be taken for them.
 */
export function contentIdOf(base64: string): string {
  return (hash(base64, 0x2c1b3c6d) + hash(base64, 0x297a2d39)).slice(0, 20);
}

/** 53 bits of a text, in base 36: two multiplicative hashes of 32 bits, mixed at the end. */
function hash(text: string, seed: number): string {
  let high = 0xdeadbeef ^ seed;
  let low = 0x41c6ce57 ^ seed;
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    high = Math.imul(high ^ code, 2654435761);
    low = Math.imul(low ^ code, 1597334677);
  }
  high = Math.imul(high ^ (high >>> 16), 2246822507) ^ Math.imul(low ^ (low >>> 13), 3266489909);
  low = Math.imul(low ^ (low >>> 16), 2246822507) ^ Math.imul(high ^ (high >>> 13), 3266489909);
  return (4294967296 * (2097151 & low) + (high >>> 0)).toString(36).padStart(11, '0');
}
