import { failed, ok } from '../core/base';
import type { Item } from '../core/items';
import { itemsIdOf, type Project } from '../core/project';
import type { KeptState, Opened } from '../keeping';
import type { Engine } from './engine';
import type { EngineEvent, KeepingProtocol, OpenedHere } from './protocol';
import { turns } from './turns';
import type { EntryRange, Frame } from './views';

/** Rows of a document that was dropped do not wait for the database. */
const keeping = () => import('../keeping');

const nothingKept: { readonly id: string; readonly state: KeptState } = {
  id: '',
  state: new Map(),
};

/** The worker's answers about what this browser keeps: projects with their items. */
export function keepingProtocol(
  engine: Engine,
  shown: (view: Frame) => Frame,
  tell: (event: EngineEvent) => void,
): KeepingProtocol {
  /** What the browser has of the project that was opened or kept last. */
  let here = nothingKept;

  /** The first items of the source that is shown first, while the rest is read. */
  function showFirst(
    { kept: { project }, contents }: Omit<Opened, 'state'>,
    source: string,
    items: readonly Item[],
    wanted: EntryRange,
  ) {
    if (source !== project.sources[0]?.id) return;
    engine.hold(source, items, undefined, project.sources[0].revision);
    const view = shown(engine.update(withoutLaterChanges(project, source), wanted));
    const brought = { project, contents, findings: [], itemCount: items.length, isFile: false };
    tell({ kind: 'first', brought, view });
  }

  function hold(project: Project, state: KeptState): void {
    for (const source of project.sources) {
      engine.hold(source.id, state.get(source.id)?.items ?? [], undefined, source.revision);
      for (const set of source.sets ?? []) {
        const kept = state.get(itemsIdOf(source.id, set.id));
        engine.held(source.id).addKept(set.id, kept?.items ?? []);
      }
    }
  }

  return {
    async open(id, wanted) {
      const { openProject, whyNotKept } = await keeping();
      try {
        engine.clear();
        const opened = await openProject(id, new Map(), {
          first: (first, source, items) => showFirst(first, source, items, wanted),
          pause: turns().pause,
        });
        if (opened === undefined) return ok(undefined);
        const { kept, state } = opened;
        here = { id, state };
        hold(kept.project, state);
        const view = shown(engine.update(kept.project, wanted));
        return ok(openedHere(opened, view));
      } catch (error) {
        return failed(whyNotKept(error));
      }
    },

    async openAgain(id, wanted, list) {
      const { openProject, whyNotKept } = await keeping();
      try {
        const known = here.id === id ? here.state : new Map();
        const ports = { first: () => {}, pause: turns().pause };
        const opened = await openProject(id, known, ports);
        if (opened === undefined) return ok(undefined);
        const { kept, state } = opened;
        here = { id, state };
        hold(kept.project, state);
        const view = shown(engine.update(kept.project, wanted, list));
        return ok(openedHere(opened, view));
      } catch (error) {
        return failed(whyNotKept(error));
      }
    },

    async claim(id, writer) {
      const { claimProject } = await keeping();
      return claimProject(id, writer).catch(() => undefined);
    },

    async keep(record, contents) {
      const { TakenOver, whyNotKept, writeProjectHere } = await keeping();
      try {
        const known = here.id === record.id ? here.state : new Map();
        const items = engine.itemsOf(record.project);
        const writing = { record, items, contents, known, now: Date.now() };
        here = { id: record.id, state: await writeProjectHere(writing, turns().pause) };
        return { kind: 'kept' };
      } catch (error) {
        return error instanceof TakenOver
          ? { kind: 'taken over' }
          : { kind: 'failed', reason: whyNotKept(error) };
      }
    },
  };
}

const openedHere = (
  { kept: { project, keptAt, loadsOutside = true }, contents }: Opened,
  view: Frame,
): OpenedHere => ({ project, contents, keptAt, loadsOutside, view });

/** The project as far as its first items go: what else it has is not read yet. */
const withoutLaterChanges = (project: Project, source: string): Project => ({
  ...project,
  sources: project.sources.map((each) => {
    if (each.id === source) return each;
    const { revision: _, ...rest } = each;
    return rest;
  }),
});
