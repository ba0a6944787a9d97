import type { Slice } from '../../core/text';
import type { HarfBuzz, LoadedFace } from './harfbuzz';

interface Head {
  readonly family: string;
  readonly slices: readonly {
    readonly ranges: readonly number[];
    readonly file: string;
    readonly length: number;
  }[];
}

/** The slices of a family's pack, in the order in which they are tried; `bytes`: without its gzip. */
export function slicesOf(bytes: Uint8Array, harfbuzz: HarfBuzz): readonly Slice[] {
  const headLength = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0, true);
  const head: Head = JSON.parse(new TextDecoder().decode(bytes.subarray(4, 4 + headLength)));
  let at = 4 + headLength;
  return head.slices.map(({ ranges, file, length }) => {
    const own = bytes.subarray(at, at + length);
    at += length;
    return sliceOf({ family: head.family, ranges, file }, own, harfbuzz);
  });
}

/** Read when it is first shaped with: of a hundred slices of a family a text takes a few. */
function sliceOf(said: Omit<Slice, 'face'>, bytes: Uint8Array, harfbuzz: HarfBuzz): Slice {
  let face: LoadedFace | undefined;
  return {
    ...said,
    face(weight) {
      face ??= harfbuzz.face(bytes);
      return face.at(weight);
    },
  };
}
