import { readFile } from 'node:fs/promises';
import { gunzipSync } from 'node:zlib';
import { type Box, cellWidth, solve, unitsAt } from '../src/core/layout';
import { columnsOf, type Entry, type List, type RowPlan, rowNode } from '../src/core/lists';
import type { TextStyle } from '../src/core/templates';
import { type MeasureFiles, Measures, nodeBreaks } from '../src/engine';

export interface RowBoxes {
  /** Of the list, in CSS px. */
  readonly widthPx: number;
  /** Device px in a CSS px. */
  readonly ratio: number;
  readonly language: string;
}

/** A part's box in CSS px, from the top and the start of its row; of a label, what it shows. */
export interface PartBox {
  readonly part: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly lines?: number;
  readonly isCut?: boolean;
}

// The build puts the measures beside the command line.
const folder = new URL('../client/measures/', import.meta.url);

const files: MeasureFiles = {
  wasm: async () => new WebAssembly.Module(await readFile(new URL('harfbuzz.wasm', folder))),
  index: async () => JSON.parse(await readFile(new URL('index.json', folder), 'utf8')),
  pack: async (file) => gunzipSync(await readFile(new URL(file, folder))),
  findBreaks: async () => nodeBreaks,
};

const notYet = { isEmpty: false, width: 0, lineCount: () => 1 };

/** Finds the boxes of entries, those of the row itself first. */
export function boxesFinder({ widthPx, ratio, language }: RowBoxes) {
  const measures = new Measures(files, () => {});
  return async (list: List, plan: RowPlan, entry: Entry): Promise<readonly PartBox[]> => {
    const { edge, gap } = list.arrangement;
    const columns = columnsOf(list.arrangement);
    const width = unitsAt(ratio)(cellWidth(widthPx, { columns, edge, gap }));
    for (;;) {
      let isKnown = true;
      const text = (words: string, style: TextStyle) => {
        const measure = measures.text(words, style, { ratio, language });
        isKnown &&= measure !== undefined;
        return measure ?? notYet;
      };
      const node = rowNode(plan, entry.values, { ratio, text });
      if (isKnown) return [...partBoxes(solve(node, width), ratio)];
      await measures.more();
    }
  };
}

function* partBoxes(box: Box, ratio: number, left = 0, top = 0): Generator<PartBox> {
  const css = (units: number) => units / 64 / ratio;
  const [x, y] = [left + box.x, top + box.y];
  yield {
    part: box.node.part,
    ...{ x: css(x), y: css(y), width: css(box.width), height: css(box.height) },
    ...(box.node.kind === 'label' && { lines: box.lines, isCut: box.isCut }),
  };
  for (const child of box.children) yield* partBoxes(child, ratio, x, y);
}
