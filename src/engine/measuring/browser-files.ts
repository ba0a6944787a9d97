import type { FindBreaks } from '../../core/text';
import type { FamilyFile, MeasureFiles } from './measures';

const folder = '/measures';

async function fetched(file: string): Promise<Response> {
  const answer = await fetch(`${folder}/${file}`);
  if (!answer.ok) throw new Error(`${file} is not there: ${answer.status}.`);
  return answer;
}

const faces = new Map<string, Promise<Uint8Array>>();

/** A file of the faces that rows are drawn in; one that did not come is asked for again. */
export function browserFace(file: string): Promise<Uint8Array> {
  const before = faces.get(file) ?? fetchedFace(file);
  faces.set(file, before);
  before.catch(() => faces.delete(file));
  return before;
}

async function fetchedFace(file: string): Promise<Uint8Array> {
  const answer = await fetch(`/faces/${file}`);
  if (!answer.ok) throw new Error(`The font ${file} is not there: ${answer.status}.`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** Chromium's own finder of breaks, which no standard has; other browsers come without. */
interface BreakIterator {
  adoptText(text: string): void;
  first(): number;
  next(): number;
}
type BreakIteratorClass = new (locale: string, options: { readonly type: 'line' }) => BreakIterator;

const isClass = (value: unknown): value is BreakIteratorClass => typeof value === 'function';

const browserBreaks =
  (iterator: BreakIterator): FindBreaks =>
  (text) => {
    iterator.adoptText(text);
    const breaks: number[] = [];
    iterator.first();
    for (let next = iterator.next(); next !== -1; next = iterator.next())
      if (next < text.length) breaks.push(next);
    return breaks;
  };

/** What the server of the page has. */
export const browserFiles: MeasureFiles = {
  wasm: async () => WebAssembly.compileStreaming(fetched('harfbuzz.wasm')),
  index: async () => {
    const index: readonly FamilyFile[] = await (await fetched('index.json')).json();
    return index;
  },
  async pack(file) {
    const { body } = await fetched(file);
    if (body === null) throw new Error(`${file} is empty.`);
    const stream = body.pipeThrough(new DecompressionStream('gzip'));
    return new Uint8Array(await new Response(stream).arrayBuffer());
  },
  async findBreaks() {
    const known: unknown = Reflect.get(Intl, 'v8BreakIterator');
    if (isClass(known)) return browserBreaks(new known('en', { type: 'line' }));
    const { nodeBreaks } = await import('./node-breaks');
    return nodeBreaks;
  },
};
