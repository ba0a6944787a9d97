import { describe, expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import { edits, makeProject, type Project } from '../core/project';
import { Engine } from './engine';
import { EngineImport } from './imports';

const count = 5_000;

/** A shelf whose items count how often somebody reads their keys. */
function shelf(of: (project: Project) => Project) {
  let reads = 0;
  const items = Array.from({ length: count }, (_, at): Item => {
    const item = { name: `Wool ${at}`, metres: at % 90 };
    return Object.defineProperty(item, 'id', {
      enumerable: true,
      get() {
        reads += 1;
        return `w-${at}`;
      },
    });
  });
  const inference = atOnce(infer(items, 'wool'));
  const read = { format: 'json', at: '$[*]', items, findings: [] } as const;
  const project = of(makeProject('wool.json', read, inference));
  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  const [source] = project.sources;
  if (source === undefined) throw new Error('the project has no source');
  engine.hold(source.id, items, inference.unique);
  engine.update(project, { from: 0, to: 30 });
  const imports = new EngineImport(engine);
  return (name: string, value: unknown) => {
    reads = 0;
    imports.takeEvents(source, [{ name, data: JSON.stringify(value) }]);
    engine.view({ from: 0, to: 30 });
    return reads;
  };
}

const kinds: Readonly<Record<string, (project: Project) => Project>> = {
  'as they came': (project) => project,
  'with a computed property': (project) =>
    edited(project, edits.addComputed(project.types[0]?.id ?? '', 'twice', 'metres * 2')),
  'under other names': (project) =>
    edited(project, edits.renameField({ type: project.types[0]?.id ?? '', path: ['id'] }, 'no')),
};

describe('what a stream changes looks at few of the items', () => {
  for (const [kind, of] of Object.entries(kinds))
    test(kind, () => {
      const happens = shelf(of);
      happens('changed', { id: 'w-7', name: 'Sock', metres: 3 });
      const events: readonly (readonly [string, unknown])[] = [
        ['changed', { id: 'w-8', name: 'Lace', metres: 4 }],
        ['added', { id: 'new', name: 'Slub', metres: 5 }],
        ['removed', 'w-3000'],
        ['moved', { key: 'w-9', at: 2_000 }],
        ['changed', { id: 'w-4000', name: 'Felt', metres: 6 }],
      ];
      for (const [name, value] of events) expect(happens(name, value)).toBeLessThan(count / 10);
    });
});
