import { proxy, type Remote, wrap } from 'comlink';
import { atOnce } from '../../src/core/base';
import { gatherEvidence, type Item, infer } from '../../src/core/items';
import { edits, ownSet, type Project } from '../../src/core/project';
import { fieldsOfAll } from '../../src/core/values';
import type { DataProtocol, EngineEvent, EngineProtocol, Frame } from '../../src/engine';
import { openProject, writeProjectHere } from '../../src/keeping';
import { ListView } from '../../src/render';
import { benchItems } from './items';
import { hasGap, inSections, millionText } from './million';
import { benchProject, inTwoLooks, withWords } from './project';
import { readFirstRecords, readRecords, storeRecords } from './references/one-record-an-item';
import { mountReference, type ReferenceList } from './references/react-list';
import { withRichRows } from './rich-rows';

type Engine = Remote<
  EngineProtocol & DataProtocol & { listen(listener: (event: EngineEvent) => void): void }
>;

const host = document.getElementById('host');
if (host === null) throw new Error('the page has no host');
let engine: Engine | undefined;
let ours: ListView | undefined;
let second: ListView | undefined;
let reference: ReferenceList | undefined;
let project: Project | undefined;
let jsonText = '';
let insertion = '';
let jsonFile = new Blob();
let onFirst: (view: Frame) => void = () => {};

const keptBench = { id: 'bench', itemCount: 0, writer: 'bench', preview: undefined };

const rowCount = () => host.querySelectorAll('.yc-row').length;
const scroller = () => host.querySelector<HTMLElement>('.yc-list') ?? host;
const wanted = { from: 0, to: 60 };
/** Who types well presses about eight keys a second. */
const betweenKeysMs = 120;
const frame = () => new Promise((resolve) => requestAnimationFrame(resolve));

function start(): Engine {
  if (engine !== undefined) return engine;
  engine = wrap(new Worker('/worker.js', { type: 'module' }));
  void engine.listen(proxy((event) => event.kind === 'first' && onFirst(event.view)));
  return engine;
}

function makeList(view?: string): ListView {
  if (view === undefined) host?.replaceChildren();
  const list = document.createElement('div');
  list.className = 'list';
  if (view !== undefined) list.style.width = '300px';
  host?.append(list);
  return new ListView(list, {
    entries: (version, places) => start().entries(version, places, view),
    pictures: () => undefined,
    pressed: () => {},
  });
}

function there(run: number, from: number): number {
  const took = performance.now() - from;
  if (!host?.textContent?.includes(`new ${run}`)) throw new Error('the inserted row is not there');
  return took;
}

/** What the page has of the list already. */
const known = () => (ours === undefined ? {} : { sequence: ours.wanted().sequence });

