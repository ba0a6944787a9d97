import { atOnce } from '../../src/core/base';
import { type Item, infer } from '../../src/core/items';
import { type Edit, makeProject, type Project, typesOf } from '../../src/core/project';
import { Engine } from '../../src/engine';

export const everything = { from: 0, to: 1_000 };
export const quiet = async () => {};

export const shop: readonly Item[] = [
  { id: 'a', name: 'Lace', made: '24.03.2026', price: '14,50' },
  { id: 'b', name: 'Sock', made: '25.03.2026', price: '9,00' },
  { id: 'c', name: 'Slub', made: 'in spring', price: '12,00' },
];

/** A project of one source, "stock", open in an engine; edits are made and taken back as on a screen. */
export function openShop(items: readonly Item[] = shop) {
  const inference = atOnce(infer(items, 'stock'));
  let project = makeProject('stock.json', { format: 'json', at: '$[*]', items }, inference);
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  engine.update(project, everything);
  return {
    engine,
    source: () => project.sources[0] ?? never(),
    type: () => typesOf(project, 'stock')[0]?.id ?? '',
    project: () => project,
    make(edit: Edit): Project {
      const made = edit.apply(project);
      if (!made.ok) throw new Error(made.error);
      const before = project;
      project = made.value;
      engine.update(project, everything);
      return before;
    },
    backTo(before: Project) {
      project = before;
      engine.update(project, everything);
    },
    names: () => engine.heldIn('stock').map((item) => item['name']),
  };
}

export function never(): never {
  throw new Error('This cannot be.');
}
