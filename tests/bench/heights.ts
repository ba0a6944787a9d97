import { atOnce } from '../../src/core/base';
import { infer } from '../../src/core/items';
import { placesBetween } from '../../src/core/lists';
import { makeProject, type Project } from '../../src/core/project';
import type { StackPart } from '../../src/core/templates';
import { Engine } from '../../src/engine';
import { browserFiles, Measures } from '../../src/engine/measuring';
import { bindRow, createRow } from '../../src/render';
import { benchItems } from './items';

/** Three labels, two of which wrap, and an image. */
const row: StackPart = {
  ...{ part: 'stack', id: 'row', direction: 'across', gap: 12, align: 'centre' },
  padding: { start: 16, end: 16, top: 10, bottom: 10 },
  children: [
    { part: 'image', id: 'image', picture: 'none' },
    {
      ...{ part: 'stack', id: 'words', direction: 'down', gap: 2, width: { share: 1 } },
      children: [
        { part: 'label', id: 'name', text: { expr: 'name' }, style: 'title', lines: 2 },
        { part: 'label', id: 'note', text: { expr: 'note' }, style: 'small', lines: 'all' },
      ],
    },
    { part: 'label', id: 'lot', text: { expr: '`€ ${price}`' }, style: 'value' },
  ],
};

function projectOf(items: ReturnType<typeof benchItems>): Project {
  const inference = atOnce(infer(items, 'stock'));
  const drafted = makeProject('stock.json', { format: 'json', at: '$[*]', items }, inference);
  return { ...drafted, templates: drafted.templates.map((each) => ({ ...each, row })) };
}

const place = { ratio: devicePixelRatio, textSize: 1 };
const widths = [360, 412, 320, 393.5, 700];
/** Chromium lays out as many as this, and is slower with more. */
const drawnCount = 2_000;

/** What the driver in `scripts/bench-heights.mjs` calls. Times are ms a thousand rows. */
const bench = {
  async heights(count: number) {
    const items = benchItems(count);
    const project = projectOf(items);
    const measures = new Measures(browserFiles, () => {});
    while (measures.at({ ...place, language: 'en' }) === undefined) await measures.more();
    const ours: number[] = [];
    const engine = new Engine({
      pause: async () => {},
      now: () => '2026-03-02T10:00:00Z',
      measures,
    });
    const [source] = project.sources;
    engine.hold(source?.id ?? '', items);
    const at = (widthPx: number) => ({ from: 0, to: 30, box: { ...place, widthPx } });
    const [first = 0] = widths;
    engine.update(project, at(first));
    for (const widthPx of widths) {
      engine.view(at(widthPx));
      const from = performance.now();
      await engine.measureRows();
      ours.push(((performance.now() - from) / count) * 1_000);
      if (engine.isRough) throw new Error('rows are left');
    }
    return { ours, ...laidOut(engine) };
  },
};

/** The same rows, laid out by the browser. */
function laidOut(engine: Engine): { theirs: number[]; off: number } {
  const host = document.getElementById('rows');
  const { plans, sequence } = engine.view({
    ...{ from: 0, to: drawnCount },
    box: { ...place, widthPx: widths.at(-1) ?? 0 },
  });
  const drawn = engine.entries(placesBetween(0, drawnCount)).map((entry) => {
    const plan = plans[entry.plan];
    if (plan === undefined) throw new Error('there is no plan');
    const made = createRow(plan);
    bindRow(made, entry, () => undefined);
    return made.element;
  });
  host?.append(...drawn);
  const theirs = widths.map((each) => {
    if (host !== null) host.style.width = `${each}px`;
    const from = performance.now();
    host?.getBoundingClientRect();
    return ((performance.now() - from) / drawnCount) * 1_000;
  });
  const off = drawn.filter(
    (element, at) =>
      Math.abs(element.getBoundingClientRect().height * 64 - (sequence.heights?.[at] ?? 0)) > 1,
  );
  return { theirs, off: off.length };
}

declare global {
  interface Window {
    heightsBench: typeof bench;
  }
}
window.heightsBench = bench;
