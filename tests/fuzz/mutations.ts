import { seededRandom } from '../../src/core/base';

/** What trips readers up: signs of JSON, CSV and encodings, and broken pieces of UTF-8. */
const pieces = [
  '"',
  '""',
  '\\',
  '\\u',
  '\\ud83d',
  '[',
  ']',
  '{',
  '}',
  ':',
  ',',
  ';',
  '\t',
  '\r',
  '\n',
  '\0',
  '\ufeff',
  '1e999',
  '-',
  '00',
  'null',
  '"__proto__":',
  '['.repeat(300),
].map((text) => new TextEncoder().encode(text));
const brokenUtf8 = [Uint8Array.of(0xff), Uint8Array.of(0xc3), Uint8Array.of(0xed, 0xa0, 0x80)];

export interface Mutation {
  /** By which a failure is made again. */
  readonly id: number;
  readonly bytes: Uint8Array;
}

/** Damaged copies of a file, the same ones each time. */
export function* mutations(original: Uint8Array, count: number): Generator<Mutation, void> {
  for (let id = 0; id < count; id += 1) {
    const random = seededRandom(id);
    // A copy: what Node reads from files shares its memory with its slices.
    let bytes: Uint8Array = Uint8Array.from(original);
    const hits = 1 + Math.floor(random() * 4);
    for (let hit = 0; hit < hits; hit += 1) bytes = damaged(bytes, random);
    yield { id, bytes };
  }
}

function damaged(bytes: Uint8Array, random: () => number): Uint8Array {
  const at = Math.floor(random() * (bytes.length + 1));
  const length = Math.floor(random() * 12);
  const piece = [...pieces, ...brokenUtf8][
    Math.floor(random() * (pieces.length + brokenUtf8.length))
  ];
  switch (Math.floor(random() * 5)) {
    case 0:
      return bytes.slice(0, at);
    case 1:
      return joined(bytes.subarray(0, at), bytes.subarray(at + length));
    case 2:
      return joined(bytes.subarray(0, at), piece ?? bytes, bytes.subarray(at));
    case 3:
      return joined(bytes.subarray(0, at), bytes.subarray(at, at + length), bytes.subarray(at));
    default: {
      const changed = bytes.slice();
      if (at < changed.length) changed[at] = Math.floor(random() * 256);
      return changed;
    }
  }
}

const joined = (...parts: readonly Uint8Array[]): Uint8Array =>
  Uint8Array.from(Buffer.concat(parts));
