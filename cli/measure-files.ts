import { readFile } from 'node:fs/promises';
import { gunzipSync } from 'node:zlib';
import { type MeasureFiles, nodeBreaks } from '../src/engine';

// The build puts the measures beside the command line.
const folder = new URL('../client/measures/', import.meta.url);

export const measureFiles: MeasureFiles = {
  wasm: async () => new WebAssembly.Module(await readFile(new URL('harfbuzz.wasm', folder))),
  index: async () => JSON.parse(await readFile(new URL('index.json', folder), 'utf8')),
  pack: async (file) => gunzipSync(await readFile(new URL(file, folder))),
  findBreaks: async () => nodeBreaks,
};
