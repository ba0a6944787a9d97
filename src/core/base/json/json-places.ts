import type { Json, JsonRecord } from './json';

/** A stretch of a text, in UTF-16 units. */
export interface TextSpan {
  readonly from: number;
  readonly to: number;
}

/** A JSON text with where each of its values stands, by its path: `row.children[0].text`. */
export interface PlacedJson {
  readonly value: Json;
  readonly places: ReadonlyMap<string, TextSpan>;
}

/** Where a text is no JSON, and what was expected there. */
export interface JsonFault {
  readonly at: number;
  readonly message: string;
}

const maxDepth = 500;

/** Reads JSON (RFC 8259) as `JSON.parse` does, and says where everything stands, or where it fails. */
export function placesInJson(text: string): PlacedJson | JsonFault {
  const reader = new Reader(text);
  try {
    const value = reader.whole();
    return { value, places: reader.places };
  } catch (error) {
    if (error instanceof Fault) return { at: error.at, message: error.message };
    throw error;
  }
}

class Fault extends Error {
  constructor(
    readonly at: number,
    message: string,
  ) {
    super(message);
  }
}

class Reader {
  readonly places = new Map<string, TextSpan>();
  private at = 0;

  constructor(private readonly text: string) {}

  whole(): Json {
    const value = this.value('', 0);
    this.space();
    if (this.at < this.text.length)
      throw new Fault(this.at, 'The text ends here, but more follows.');
    return value;
  }

  private value(path: string, depth: number): Json {
    this.space();
    if (depth > maxDepth) throw new Fault(this.at, `It nests more than ${maxDepth} levels deep.`);
    const from = this.at;
    const value = this.inner(path, depth);
    this.places.set(path, { from, to: this.at });
    return value;
  }

  private inner(path: string, depth: number): Json {
    const char = this.text[this.at];
    if (char === '{') return this.record(path, depth);
    if (char === '[') return this.list(path, depth);
    literalHere.lastIndex = this.at;
    const literal = literalHere.exec(this.text)?.[0];
    const read = literal === undefined ? undefined : parsed(literal);
    if (literal === undefined || read === undefined)
      throw new Fault(
        this.at,
        char === undefined ? 'A value is missing at the end.' : 'No value begins so.',
      );
    this.at += literal.length;
    return read.value;
  }

  private record(path: string, depth: number): JsonRecord {
    const entries: (readonly [string, Json])[] = [];
    this.items('}', () => {
      this.space();
      const name = this.text[this.at] === '"' ? this.inner('', depth) : undefined;
      if (typeof name !== 'string') throw new Fault(this.at, 'A name in quotes is expected.');
      this.space();
      if (this.text[this.at] !== ':') throw new Fault(this.at, 'A colon is expected.');
      this.at += 1;
      entries.push([name, this.value(path === '' ? name : `${path}.${name}`, depth + 1)]);
    });
    // As JSON.parse has it: `__proto__` is a key like any other.
    return Object.fromEntries(entries);
  }

  private list(path: string, depth: number): readonly Json[] {
    const values: Json[] = [];
    this.items(']', () => values.push(this.value(`${path}[${values.length}]`, depth + 1)));
    return values;
  }

  /** What stands between brackets, with commas between. */
  private items(close: string, read: () => void): void {
    this.at += 1;
    this.space();
    if (this.text[this.at] === close) {
      this.at += 1;
      return;
    }
    for (;;) {
      read();
      this.space();
      const char = this.text[this.at];
      if (char !== ',' && char !== close)
        throw new Fault(this.at, `A comma or ${close} is expected.`);
      this.at += 1;
      if (char === close) return;
    }
  }

  private space(): void {
    while (/[ \t\r\n]/.test(this.text[this.at] ?? '')) this.at += 1;
  }
}

/** What may be a literal from `lastIndex` on: `JSON.parse` says whether it is one. */
const literalHere = /"(?:[^"\\]|\\.)*"|-?\d[\d.eE+-]*|true|false|null/y;

function parsed(literal: string): { readonly value: Json } | undefined {
  try {
    return { value: JSON.parse(literal) };
  } catch {
    return undefined;
  }
}
