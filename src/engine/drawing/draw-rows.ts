import type { TextDirection } from '../../core/base';
import {
  drawnRow,
  type HeldPicture,
  type LaidRow,
  type Letters,
  layRow,
  type PartPlace,
  svgDocument,
} from '../../core/drawing';
import { placed } from '../../core/layout';
import { RowBoxes, type RowPlace } from '../../core/lists';
import type { TextMeasures, TextPlace } from '../../core/text';
import type { Tried } from '../views';
import { type FontFiles, lettersAs } from './letters';

/** Rows that are to be drawn, one under the other. */
export interface DrawTask extends RowPlace {
  readonly rows: Tried;
  readonly widthPx: number;
  /** BCP 47 tag of the list's language. */
  readonly language: string;
  readonly scheme: 'light' | 'dark';
  readonly direction: TextDirection;
  readonly letters: Letters['kind'];
  /** What is found under the names of pictures. */
  readonly pictures: ReadonlyMap<string, HeldPicture>;
  /** What names within the picture begin with: another one for each that stands in the same document. */
  readonly prefix: string;
}

/** Rows as a picture. */
export interface RowsDrawn {
  /** An SVG file. */
  readonly svg: string;
  readonly widthPx: number;
  readonly heightPx: number;
  /** The parts of each row, from its own top. */
  readonly places: readonly (readonly PartPlace[])[];
}

/** Measures as far as they are there: faces come when they are first wanted. */
export interface DrawingMeasures {
  at(place: TextPlace): TextMeasures | undefined;
}

/** What drawing takes from where it runs. */
export interface DrawingPorts extends FontFiles {
  readonly measures: DrawingMeasures;
  /** Gives others a turn until faces may have come. */
  readonly wait: () => Promise<void>;
}

/** So often it is looked whether faces have come: half a minute. */
const mostLooks = 600;

/** Draws rows as one SVG file; rejected where a font does not come. */
export async function drawRows(task: DrawTask, ports: DrawingPorts): Promise<RowsDrawn> {
  const rows = await laidRows(task, ports);
  const { letters, faces } = await lettersAs(task, rows, ports);
  let ids = 0;
  const how = {
    scheme: task.scheme,
    direction: task.direction,
    pictures: (name: string) => task.pictures.get(name),
    letters,
    id: () => {
      ids += 1;
      return `${task.prefix}${ids}`;
    },
  };
  let heightPx = 0;
  const drawn = rows.map((row) => {
    const top = heightPx;
    heightPx += Math.ceil(row.boxes.heightPx);
    return top === 0
      ? drawnRow(row, how)
      : `<g transform="translate(0 ${top})">${drawnRow(row, how)}</g>`;
  });
  const size = { widthPx: Math.ceil(task.widthPx), heightPx };
  const places = rows.map(({ boxes }) => placesIn(boxes, task.direction));
  return { svg: svgDocument(size, faces, ...drawn), ...size, places };
}

function placesIn({ row, place }: RowBoxes, direction: TextDirection): readonly PartPlace[] {
  const css = (units: number) => units / 64 / place.ratio;
  const places = new Map<string, PartPlace>();
  for (const { node, x, y } of placed(row, direction)) {
    const { width, height } = node.box;
    const box = { x: css(x), y: css(y), width: css(width), height: css(height) };
    // What a pill holds stands in it under its name.
    if (!places.has(node.part)) places.set(node.part, { part: node.part, ...box });
  }
  return [...places.values()];
}

async function laidRows(task: DrawTask, { measures, wait }: DrawingPorts) {
  for (let look = 0; look < mostLooks; look += 1) {
    const rows = laidNow(task, measures);
    if (rows !== undefined) return rows;
    await wait();
  }
  throw new Error('The fonts of these rows did not come.');
}

/** Undefined: some face is still on its way. */
function laidNow(task: DrawTask, measures: DrawingMeasures): readonly LaidRow[] | undefined {
  const { rows, ratio, textSize, widthPx } = task;
  const laid: LaidRow[] = [];
  for (const { values } of rows.entries) {
    const boxes = new RowBoxes(rows.plan, { ratio, textSize });
    boxes.fill(values);
    const at = (own: string | undefined) => measures.at({ ratio, language: own ?? task.language });
    if (!boxes.measure((runs, own) => at(own)?.of(runs))) return undefined;
    boxes.solve(widthPx);
    const row = layRow(rows.plan, values, boxes, (runs, room, own) => at(own)?.laid(runs, room));
    if (row === undefined) return undefined;
    laid.push(row);
  }
  return laid;
}
