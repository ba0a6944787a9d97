import { readFile } from 'node:fs/promises';
import { gunzipSync } from 'node:zlib';
import type { TextDirection } from '../src/core/base';
import { cellWidth, isCut, placed, shownLines } from '../src/core/layout';
import { columnsOf, type Entry, type List, RowBoxes, type RowPlan } from '../src/core/lists';
import { cutOff, type MeasureFiles, Measures, nodeBreaks, type RowBox } from '../src/engine';

/** Where a list stands. */
interface ListPlace extends RowBox {
  readonly direction: TextDirection;
}

/** A part's box in CSS px, from the top and the left of its row; of a label, what it shows. */
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

/** Finds the boxes of entries in a list that is so wide, those of the row itself first. */
export function boxesFinder({ widthPx, direction, ...place }: ListPlace) {
  const measures = new Measures(files, () => {});
  return async (list: List, plan: RowPlan, entry: Entry): Promise<readonly PartBox[]> => {
    const { edge, gap } = list.arrangement;
    const columns = columnsOf(list.arrangement);
    const boxes = new RowBoxes(plan, place);
    boxes.fill(entry.values);
    while (!boxes.measure((words, font) => measures.at(place)?.of(cutOff(words), font)))
      await measures.more();
    boxes.solve(cellWidth(widthPx, { columns, edge, gap }));
    return [...partBoxes(boxes, direction)];
  };
}

function* partBoxes({ row, place }: RowBoxes, direction: TextDirection): Generator<PartBox> {
  const css = (units: number) => units / 64 / place.ratio;
  for (const { node, x, y } of placed(row, direction))
    yield {
      part: node.part,
      ...{ x: css(x), y: css(y), width: css(node.box.width), height: css(node.box.height) },
      ...(node.kind === 'label' && { lines: shownLines(node), isCut: isCut(node) }),
    };
}
