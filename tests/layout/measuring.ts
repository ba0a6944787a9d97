import { readdirSync, readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import type { Slice } from '../../src/core/text';
import { HarfBuzz, ownFonts, sliceOfOwn, slicesOf } from '../../src/engine/measuring';
import { ownFontFile } from '../support/own-font';

const measures = 'public/measures';

export async function ownSlice(): Promise<Slice> {
  const wasm = readFileSync('node_modules/harfbuzzjs/dist/harfbuzz.wasm');
  const harfbuzz = await HarfBuzz.load(new WebAssembly.Module(wasm));
  const fonts = await ownFonts(new Map([['own', readFileSync(ownFontFile).toString('base64')]]));
  return sliceOfOwn('own', fonts.get('own') ?? new Uint8Array(), harfbuzz);
}

/** The slices of all packs, by family. */
export async function allSlices(): Promise<ReadonlyMap<string, readonly Slice[]>> {
  const wasm = readFileSync('node_modules/harfbuzzjs/dist/harfbuzz.wasm');
  const harfbuzz = await HarfBuzz.load(new WebAssembly.Module(wasm));
  const slices = readdirSync(measures)
    .filter((name) => name.endsWith('.pack'))
    .map((name) => slicesOf(gunzipSync(readFileSync(`${measures}/${name}`)), harfbuzz));
  return new Map(slices.map((each) => [each[0]?.family ?? '', each]));
}
