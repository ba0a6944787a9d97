import { expose, transfer } from 'comlink';
import { atOnce, type Finding, failed, inTurns, type Json, ok, type Result } from '../core/base';
import { asItem, type Inference, type Item, infer, read } from '../core/items';
import {
  looksLikeProject,
  makeProject,
  type Project,
  readProject,
  writeProject,
} from '../core/project';
import { keepItems, keptItems, whyNotKept } from '../keeping';
import { documentOf, strictDecoder } from './document';
import { Engine } from './engine';
import type { Brought, Document, EngineEvent, EngineProtocol, Range, View } from './protocol';
import { Cancelled, turns } from './turns';

let tell: (event: EngineEvent) => void = () => {};
let reading = turns();
const engine = new Engine({ pause: () => turns().pause() });

const withHeights = (view: View): View => transfer(view, [view.sequence.lineHeights.buffer]);

/** Shows a version: the answer at once, what takes all items after it. */
function shown(view: View): View {
  void turns()
    .pause()
    .then(() => engine.survey())
    .then((survey) => {
      if (survey !== undefined) tell({ kind: 'survey', ...survey });
    });
  return withHeights(view);
}

const protocol: EngineProtocol & { listen(listener: (event: EngineEvent) => void): void } = {
  listen(listener) {
    tell = listener;
  },

  async bring(document, wanted) {
    reading.cancel();
    reading = turns();
    try {
      const head = await document.file.slice(0, 200).text();
      return looksLikeProject(head)
        ? await bringProject(document, wanted)
        : await bringItems(document, wanted, reading);
    } catch (error) {
      if (error instanceof Cancelled) return failed(cancelled(document.name));
      throw error;
    }
  },

  async cancel() {
    reading.cancel();
  },

  async open(id, project, wanted) {
    engine.clear();
    for (const source of project.sources) {
      const first = (items: readonly Item[]) => {
        engine.hold(source.id, items);
        const view = engine.update(project, wanted);
        tell({ kind: 'first', brought: { project, findings: [], itemCount: items.length }, view });
      };
      engine.hold(source.id, await keptItems(id, source.id, first, turns().pause));
    }
    return shown(engine.update(project, wanted));
  },

  async update(project, wanted) {
    return shown(engine.update(project, wanted));
  },

  async entries(version, range) {
    return engine.isCurrent(version) ? engine.entries(range) : [];
  },

  async tryTemplate(template, items) {
    return engine.tryTemplate(template, items);
  },

  async itemsIn(source, range) {
    return engine.heldIn(source).slice(range.from, range.to);
  },

  async itemAtHand(item) {
    return engine.itemAtHand(item);
  },

  async find(words, after) {
    return engine.find(words, after);
  },

  async firstOfType(type) {
    return engine.firstOfType(type);
  },

  async trace(template, part, property, item) {
    return engine.trace(template, part, property, item);
  },

  async file(project) {
    return new Blob([...writeProject(project, engine.allItems())], { type: 'application/json' });
  },

  async keepItems(id) {
    try {
      for (const [source, items] of engine.allItems()) {
        await keepItems(id, source, items, turns().pause);
      }
      return undefined;
    } catch (error) {
      return whyNotKept(error);
    }
  },

  async insertInto(source, at, list, wanted) {
    const values: Json = JSON.parse(list);
    engine.insertInto(source, at, Array.isArray(values) ? values.map(asItem) : []);
    return shown(engine.view(wanted));
  },
};

let lastProgress = 0;

/** Often enough to be seen moving; each one is a repaint. */
function tellProgress(share: number): void {
  if (performance.now() - lastProgress < 150) return;
  lastProgress = performance.now();
  tell({ kind: 'progress', share });
}

type Answer = Result<{ brought: Brought; view: View }, Finding>;

async function bringItems(
  document: Document,
  wanted: Range,
  turn: ReturnType<typeof turns>,
): Promise<Answer> {
  const progress = (from: number, part: number) => (share: number) =>
    tellProgress(from + part * share);
  const source = documentOf(document.file, document.name);
  const all = await read(
    source,
    { file: document.name, gathers: true },
    {
      decoder: strictDecoder,
      pause: turn.pause,
      progress: progress(0, 0.8),
      first(first) {
        const inference = atOnce(infer(first.items, document.name));
        const project = makeProject(document.name, first, inference);
        const view = take(project, first.items, inference, wanted);
        tell({
          kind: 'first',
          brought: { project, findings: first.findings, itemCount: first.items.length },
          view,
        });
      },
    },
  );
  if (!all.ok) return all;
  const inference = await inTurns(
    infer(all.value.items, document.name, all.value.gathered),
    turn.pause,
    progress(0.8, 0.2),
  );
  const project = makeProject(document.name, all.value, inference);
  const view = take(project, all.value.items, inference, wanted);
  const findings = [...all.value.findings, ...inference.findings];
  return ok({
    brought: { project, findings, itemCount: all.value.items.length },
    view: shown(view),
  });
}

function take(project: Project, items: readonly Item[], inference: Inference, wanted: Range): View {
  engine.clear();
  for (const source of project.sources) engine.hold(source.id, items, inference.unique);
  return engine.update(project, wanted);
}

async function bringProject(document: Document, wanted: Range): Promise<Answer> {
  const file = readProject(await document.file.text(), document.name);
  if (!file.ok) return file;
  const { project, items, findings } = file.value;
  engine.clear();
  for (const [source, own] of items) engine.hold(source, own);
  const view = engine.update(project, wanted);
  return ok({ brought: { project, findings, itemCount: view.itemCount }, view: shown(view) });
}

const cancelled = (file: string): Finding => ({
  code: 'reading-cancelled',
  severity: 'note',
  place: { in: 'document', file },
  message: `Reading ${file} was cancelled.`,
  hint: 'Nothing was changed.',
});

expose(protocol);
