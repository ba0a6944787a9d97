import { expect, test } from '@playwright/test';
import { build } from 'esbuild';
import { atOnce } from '../../src/core/base';
import { infer } from '../../src/core/items';
import { plainHeightPx, rowPlanOf } from '../../src/core/lists';
import { compileFor, edits, makeProject } from '../../src/core/project';
import { draftImage, draftLabel } from '../../src/core/templates';
import { explain, makeExpression } from '../../src/core/values';
import { Engine } from '../../src/engine';
import { mustRead } from '../support/documents';
import { edited } from '../support/edited';

/**
 * The first thing to read: one item on its way through all of it, with what stands at each stage.
 * reader → item → ready binding → value → format → text → height → entry → pooled row.
 */
test('from a document to a row on the screen', async ({ page }) => {
  const read = await mustRead(
    'skeins.json',
    '{"skeins":[{"id":"sk-1","name":"Merino lace","price":14.5,"maker":{"town":"Ousby"}}]}',
  );
  expect(read.at).toBe('$.skeins[*]');

  const [item = {}] = read.items;
  expect(item).toEqual({ id: 'sk-1', name: 'Merino lace', price: 14.5, maker: { town: 'Ousby' } });

  const inference = atOnce(infer(read.items, 'skeins'));
  expect(inference.types[0]?.fields.map((field) => `${field.name}: ${field.type}`)).toEqual([
    'id: text',
    'name: text',
    'price: number',
    'maker: record',
  ]);

  const { checked, evaluate } = makeExpression('maker.town', inference.types[0]?.fields ?? []);
  expect(evaluate?.(item)).toBe('Ousby');
  expect(
    checked && explain(checked, item).steps.map((step) => `${step.label} ${step.shown}`),
  ).toEqual(['maker { town }', 'town "Ousby"']);

  const price = draftLabel('price', { expr: 'price', format: 'euros' }, 'value');
  const project = edited(
    makeProject('skeins.json', read, inference),
    edits.addFormat({ id: 'euros', name: 'euros', as: 'money', currency: 'EUR' }),
    edits.insert('skein-plain', { beside: 'title', side: 'after' }, price),
    edits.insert(
      'skein-plain',
      { beside: 'title', side: 'before' },
      draftImage('picture', { expr: 'maker.town' }),
    ),
  );
  const [template] = project.templates;
  if (template === undefined) throw new Error('a template was drafted');
  const compiled = compileFor(project, template);
  expect(compiled.values(item)).toEqual(['Ousby', 'Merino lace', '€14.50']);
  expect(plainHeightPx(rowPlanOf(template, { styles: [], colours: [], spacing: [] }))).toBe(
    40 + 10 + 10,
  );

  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('skeins', read.items);
  const frame = engine.update(project, { from: 0, to: 10 });
  expect(frame.entries).toEqual([
    { kind: 'row', key: 'sk-1', item: 0, plan: 0, values: ['Ousby', 'Merino lace', '€14.50'] },
  ]);
  expect(frame.sequence.heights).toEqual(Int32Array.of(60 * 64));

  await page.setContent('<div id="list" style="width: 320px; height: 400px"></div>');
  await page.addScriptTag({ content: await bundle() });
  await page.addStyleTag({ path: 'src/render/render.css' });
  const row = await page.evaluate(draw, {
    ...frame,
    sequence: { ...frame.sequence, lines: undefined, heights: undefined },
    heights: [...(frame.sequence.heights ?? [])],
  });
  expect(row).toEqual({
    words: ['Merino lace', '€14.50'],
    picture: 'data:,of-Ousby',
    box: [320, 60],
    made: 1,
  });
});

/** What draws, as a script of its own. */
async function bundle(): Promise<string> {
  const { outputFiles } = await build({
    entryPoints: ['src/render/index.ts'],
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'render',
  });
  return outputFiles[0]?.text ?? '';
}

declare const render: typeof import('../../src/render');

type Shown = Parameters<InstanceType<typeof render.ListView>['show']>[0];

/** In the page: the frame in a list of pooled rows, and what can be seen of it. */
function draw({ heights, ...frame }: Shown & { readonly heights: readonly number[] }) {
  const host = document.getElementById('list');
  if (host === null) throw new Error('the page has a place for the list');
  const list = new render.ListView(host, {
    entries: async () => [],
    pictures: (name) => ({ address: `data:,of-${name}`, isSymbol: false }),
    pressed: () => {},
  });
  const none = new Int32Array();
  const lines = {
    firsts: Int32Array.of(0),
    columns: Uint8Array.of(1),
    headings: none,
    ends: none,
    strips: [],
  };
  list.show({
    ...frame,
    sequence: { ...frame.sequence, lines, heights: Int32Array.from(heights) },
  });
  const row = host.querySelector<HTMLElement>('.yc-row');
  return {
    words: [...(row?.querySelectorAll('.yc-label') ?? [])].map((label) => label.textContent),
    picture: row?.querySelector('img')?.getAttribute('src'),
    box: [row?.offsetWidth, row?.offsetHeight],
    made: list.readout().made,
  };
}
