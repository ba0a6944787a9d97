import { readFileSync } from 'node:fs';
import { atOnce } from '../../src/core/base';
import { infer, read } from '../../src/core/items';
import { makeProject } from '../../src/core/project';
import { Engine, strictDecoder } from '../../src/engine';

/** Reads a file as the worker does, holds its items, and prints what that keeps in memory. */
const [, , path = ''] = process.argv;
const pause = async () => {};

async function hold(): Promise<{
  readonly engine: Engine;
  readonly source: string;
  readonly text: number;
}> {
  const bytes = readFileSync(path);
  const done = await read(
    { name: 'stock.json', sizeBytes: bytes.length, bytes: async (a, b) => bytes.subarray(a, b) },
    { file: 'stock.json', gathers: true },
    { decoder: strictDecoder, pause, progress: () => {}, first: () => {} },
  );
  if (!done.ok) throw new Error(done.error.message);
  const inference = atOnce(infer(done.value.items, 'stock', done.value.gathered));
  const project = makeProject('stock.json', done.value, inference);
  const engine = new Engine({ pause, now: () => '2026-03-02T10:00:00Z' });
  const source = project.sources[0]?.id ?? '';
  engine.hold(source, done.value.items, inference.unique);
  engine.update(project, { from: 0, to: 40 });
  engine.surveyNow();
  return { engine, source, text: bytes.length };
}

const heapNow = () => {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed;
};
const before = heapNow();
const { engine, source, text } = await hold();
const held = heapNow() - before;
process.stdout.write(JSON.stringify({ held, text, items: engine.heldIn(source).length }));
