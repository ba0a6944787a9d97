import type { Ranges, Slice } from '../../core/text';
import type { HarfBuzz, LoadedFace } from './harfbuzz';

interface Head {
  readonly family: string;
  readonly slices: readonly { readonly ranges: readonly number[]; readonly length: number }[];
}

/** The slices of a family's pack, in the order in which they are tried; `bytes`: without its gzip. */
export function slicesOf(bytes: Uint8Array, harfbuzz: HarfBuzz): readonly Slice[] {
  const headLength = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0, true);
  const head: Head = JSON.parse(new TextDecoder().decode(bytes.subarray(4, 4 + headLength)));
  let at = 4 + headLength;
  return head.slices.map(({ ranges, length }) => {
    const file = bytes.subarray(at, at + length);
    at += length;
    return sliceOf(head.family, ranges, file, harfbuzz);
  });
}

/** Read when it is first shaped with: of a hundred slices of a family a text takes a few. */
function sliceOf(family: string, ranges: Ranges, file: Uint8Array, harfbuzz: HarfBuzz): Slice {
  let face: LoadedFace | undefined;
  return {
    family,
    ranges,
    face(weight) {
      face ??= harfbuzz.face(file);
      return face.at(weight);
    },
  };
}
