import { fontFile } from '../../core/fonts';

/**
 * A font file as tables that are read as they are (ISO/IEC 14496-22): what is wrapped for the web
 * is unwrapped (WOFF 1.0 section 5, WOFF 2.0). Rejected where it is no font.
 */
export async function unwrapped(file: Uint8Array): Promise<Uint8Array> {
  switch (fontFile(file)) {
    case 'sfnt':
      return file;
    case 'woff':
      return fromWoff(file);
    case 'woff2':
      return fromWoff2(file);
    default:
      throw new Error('This is no font.');
  }
}

async function fromWoff2(file: Uint8Array): Promise<Uint8Array> {
  // Their code is large, and few bring such a file.
  const [{ default: unpack }, { tablesOfWoff2 }] = await Promise.all([
    import('brotli/decompress.js'),
    import('./woff2/woff2'),
  ]);
  const { flavour, tables } = tablesOfWoff2(file, unpack);
  const made = tables
    .map(({ tag, bytes }) => ({ head: [numberOf(tag), 0], bytes }))
    // A directory is searched by its tags.
    .sort(({ head: [one = 0] }, { head: [other = 0] }) => one - other);
  const total = made.reduce((sum, { bytes }) => sum + padded(bytes.length), 12 + 16 * made.length);
  return joined(flavour, made, total);
}

const numberOf = (tag: string): number =>
  [...tag].reduce((number, char) => number * 256 + char.charCodeAt(0), 0);

const headBytes = 44;
const entryBytes = 20;
/** No font that is measured is larger, unwrapped. */
const mostBytes = 64_000_000;

async function fromWoff(file: Uint8Array): Promise<Uint8Array> {
  const view = new DataView(file.buffer, file.byteOffset, file.length);
  const count = view.getUint16(12);
  const tables: { readonly head: readonly number[]; readonly bytes: Uint8Array }[] = [];
  let total = 12 + 16 * count;
  for (let i = 0; i < count; i += 1) {
    const at = headBytes + entryBytes * i;
    const [tag, start, packed, whole, sum] = [0, 4, 8, 12, 16].map((by) => view.getUint32(at + by));
    if (start === undefined || packed === undefined || whole === undefined) break;
    total += padded(whole);
    if (total > mostBytes || start + packed > file.length || packed > whole)
      throw new Error('A table of this font is not what its directory says.');
    const bytes = file.subarray(start, start + packed);
    tables.push({
      head: [tag ?? 0, sum ?? 0],
      bytes: packed < whole ? await inflated(bytes, whole) : bytes,
    });
  }
  return joined(view.getUint32(4), tables, total);
}

/** Tables beginning at whole 32 bits, after a directory of them. */
function joined(
  flavour: number,
  tables: readonly { readonly head: readonly number[]; readonly bytes: Uint8Array }[],
  total: number,
): Uint8Array {
  const made = new Uint8Array(total);
  const view = new DataView(made.buffer);
  view.setUint32(0, flavour);
  view.setUint16(4, tables.length);
  let end = 12 + 16 * tables.length;
  tables.forEach(({ head: [tag = 0, sum = 0], bytes }, i) => {
    for (const [field, value] of [tag, sum, end, bytes.length].entries())
      view.setUint32(12 + 16 * i + 4 * field, value);
    made.set(bytes, end);
    end += padded(bytes.length);
  });
  return made;
}

/** Up to whole 32 bits; lengths are not signed. */
const padded = (length: number): number => Math.ceil(length / 4) * 4;

/** Unpacks so many bytes, and no more than it was told. */
async function inflated(bytes: Uint8Array, count: number): Promise<Uint8Array> {
  const stream = new Blob([bytes.slice()]).stream().pipeThrough(new DecompressionStream('deflate'));
  const whole = new Uint8Array(count);
  let end = 0;
  for (const reader = stream.getReader(); ; ) {
    const { done, value } = await reader.read();
    if (done) break;
    if (end + value.length > count) {
      await reader.cancel();
      throw new Error('A table of this font is larger than its directory says.');
    }
    whole.set(value, end);
    end += value.length;
  }
  return whole;
}
