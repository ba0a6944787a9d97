import type { DocumentPort, Encoding, ReadPorts } from './reader';

const bytesAtOnce = 4_000_000;
const piecesAhead = 4;

/** Tells it by the byte-order mark, then by the zero bytes that UTF-16 gives ASCII letters; else it is UTF-8. */
export function sniffEncoding(head: Uint8Array): Encoding {
  const [a, b] = head;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const seen = Math.min(head.length & ~1, 512);
  let zeroFirst = 0;
  let zeroSecond = 0;
  for (let i = 0; i < seen; i += 2) {
    if (head[i] === 0) zeroFirst += 1;
    if (head[i + 1] === 0) zeroSecond += 1;
  }
  if (seen > 0 && zeroSecond > seen * 0.2 && zeroFirst < seen * 0.02) return 'utf-16le';
  if (seen > 0 && zeroFirst > seen * 0.2 && zeroSecond < seen * 0.02) return 'utf-16be';
  return 'utf-8';
}

const pictureMarks: readonly {
  readonly kind: string;
  readonly at: number;
  readonly mark: string;
}[] = [
  { kind: 'PNG', at: 1, mark: 'PNG\r\n' },
  { kind: 'JPEG', at: 0, mark: '\xff\xd8\xff' },
  { kind: 'GIF', at: 0, mark: 'GIF8' },
  { kind: 'WebP', at: 8, mark: 'WEBP' },
  { kind: 'AVIF', at: 4, mark: 'ftypavif' },
  { kind: 'SVG', at: 0, mark: '<svg' },
];

/** The kind of picture that a file's first bytes say it is. */
export function sniffPicture(head: Uint8Array): string | undefined {
  const start = String.fromCharCode(...head.slice(0, 32));
  return pictureMarks.find((each) => start.startsWith(each.mark, each.at))?.kind;
}

/** NUL bytes stand in no text but UTF-16, which has been told apart by then. */
export function looksBinary(head: Uint8Array, encoding: Encoding): boolean {
  return !encoding.startsWith('utf-16') && head.includes(0);
}

/** The head's text; what a cut leaves of a character at its end is dropped. */
export function headText(
  head: Uint8Array,
  encoding: Encoding,
  ports: ReadPorts,
): string | undefined {
  try {
    return ports.decoder(encoding)(head, false);
  } catch {
    return undefined;
  }
}

/** A document whose encoding is known. */
export interface Opened {
  readonly document: DocumentPort;
  readonly encoding: Encoding;
  /** All of it as UTF-8, already asked for. */
  readonly quick: Promise<string> | undefined;
}

/** The whole text, decoded in turns; undefined if the bytes are not of that encoding. */
export async function wholeText(
  { document, encoding, quick }: Opened,
  ports: ReadPorts,
): Promise<string | undefined> {
  const text = await quick;
  // A file may hold U+FFFD itself; then only the strict way can tell.
  if (text !== undefined && !text.includes('\uFFFD')) {
    return text.startsWith('\uFEFF') ? text.slice(1) : text;
  }
  const decode = ports.decoder(encoding);
  const pieces: string[] = [];
  const piece = (from: number) =>
    document.bytes(from, Math.min(document.sizeBytes, from + bytesAtOnce));
  // The disk reads a few pieces ahead while one is decoded.
  const ahead: Promise<Uint8Array>[] = [];
  for (let from = 0; from < document.sizeBytes; from += bytesAtOnce) {
    for (
      let next = from + ahead.length * bytesAtOnce;
      ahead.length < piecesAhead;
      next += bytesAtOnce
    ) {
      if (next >= document.sizeBytes) break;
      ahead.push(piece(next));
    }
    const bytes = await ahead.shift();
    if (bytes === undefined) break;
    try {
      pieces.push(decode(bytes, from + bytesAtOnce >= document.sizeBytes));
    } catch {
      await Promise.all(ahead);
      return undefined;
    }
    await ports.pause();
  }
  return pieces.join('');
}
