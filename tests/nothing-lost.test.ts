import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce } from '../src/core/base';
import { type Item, infer } from '../src/core/items';
import {
  draftSource,
  type Edit,
  edits,
  type History,
  makeEdit,
  makeProject,
  ownSet,
  type Project,
  redo,
  type Source,
  startHistory,
  typesOf,
  undo,
  writeProject,
} from '../src/core/project';
import { Engine, EngineData, EngineImport, type ItemChange } from '../src/engine';
import { type KeptState, openProject, writeProjectHere } from '../src/keeping';

/*
 * What a person does to their data, in any order: however it is undone, redone and reloaded, items
 * and project are byte for byte what they were.
 */

const pause = async () => {};
const everything = { from: 0, to: 1_000 };

const name = fc.constantFrom('boats', 'Boats', 'lamps', '__proto__', 'a/b');
const text = fc.constantFrom('', 'Teal', 'n/a', '7', '__proto__', 'צמר', 'a\nb');
const number = fc.integer({ min: -3, max: 9 });
const item: fc.Arbitrary<Item> = fc.record(
  { id: fc.nat(12), name: text, length: fc.oneof(number, text), deep: fc.record({ town: text }) },
  { requiredKeys: ['id'] },
);
const shapes = {
  boats: fc.array(item, { minLength: 1, maxLength: 6 }),
  lamps: fc.array(fc.record({ code: text, watt: number }), { minLength: 1, maxLength: 4 }),
};
const items = fc.oneof(shapes.boats, shapes.lamps);
const at = fc.nat(5);

type Act =
  | {
      readonly kind: 'bring' | 'import' | 'elsewhere';
      readonly name: string;
      readonly items: readonly Item[];
    }
  | {
      readonly kind:
        | 'remove source'
        | 'nasty'
        | 'empty'
        | 'remove set'
        | 'undo'
        | 'redo'
        | 'reload';
    }
  | { readonly kind: 'change'; readonly change: ItemChange; readonly inSet: boolean }
  | { readonly kind: 'retype'; readonly type: 'text' | 'number' }
  | { readonly kind: 'rename'; readonly to: string };

const change: fc.Arbitrary<ItemChange> = fc.oneof(
  fc.record({
    kind: fc.constant('value' as const),
    position: at,
    path: fc.constantFrom(['name'], ['deep', 'town'], ['__proto__']),
    value: fc.option(text, { nil: undefined }),
  }),
  fc.record({ kind: fc.constant('add' as const), at, items: shapes.boats }),
  fc.record({ kind: fc.constant('remove' as const), positions: fc.array(at, { maxLength: 3 }) }),
);

const weighted = <T extends object>(
  weight: number,
  shape: { [K in keyof T]: fc.Arbitrary<T[K]> },
) => ({
  weight,
  arbitrary: fc.record(shape) as fc.Arbitrary<T>,
});

const act: fc.Arbitrary<Act & { readonly which: number }> = fc
  .tuple(
    fc.nat(3),
    fc.oneof(
      weighted(4, { kind: fc.constantFrom('bring', 'import', 'elsewhere'), name, items }),
      weighted(3, { kind: fc.constantFrom('remove source', 'undo') }),
      weighted(2, {
        kind: fc.constantFrom('nasty', 'empty', 'remove set', 'undo', 'redo', 'reload'),
      }),
      weighted(2, { kind: fc.constant('change'), change, inSet: fc.boolean() }),
      weighted(1, { kind: fc.constant('retype'), type: fc.constantFrom('text', 'number') }),
      weighted(1, { kind: fc.constant('rename'), to: name }),
    ),
  )
  .map(([which, what]) => ({ ...what, which }));

/** One page with a project open, as the studio has it. */
class Page {
  engine = newEngine();
  history: History;
  private state: KeptState = new Map();

  constructor(
    readonly id: string,
    first: readonly Item[],
  ) {
    const inference = atOnce(infer(first, 'boats'));
    const read = { items: first, format: 'json', at: '$[*]' } as const;
    const project = makeProject('boats', read, inference);
    for (const source of project.sources) this.engine.hold(source.id, first, inference.unique);
    this.history = startHistory(project);
    this.show();
  }

  get project(): Project {
    return this.history.project;
  }

  show(): void {
    this.engine.update(this.project, everything);
  }

  make(edit: Edit): void {
    const made = makeEdit(this.history, edit);
    if (made.ok) this.history = made.value;
    this.show();
  }

  async keep(): Promise<void> {
    const record = {
      id: this.id,
      project: this.project,
      itemCount: 0,
      writer: 'one',
      preview: undefined,
    };
    const items = this.engine.itemsOf(this.project);
    const contents = new Map<string, string>();
    const writing = { record, items, contents, known: this.state, now: Date.now() };
    this.state = await writeProjectHere(writing, pause);
  }

  /** Project and items as a page that is opened now reads them. */
  async opened(): Promise<{ readonly project: Project; readonly engine: Engine; text: string }> {
    const opened = await openProject(this.id, new Map(), { first: () => {}, pause });
    if (opened === undefined) throw new Error('it is not kept');
    const { project } = opened.kept;
    const engine = newEngine();
    const items = new Map([...opened.state].map(([id, each]) => [id, each.items]));
    engine.holdFile(project, items);
    engine.update(project, everything);
    return { project, engine, text: textOf(project, engine) };
  }

  async reload(): Promise<void> {
    await this.keep();
    const { project, engine } = await this.opened();
    this.engine = engine;
    this.history = startHistory(project);
  }

  text(): string {
    return textOf(this.project, this.engine);
  }
}

