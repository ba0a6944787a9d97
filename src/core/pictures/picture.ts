export type PictureType =
  | 'image/svg+xml'
  | 'image/png'
  | 'image/jpeg'
  | 'image/webp'
  | 'image/gif'
  | 'image/avif';

/** A picture with its content. */
export interface PictureKept {
  readonly name: string;
  readonly mediaType: PictureType;
  readonly base64: string;
}

/** A picture of the project's own, named by image parts. Content that came under two names is kept once. */
export type Picture = PictureKept | { readonly name: string; readonly sameAs: string };

/** The content of a picture; undefined where it is said to be that of one that is not there. */
export function contentOf(
  pictures: readonly Picture[],
  picture: Picture,
): Omit<PictureKept, 'name'> | undefined {
  if (!('sameAs' in picture)) return picture;
  const other = pictures.find((each) => each.name === picture.sameAs);
  return other === undefined || 'sameAs' in other ? undefined : other;
}

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
