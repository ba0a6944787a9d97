import { build } from 'esbuild';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { cellWidth, stripCellWidth } from '../../src/core/layout';
import { type Arrangement, columnsIn, stripMeasures } from '../../src/core/lists';
import { edits } from '../../src/core/project';
import type { Frame } from '../../src/engine';
import { openShop } from '../support/shop';
import { openPage } from './page';

/** What the page does: the list as the window draws it, in a box as wide as the case says. */
const drawing = `
import '../../src/render/render.css';
import { ListView } from '../../src/render';
globalThis.cellsOf = (cases) => cases.map(({ frame, widthPx, isRtl }) => {
  const host = document.createElement('section');
  host.style.cssText = 'width:' + widthPx + 'px;height:900px';
  host.dir = isRtl ? 'rtl' : 'ltr';
  document.body.append(host);
  const list = new ListView(host, {
    entries: async () => [],
    pictures: () => undefined,
    pressed: () => {},
    direction: () => host.dir,
  });
  const { lines, heights } = frame.sequence;
  list.show({ ...frame, sequence: { ...frame.sequence, heights: Int32Array.from(heights), lines: {
    firsts: Int32Array.from(lines.firsts), columns: Uint8Array.from(lines.columns),
    headings: new Int32Array(), ends: new Int32Array(), strips: lines.strips } } });
  const origin = host.getBoundingClientRect();
  const boxes = [...host.querySelectorAll('.yc-row')].map((row) => {
    const { left, right, width } = row.getBoundingClientRect();
    return { start: isRtl ? origin.right - right : left - origin.left, width };
  });
  list.destroy();
  host.remove();
  return boxes;
});
`;

interface Case {
  readonly arrangement: Arrangement;
  readonly widthPx: number;
  readonly isRtl: boolean;
}

declare global {
  function cellsOf(
    cases: readonly { frame: unknown; widthPx: number; isRtl: boolean }[],
  ): readonly (readonly { readonly start: number; readonly width: number }[])[];
}

const px = (max: number) => fc.integer({ min: 0, max });
const columns = fc.oneof(
  fc.integer({ min: 1, max: 9 }),
  fc.integer({ min: 40, max: 300 }).map((least) => ({ least })),
);
const cell = fc.oneof(
  fc.integer({ min: 40, max: 400 }),
  fc.integer({ min: 2, max: 12 }).map((halves) => ({ inSight: halves / 2 })),
);
const arrangements: fc.Arbitrary<Arrangement> = fc.oneof(
  fc.record({ kind: fc.constant('grid' as const), columns, gap: px(20), edge: px(24) }),
  fc.record({
    kind: fc.constant('strip' as const),
    strips: fc.record({ cell }),
    ...{ gap: px(20), edge: px(24) },
  }),
);
/** A row is never narrower than the padding that its template says. */
const leastPx = 40;
const cases: fc.Arbitrary<Case> = fc
  .record({
    arrangement: arrangements,
    widthPx: fc.integer({ min: 280, max: 1_100 }),
    isRtl: fc.boolean(),
  })
  .filter((each) => expectedOf(each).width >= leastPx);

const items = Array.from({ length: 40 }, (_, at) => ({ id: `i-${at}`, name: `Skein ${at}` }));

function frameOf({ arrangement, widthPx }: Case, ratio: number): Frame {
  const shop = openShop(items);
  const [list] = shop.project().lists;
  shop.make(edits.arrangeAs(list?.id ?? '', arrangement));
  return shop.engine.view({ from: 0, to: 40, box: { widthPx, ratio, textSize: 1 } });
}

/** Where the sum that the List station shows puts the cells of the first line. */
function expectedOf({ arrangement, widthPx }: Case) {
  const isStrip = arrangement.kind === 'strip';
  const { edge, gap } = arrangement;
  const count = columnsIn(arrangement, widthPx);
  const width = isStrip
    ? stripCellWidth(widthPx, stripMeasures(arrangement))
    : cellWidth(widthPx, { columns: count, edge, gap });
  return { width, startOf: (at: number) => edge + (isStrip ? at : at % count) * (width + gap) };
}

test.each([1, 1.5, 2])(
  'the cells of grids and strips stand where the sum says, at %s device px',
  async (ratio) => {
    const { outputFiles = [] } = await build({
      stdin: { contents: drawing, resolveDir: 'tests/layout', loader: 'ts' },
      ...{ bundle: true, write: false, format: 'iife', outdir: 'out' },
    });
    const { page, close } = await openPage(ratio);
    for (const { path, text } of outputFiles)
      if (path.endsWith('.css')) await page.addStyleTag({ content: text });
      else await page.addScriptTag({ content: text });
    const made = fc.sample(cases, { numRuns: 60, seed: 15 });
    const tasks = made.map((each) => {
      const frame = frameOf(each, ratio);
      const { lines, heights, ...sequence } = frame.sequence;
      const plain = {
        ...sequence,
        heights: [...(heights ?? [])],
        lines: lines && { ...lines, firsts: [...lines.firsts], columns: [...lines.columns] },
      };
      return { frame: { ...frame, sequence: plain }, widthPx: each.widthPx, isRtl: each.isRtl };
    });
    const drawn = await page.evaluate((all) => cellsOf(all), tasks);
    await close();
    made.forEach((each, at) => {
      const { width, startOf } = expectedOf(each);
      const boxes = drawn[at] ?? [];
      expect(boxes.length).toBeGreaterThan(1);
      boxes.forEach((box, cell) => {
        // Chromium keeps lengths in 1/64 of a device px.
        const said = `${JSON.stringify(each)} cell ${cell}`;
        expect(Math.abs(box.width - width), said).toBeLessThanOrEqual(1 / 64);
        expect(Math.abs(box.start - startOf(cell)), said).toBeLessThanOrEqual(1 / 32);
      });
    });
  },
);