const newEngine = () => new Engine({ pause, now: () => '2026-03-02T10:00:00Z' });

const textOf = (project: Project, engine: Engine): string =>
  [...writeProject(project, engine.itemsOf(project))].join('');

const known = (list: readonly Item[], of: string) => ({
  read: { items: list, format: 'json', at: '$[*]', findings: [] } as const,
  inference: atOnce(infer(list, of)),
});

async function does(
  page: Page,
  { which, ...what }: Act & { readonly which: number },
): Promise<void> {
  const { sources } = page.project;
  const source = sources[which % sources.length];
  if (source === undefined) return;
  const data = new EngineData(page.engine);
  switch (what.kind) {
    case 'bring':
      return bring(page, what.name, what.items, (draft) => edits.addSource(draft));
    case 'elsewhere': {
      const imports = new EngineImport(page.engine);
      const summary = imports.ifKnown(source, what.name, known(what.items, what.name));
      if (summary !== undefined) return page.make(edits.importAgain(source.id, summary));
      return bring(page, what.name, what.items, (draft) => edits.replaceSource(source.id, draft));
    }
    case 'import': {
      const imports = new EngineImport(page.engine);
      const came = known(what.items, source.name);
      const how = what.items.length % 2 === 0 ? 'replace' : 'add and update';
      const summary = imports.importAgain(source, what.name, came, how);
      if (summary.revision !== undefined) page.make(edits.importAgain(source.id, summary));
      return;
    }
    case 'remove source':
      return page.make(edits.removeSource(source.id));
    case 'nasty':
      return page.make(edits.addSet(source.id, 'nasty', 'nasty', data.nasty(source, 'nasty')));
    case 'empty': {
      const revision = data.change(source.id, 'empty', { kind: 'empty' });
      return page.make(edits.addSet(source.id, 'empty', 'empty', revision));
    }
    case 'remove set':
      return page.make(edits.removeSet(source.id, source.sets?.[0]?.id ?? 'nasty'));
    case 'change': {
      const set = what.inSet ? (source.sets?.[0]?.id ?? ownSet) : ownSet;
      const revision = data.change(source.id, set, what.change);
      return page.make(edits.itemsChanged(source.id, revision, 'by hand'));
    }
    case 'retype':
      return page.make(edits.retypeField(fieldOf(page.project, source), what.type));
    case 'rename':
      return page.make(edits.renameSource(source.id, what.to));
    case 'undo':
      page.history = undo(page.history);
      return page.show();
    case 'redo':
      page.history = redo(page.history);
      return page.show();
    case 'reload':
      return page.reload();
  }
}

function fieldOf(project: Project, source: Source) {
  const [type] = typesOf(project, source.id);
  return { type: type?.id ?? '', path: [type?.fields.at(-1)?.name ?? ''] };
}

function bring(
  page: Page,
  name: string,
  list: readonly Item[],
  edit: (draft: ReturnType<typeof draftSource>) => Edit,
): void {
  const { read, inference } = known(list, name);
  const draft = draftSource(page.history.used, { file: name, read, inference });
  page.engine.hold(draft.source.id, list, inference.unique);
  page.make(edit(draft));
}

let projectCount = 0;
function nextId(): string {
  projectCount += 1;
  return `project-${projectCount}`;
}
const runs = Number(process.env['SEQUENCES'] ?? 100);

describe('whatever is done to data', () => {
  test('all undone and all redone, items and project are what they were, reloads in between', async () => {
    await fc.assert(
      fc.asyncProperty(
        shapes.boats,
        fc.array(act, { minLength: 2, maxLength: 14 }),
        async (first, acts) => {
          const page = new Page(nextId(), first);
          for (const each of acts) await does(page, each);
          await page.keep();
          const forth = page.text();
          const texts = [forth];
          while (page.history.done.length > 0) {
            page.history = undo(page.history);
            page.show();
            texts.unshift(page.text());
            await page.keep();
            expect((await page.opened()).text).toBe(page.text());
          }
          for (const expected of texts) {
            expect(page.text()).toBe(expected);
            await page.keep();
            expect((await page.opened()).text).toBe(expected);
            page.history = redo(page.history);
            page.show();
          }
        },
      ),
      { numRuns: runs },
    );
  });

  test('every state is what it was when it was first there, by undo and by redo', async () => {
    await fc.assert(
      fc.asyncProperty(
        shapes.boats,
        fc.array(act, { minLength: 2, maxLength: 16 }),
        async (first, acts) => {
          const page = new Page(nextId(), first);
          const texts = new Map([[page.project, page.text()]]);
          for (const each of acts) {
            await does(page, each);
            const before = texts.get(page.project);
            if (before !== undefined) expect(page.text()).toBe(before);
            texts.set(page.project, page.text());
          }
        },
      ),
      { numRuns: 10 * runs },
    );
  });

  test('no id is given twice within a history', async () => {
    await fc.assert(
      fc.asyncProperty(
        shapes.boats,
        fc.array(act, { minLength: 2, maxLength: 16 }),
        async (first, acts) => {
          const page = new Page(nextId(), first);
          const given = new Map<string, string>();
          for (const each of acts.filter(({ kind }) => kind !== 'reload')) {
            const { used } = page.history;
            const before = new Set(page.project.sources.map(({ id }) => id));
            await does(page, each);
            if (each.kind === 'undo' || each.kind === 'redo') continue;
            for (const { id } of page.project.sources) {
              if (before.has(id)) continue;
              expect(used.sources.has(id)).toBe(false);
              expect(given.has(id)).toBe(false);
              given.set(id, each.kind);
            }
          }
        },
      ),
      { numRuns: 10 * runs },
    );
  });
});
