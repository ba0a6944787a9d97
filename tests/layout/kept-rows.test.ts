import { expect, test } from 'vitest';
import { placed } from '../../src/core/layout';
import { RowBoxes, type RowPlan } from '../../src/core/lists';
import { chromiumBreaks, TextMeasures } from '../../src/core/text';
import { chainFor, nodeBreaks } from '../../src/engine/measuring';
import { MeasuredRows } from '../../src/engine/views';
import { allSlices } from './measuring';
import { rowMaker } from './templates';

const boxesOf = ({ row }: RowBoxes) =>
  [...placed(row, 'ltr')].map(({ node, x, y }) => [
    node.part,
    x,
    y,
    node.box.width,
    node.box.height,
  ]);

test('rows that are solved again from what was kept of them stand as if they were new', async () => {
  const chain = chainFor('en', await allSlices());
  const findBreaks = chromiumBreaks(nodeBreaks);
  const place = { ratio: 1.5, textSize: 1.2, language: 'en' };
  const port = { chain: () => chain, hasFaces: () => true, draws: () => true, findBreaks };
  const measures = new TextMeasures(place, port);
  const others = new TextMeasures(place, port);
  const next = rowMaker(17);
  const cases = Array.from({ length: 100 }, next);
  const plans: readonly RowPlan[] = cases.map(({ plan }) => ({ ...plan, heightPx: 0 }));
  // Each template has four rows, one of them with values missing.
  const count = cases.length * 4;
  const valuesOf = (entry: number) => {
    const { values, plan } = cases[entry % cases.length] ?? next();
    const turn = Math.floor(entry / cases.length);
    return turn === 3
      ? values.map(() => undefined)
      : values.map((value, slot) =>
          turn === 0 || plan.slots[slot]?.kind !== 'text' ? value : `${value} ${turn} more`,
        );
  };
  let [evaluated, hanging, smaller] = [0, 0, 0];
  const arranged = {
    items: Int32Array.from({ length: count }, (_, at) => at),
    plans: Uint16Array.from({ length: count }, (_, at) => at % cases.length),
    kinds: new Uint8Array(count),
  };
  const valuesAt = (entry: number) => {
    evaluated += 1;
    return valuesOf(entry);
  };
  const from = { edition: 1, facesId: 0, at: () => measures };
  const rows = new MeasuredRows({ arranged, plans, valuesAt }, from, place);
  for (const widthPx of [320, 240.5, 768, 320])
    for (let entry = 0; entry < count; entry += 1) {
      const fresh = new RowBoxes(plans[entry % cases.length] as RowPlan, place);
      fresh.fill(valuesOf(entry));
      fresh.measure((runs) => others.of(runs));
      fresh.solve(widthPx);
      const again = rows.solve(entry, { cell: widthPx, line: widthPx, strip: widthPx });
      expect(again && boxesOf(again)).toEqual(boxesOf(fresh));
      expect(again?.shrunk).toEqual(fresh.shrunk);
      if (fresh.hangsOnTexts) hanging += 1;
      if (fresh.shrunk.some(({ byPx }) => byPx > 0)) smaller += 1;
    }
  expect(smaller).toBeGreaterThan(100);
  // Rows whose sizes follow values are filled anew each time; most of the others are not.
  expect(evaluated - (count * 4 - hanging)).toBeLessThan(hanging * 0.75);
});