/** What the driver in `scripts/bench.mjs` calls, one measure after the other. */
const bench = {
  prepare(count: number): number {
    jsonText = JSON.stringify({ stock: benchItems(count) });
    jsonFile = new Blob([jsonText]);
    return jsonText.length;
  },

  /** From the text of all items to rows in the page: the first of them, and all known. */
  async firstRowsOurs(): Promise<{ first: number; all: number }> {
    ours?.destroy();
    ours = makeList();
    await start().entries(-1, []);
    let first = 0;
    const from = performance.now();
    onFirst = (view) => {
      ours?.show(view);
      first = performance.now() - from;
    };
    const brought = await start().bring({ file: jsonFile, name: 'stock.json' }, wanted);
    if (!brought.ok) throw new Error(brought.error.message);
    ours.show(brought.value.view);
    const all = performance.now() - from;
    project = benchProject(brought.value.brought.project);
    ours.show(await start().update(project, wanted));
    return { first, all };
  },

  firstRowsReference(): number {
    host?.replaceChildren();
    const from = performance.now();
    const { stock } = JSON.parse(jsonText);
    if (host !== null) reference = mountReference(host, stock);
    return performance.now() - from;
  },

  parseWhole(): number {
    const from = performance.now();
    JSON.parse(jsonText);
    return performance.now() - from;
  },

  /** Types, key and what tells types apart, and the evidence of every field, over all items. */
  inferWithEvidence(): number {
    const { stock }: { readonly stock: readonly Item[] } = JSON.parse(jsonText);
    const from = performance.now();
    const { types } = atOnce(infer(stock, 'stock'));
    for (const field of fieldsOfAll(types)) atOnce(gatherEvidence(stock, [field.name], field));
    return performance.now() - from;
  },

  /** The same items with a thousand of them changed, imported again. */
  async importAgain(run: number): Promise<number> {
    const { stock }: { readonly stock: readonly Item[] } = JSON.parse(jsonText);
    const step = Math.max(1, Math.floor(stock.length / 1_000));
    const changed = stock.map((item, at) =>
      at % step === 0 ? { ...item, name: `changed ${run} ${at}` } : item,
    );
    const file = new Blob([JSON.stringify({ stock: changed })]);
    const from = performance.now();
    const done = await start().importAgain('stock', { file, name: 'stock.json' }, 'replace');
    if (!done.ok || done.value.changedCount < 900) throw new Error('not a thousand changes');
    return performance.now() - from;
  },

  async scroll(pxPerSecond: number, frames: number): Promise<void> {
    const lists = second === undefined ? [scroller()] : host.querySelectorAll('.yc-list');
    for (let i = 0; i < frames; i += 1) {
      for (const list of lists) list.scrollTop += pxPerSecond / 60;
      await frame();
    }
  },

  /** A second window beside the first, of another width, locale and look, which scrolls along. */
  async openSecond(): Promise<void> {
    if (project === undefined) throw new Error('no project is open');
    ours?.show(await start().update(inTwoLooks(project), wanted));
    second = makeList('beside');
    second.show(await start().showBeside('beside', { locale: 'de', look: 'rich' }, wanted));
    const first = (list: Element) => list.querySelector('.yc-sizer > .yc-row')?.textContent;
    const [one, other] = [...host.querySelectorAll('.yc-list')].map(first);
    if (one === undefined || one === other) throw new Error('the rows of both windows are alike');
  },

  async closeSecond(): Promise<void> {
    second?.destroy();
    second = undefined;
    host.querySelectorAll('.yc-list')[1]?.remove();
    await start().closeBeside('beside');
    if (project !== undefined) ours?.show(await start().update(project, wanted));
  },

  /** A million rows in sections; gives how many entries there are. */
  async showMillion(count: number): Promise<number> {
    const file = millionText(count);
    ours?.destroy();
    ours = makeList();
    const brought = await start().bring({ file, name: 'million.ndjson' }, wanted);
    if (!brought.ok) throw new Error(brought.error.message);
    project = inSections(brought.value.brought.project);
    const shown = await start().update(project, wanted);
    ours.show(shown);
    return shown.sequence.entryCount;
  },

  toShare(share: number): void {
    scroller().scrollTop = share * scroller().scrollHeight;
  },

  /** The same as `scroll`; gives in how many frames no row stood where one is due. */
  async watchScroll(pxPerSecond: number, frames: number): Promise<number> {
    let gaps = 0;
    for (let i = 0; i < frames; i += 1) {
      scroller().scrollTop += pxPerSecond / 60;
      await frame();
      if (hasGap(scroller())) gaps += 1;
    }
    return gaps;
  },

  /** The words at the very end. */
  async lastRow(): Promise<string> {
    scroller().scrollTop = scroller().scrollHeight;
    await new Promise((resolve) => setTimeout(resolve, 500));
    const rows = [...host.querySelectorAll('.yc-sizer > .yc-row:not(.yc-spare)')];
    const bottom = (row: Element) => row.getBoundingClientRect().bottom;
    return rows.toSorted((one, other) => bottom(one) - bottom(other)).at(-1)?.textContent ?? '';
  },

  toTop(): void {
    scroller().scrollTop = 0;
  },

  /** The text of new items, as it would come from a service; both sides parse it. */
  stageInsertion(count: number, run: number): void {
    const items = benchItems(count).map((item) => ({
      ...item,
      id: `new-${run}-${item['id']}`,
      name: `new ${run}`,
    }));
    insertion = JSON.stringify(items);
  },

  async insertOurs(run: number): Promise<number> {
    const from = performance.now();
    if (project === undefined) throw new Error('no project is open');
    const items: Item[] = JSON.parse(insertion);
    const revision = await start().change('stock', ownSet, { kind: 'add', at: 1, items });
    const made = edits.itemsChanged('stock', revision, 'items added').apply(project);
    if (!made.ok) throw new Error(made.error);
    project = made.value;
    ours?.show(await start().update(project, wanted));
    return there(run, from);
  },

  insertReference(run: number): number {
    const from = performance.now();
    reference?.insert(1, JSON.parse(insertion));
    return there(run, from);
  },

  /** Keystrokes in an expression, one after the other: each until its rows stand there, in ms. */
  async edits(count: number): Promise<number[]> {
    const times: number[] = [];
    for (let run = 0; run < count; run += 1) {
      if (project === undefined) throw new Error('no project is open');
      const next = withWords(project, `edit ${run}`);
      await new Promise((resolve) => setTimeout(resolve, betweenKeysMs));
      const from = performance.now();
      ours?.show(await start().update(next, { ...wanted, ...known() }));
      times.push(performance.now() - from);
      if (!host?.textContent?.includes(`edit ${run}`)) throw new Error('the edit is not there');
    }
    return times;
  },

  /** The same project with more templates, none of which the list shows. */
  withTemplates(count: number): void {
    if (project === undefined) throw new Error('no project is open');
    const [first] = project.templates;
    if (first === undefined) throw new Error('the project has no template');
    const more = Array.from({ length: count - project.templates.length }, (_, at) => ({
      ...first,
      id: `more-${at}`,
    }));
    project = { ...project, templates: [...project.templates, ...more] };
  },

  /** Skeins in rows of ten parts with five bound properties each. */
  async showRichRows(): Promise<void> {
    if (project === undefined) throw new Error('no project is open');
    ours?.show(await start().update(withRichRows(project), wanted));
    if (host?.querySelector('.yc-rating') === null) throw new Error('the rows are not there');
  },

  async showPlainRows(): Promise<void> {
    if (project !== undefined) ours?.show(await start().update(project, wanted));
  },

  /** The same project with a hundred items. */
  async editsOfFew(count: number): Promise<number[]> {
    const { stock } = JSON.parse(jsonText);
    const file = new Blob([JSON.stringify({ stock: stock.slice(0, 100) })]);
    const brought = await start().bring({ file, name: 'stock.json' }, wanted);
    if (!brought.ok) throw new Error(brought.error.message);
    project = benchProject(brought.value.brought.project);
    return bench.edits(count);
  },

  /** Rows in the page at most, from end to end and back; and how many the bound allows. */
  async rowsFromEndToEnd(): Promise<{ max: number; bound: number }> {
    const list = scroller();
    const heights = [40, 58];
    let max = 0;
    for (let step = 0; step <= 120; step += 1) {
      const share = step <= 60 ? step / 60 : (120 - step) / 60;
      list.scrollTop = list.scrollHeight * share;
      await frame();
      await frame();
      max = Math.max(max, rowCount());
    }
    const visible = Math.ceil(list.clientHeight / Math.min(...heights)) + 1;
    const overscan = Math.ceil(400 / Math.min(...heights));
    return { max, bound: visible + 2 * overscan + 2 * heights.length };
  },

  async keep(): Promise<Record<string, number>> {
    const { stock } = JSON.parse(jsonText);
    const pause = async () => {};
    const times: Record<string, number> = {};
    const time = async (name: string, work: () => Promise<unknown>) => {
      const from = performance.now();
      await work();
      times[name] = performance.now() - from;
    };
    if (project === undefined) throw new Error('no project is open');
    const record = { ...keptBench, project };
    const items = new Map([['stock', stock]]);
    await time('storeOurs', () =>
      writeProjectHere({ record, items, contents: new Map(), known: new Map(), now: 0 }, pause),
    );
    await time('storeReference', () => storeRecords(stock));
    await time('readReference', () => readRecords());
    const from = performance.now();
    const first = () => (times['firstOurs'] = performance.now() - from);
    await openProject('bench', new Map(), { first, pause });
    times['readOurs'] = performance.now() - from;
    await time('firstReference', () => readFirstRecords(1_000));
    return times;
  },
};

export type Bench = typeof bench;
Object.assign(window, { bench });
