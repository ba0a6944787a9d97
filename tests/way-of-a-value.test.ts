import { expect, test } from 'vitest';
import { atOnce } from '../src/core/base';
import { infer } from '../src/core/items';
import { partHeight } from '../src/core/layout';
import { compileFor, makeProject } from '../src/core/project';
import { explain, makeExpression } from '../src/core/values';
import { Engine } from '../src/engine';
import { mustRead } from './support/documents';

/**
 * The first thing to read: one item on its way through all of it, with what stands at each stage.
 * reader → item → ready binding → value → text → height → entry.
 */
test('from a document to an entry of the list', async () => {
  const read = await mustRead(
    'skeins.json',
    '{"skeins":[{"id":"sk-1","name":"Merino lace","maker":{"town":"Ousby"}}]}',
  );
  expect(read.at).toBe('$.skeins[*]');

  const [item = {}] = read.items;
  expect(item).toEqual({ id: 'sk-1', name: 'Merino lace', maker: { town: 'Ousby' } });

  const inference = atOnce(infer(read.items, 'skeins'));
  expect(inference.types[0]?.fields.map((field) => `${field.name}: ${field.type}`)).toEqual([
    'id: text',
    'name: text',
    'maker: record',
  ]);

  const { checked, evaluate } = makeExpression('maker.town', inference.types[0]?.fields ?? []);
  expect(evaluate?.(item)).toBe('Ousby');
  expect(
    checked && explain(checked, item).steps.map((step) => `${step.label} ${step.shown}`),
  ).toEqual(['maker { town }', 'town "Ousby"']);

  const project = makeProject('skeins.json', read, inference);
  const [template] = project.templates;
  if (template === undefined) throw new Error('a template was drafted');
  expect(compileFor(project, template).values(item)).toEqual(['Merino lace']);
  expect(partHeight(template.row)).toBe(20 + 10 + 10);

  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('skeins', read.items);
  const view = engine.update(project, { from: 0, to: 10 });
  expect(view.entries).toEqual([
    { kind: 'row', key: 'sk-1', item: 0, plan: 0, values: ['Merino lace'] },
  ]);
  expect(view.sequence.heights).toEqual(Int32Array.of(40 * 64));
});
