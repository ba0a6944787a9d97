import { expose, transfer } from 'comlink';
import { atOnce, type Finding, ok, type Result } from '../core/base';
import { type Inference, type Item, infer, type SchemaRead, type Spread } from '../core/items';
import {
  looksLikeProject,
  makeProject,
  type Project,
  projectFromSchema,
  readProject,
  writeProject,
} from '../core/project';
import { loadHabits } from '../core/values';
import {
  type AllItems,
  type ByExample,
  type ExtremeItem,
  extremesOf,
  trace,
  tryDrafts,
  tryFormats,
} from './answers';
import { crossing, entryCrossing, withAnswersCut } from './cut';
import { dataLater } from './data-later';
import { Engine } from './engine';
import { type FontContents, LateMeasures, ownFonts } from './measuring';
import type {
  DataProtocol,
  EngineEvent,
  EngineProtocol,
  KeepingProtocol,
  PackingProtocol,
  ProjectRead,
} from './protocol';
import { goesOn, Reading, type SourceDocument, schemaIn } from './reading';
import { newest, turns } from './turns';
import type { EntryRange, Frame, PartFacts } from './views';
import { keepingProtocol } from './worker-keeping';

let tell: (event: EngineEvent) => void = () => {};
const measures = new LateMeasures(() => {
  if (engine.isRough) void measured();
  else tell({ kind: 'measured' });
  if (engine.checksBoxes) void surveyed(engine.edition);
});
const reading = new Reading((share) => tellProgress(share));
const engine = new Engine({
  pause: () => turns().pause(),
  now: () => new Date().toISOString(),
  measures,
  forgot: (source, revision) => tell({ kind: 'forgot', source, revision }),
});

let exampleMaker: Promise<ByExample> | undefined;

/** Loaded when it is first asked for. */
const byExample = (): Promise<ByExample> => {
  exampleMaker ??= import('./answers/by-example').then((loaded) => new loaded.ByExample(engine));
  return exampleMaker;
};
let everyItem: Promise<AllItems> | undefined;
const allItems = (): Promise<AllItems> => {
  everyItem ??= import('./answers/all-items').then((loaded) => new loaded.AllItems(engine));
  return everyItem;
};

const counting = newest<readonly number[]>();
const spreading = newest<Spread | undefined>();
const testing = newest<readonly ExtremeItem[]>();
const askingFacts = newest<PartFacts | undefined>();
/** The same question about other items or another project is another one. */
const asOfNow = (question: object): string => JSON.stringify([engine.version, question]);

function forPage(whole: Frame): Frame {
  const view = { ...whole, entries: whole.entries.map(entryCrossing) };
  const { lines, heights } = view.sequence;
  const sent = [lines?.firsts.buffer, lines?.columns.buffer, heights?.buffer];
  return transfer(
    view,
    sent.filter((each) => each !== undefined),
  );
}

/** After a keystroke the next one mostly comes; looking at many items would only slow it down. */
const restMs = 150;
const manyItems = 5_000;

/** Shows a version: the answer at once, then what stands beside; what takes all items once no other has come. */
function shown(view: Frame): Frame {
  setTimeout(() => showAllBeside(view.version));
  setTimeout(() => void surveyed(view.edition), view.itemCount < manyItems ? 0 : restMs);
  setTimeout(() => void measured(), view.itemCount < manyItems ? 0 : restMs);
  return forPage(view);
}

/** What the page wants of each view beside the first, with the sequence that it has. */
const wantedBeside = new Map<string, EntryRange>();

function showAllBeside(version: number): void {
  if (version !== engine.version) return;
  const frames = engine.framesBeside((id) => wantedBeside.get(id) ?? { from: 0, to: 40 });
  for (const { id, frame } of frames) tell({ kind: 'beside', id, frame: besideFrame(id, frame) });
}

const knownOf = ({ id, heightsId }: Frame['sequence']) => ({ id, heightsId });

function besideFrame(id: string, frame: Frame): Frame {
  const wanted = wantedBeside.get(id) ?? { from: 0, to: 40 };
  wantedBeside.set(id, { ...wanted, sequence: knownOf(frame.sequence) });
  return forPage(frame);
}

let isMeasuring = false;

/** Measures rows whose heights hang on their texts, and tells once they are known. */
async function measured(): Promise<void> {
  if (isMeasuring || !engine.isRough) return;
  isMeasuring = true;
  const isWhole = await engine.measureRows();
  isMeasuring = false;
  if (isWhole) tell({ kind: 'measured' });
  // Another version came, or other faces.
  if (engine.isRough) void measured();
}

const tellAfterMs = 100;
let telling: ReturnType<typeof setTimeout> | undefined;

/** Rows that were scrolled to while all are being measured. */
function measuredSoon(): void {
  if (telling !== undefined) return;
  telling = setTimeout(() => {
    telling = undefined;
    tell({ kind: 'measured' });
  }, tellAfterMs);
}

/** The edition that a survey under way is of, and the version that it was begun with. */
let surveying: { readonly edition: number; readonly version: number } | undefined;
/** So long at least between surveys of items that go on changing. */
const surveyRestMs = 1_000;

/** Counts over all items: anew for another edition at once, for other items once it is through. */
async function surveyed(edition: number): Promise<void> {
  const { version } = engine;
  // Another edit came: who types well would be slowed down by it.
  if (edition !== engine.edition || surveying?.edition === edition) return;
  const own = { edition, version };
  const measuredWith = measures.edition;
  surveying = own;
  await loadHabits();
  const survey = await engine.survey();
  if (survey !== undefined) tell(crossing({ kind: 'survey', ...survey }));
  // Where each key stands is found while nobody waits: the first change of an item needs it.
  if (survey !== undefined) engine.entryOfKey('');
  const isLater = () => engine.version !== version;
  if (isLater()) await new Promise((resolve) => setTimeout(resolve, surveyRestMs));
  if (surveying !== own) return;
  surveying = undefined;
  // Faces that came meanwhile measure what was left out.
  const canMeasureMore = engine.checksBoxes && measures.edition !== measuredWith;
  if (isLater() || canMeasureMore) void surveyed(edition);
}

const protocol: EngineProtocol &
  DataProtocol &
  KeepingProtocol &
  PackingProtocol & { listen(listener: (event: EngineEvent) => void): void } = {
  listen(listener) {
    tell = listener;
  },

  async isThere() {
    return true;
  },

  ...dataLater(async () => {
    const { dataProtocol } = await import('./worker-data');
    return dataProtocol(engine, reading, shown, (news) => tell({ kind: 'followed', news }));
  }),

  ...keepingProtocol(engine, shown, (event) => tell(event)),

  async bring(document, wanted) {
    return reading.cancellable(document, async () => {
      const head = 'file' in document ? await document.file.slice(0, 200).text() : '';
      if (!('file' in document)) return bringItems(document, wanted);
      if (looksLikeProject(head)) return bringProject(document.file, document.name, wanted);
      const schema = await schemaIn(document.file, document.name);
      return schema === undefined
        ? bringItems(document, wanted)
        : bringTypes(schema, document.name, wanted);
    });
  },

  async cancel() {
    reading.cancel();
  },

  async update(project, wanted, list) {
    return shown(engine.update(project, wanted, list));
  },

  async entries(version, places, view) {
    if (engine.isRough) measuredSoon();
    if (view !== undefined && places.length > 0)
      wantedBeside.set(view, { ...wantedBeside.get(view), ...rangeAround(places) });
    return version === engine.version ? engine.entries(places, view).map(entryCrossing) : [];
  },

  async showBeside(id, settings, wanted) {
    wantedBeside.set(id, wanted);
    return besideFrame(id, engine.openBeside(id, settings, wanted));
  },

  async answerTo(task, view) {
    return engine.answerTo(task, view);
  },

  async moveTo(task, view) {
    return engine.moveTo(task, view);
  },

  async entryOfKey(key, view) {
    return engine.entryOfKey(key, view);
  },

  async closeBeside(id) {
    wantedBeside.delete(id);
    engine.closeBeside(id);
  },

  tryDrafts: async (type) => tryDrafts(engine, type),

  async tryTemplate(template, items) {
    return engine.tryTemplate(template, items);
  },

  async itemOfKey(key) {
    return engine.itemOfKey(key);
  },

  async itemAtHand(item) {
    return engine.itemAtHand(item);
  },

  async find(words, after) {
    return engine.find(words, after);
  },

  itemsOfType: async (type, max) => engine.itemsOfType(type, max),

  async trace(place, item) {
    return trace(engine, place, item);
  },

  async tryFormats(trial) {
    return tryFormats(engine, trial);
  },

  async tick(wanted) {
    return engine.tick() ? shown(engine.view(wanted)) : undefined;
  },

  async byExample(task) {
    return (await byExample()).propose(task);
  },

  countMissing: (trying) =>
    counting(asOfNow(trying), async () => (await allItems()).missing(trying)),

  spread: (asked) => spreading(asOfNow(asked), async () => (await allItems()).spread(asked)),

  partFacts: (asked) =>
    askingFacts(asOfNow([asked, measures.edition]), async () => engine.partFacts(asked)),

  extremes: (asked) => testing(asOfNow(asked), async () => extremesOf(engine, asked)),

  async drawRows(task) {
    const [{ drawRows }, { browserFace }] = await Promise.all([
      import('./drawing'),
      import('./measuring/browser-files'),
    ]);
    const wait = () => new Promise<void>((done) => setTimeout(done, 50));
    return drawRows(task, { measures, own: measures.fonts, face: browserFace, wait });
  },

  spaceIn: async (item, asked) => engine.spaceIn(item, asked),

  async showLocale(locale, wanted) {
    if (engine.localeNow() === locale) return undefined;
    engine.showLocale(locale);
    return shown(engine.view(wanted));
  },

  async showLook(look, wanted) {
    if (engine.lookNow() === look) return undefined;
    engine.showLook(look);
    return shown(engine.view(wanted));
  },

  showPart: async (part, wanted) => shown(engine.showPart(part, wanted)),

  choiceTable: async () => engine.choiceTable(),
  whyChosen: async (item) => engine.whyChosen(item),

  async giveFonts(fonts, wanted) {
    fontsWanted = fonts;
    const read = await ownFonts(fonts);
    // Others may have been given meanwhile.
    if (fontsWanted === fonts) {
      measures.give(read);
      engine.facesChanged();
    }
    return shown(engine.view(wanted));
  },

  async pack(project, contents) {
    const { packingProtocol } = await import('./worker-packing');
    return packingProtocol(engine, measures).pack(project, contents);
  },

  async file(project, contents) {
    const pieces = writeProject(project, engine.itemsOf(project), contents);
    return new Blob([...pieces], { type: 'application/json' });
  },
};

let fontsWanted: FontContents | undefined;
let lastProgress = 0;

/** Often enough to be seen moving; each one is a repaint. */
function tellProgress(share: number): void {
  if (performance.now() - lastProgress < 150) return;
  lastProgress = performance.now();
  tell({ kind: 'progress', share });
}

type Answer = Result<{ brought: ProjectRead; view: Frame }, Finding>;

async function bringItems(document: SourceDocument, wanted: EntryRange): Promise<Answer> {
  const all = await reading.items(document, (first, name) => {
    const inference = atOnce(infer(first.items, name));
    const project = makeProject(name, first, inference);
    const view = forPage(take(project, first.items, inference, wanted));
    tell({
      kind: 'first',
      brought: {
        project,
        contents: new Map(),
        findings: first.findings,
        itemCount: first.items.length,
        isFile: false,
      },
      view,
    });
  });
  if (!all.ok) return all;
  const { read, name, inference } = all.value;
  const project = makeProject(name, read, inference, goesOn(document, all.value));
  const view = take(project, read.items, inference, wanted);
  const source = project.sources[0]?.id;
  if (source !== undefined) {
    reading.remember(source, document, read.places ?? []);
    engine.pageWaits(source, all.value.next);
  }
  const findings = [...read.findings, ...inference.findings];
  return ok({
    brought: {
      project,
      contents: new Map(),
      findings,
      itemCount: read.items.length,
      isFile: false,
    },
    view: shown(view),
  });
}

function take(
  project: Project,
  items: readonly Item[],
  inference: Inference,
  wanted: EntryRange,
): Frame {
  engine.clear();
  for (const source of project.sources) engine.hold(source.id, items, inference.unique);
  return engine.update(project, wanted);
}

/** A project without items, for those that are typed or come later. */
function bringTypes(schema: Result<SchemaRead, Finding>, name: string, wanted: EntryRange): Answer {
  if (!schema.ok) return schema;
  const project = projectFromSchema(name, schema.value);
  engine.clear();
  for (const { id } of project.sources) engine.hold(id, []);
  const view = shown(engine.update(project, wanted));
  const empty = { contents: new Map(), findings: [], itemCount: 0, isFile: false };
  return ok({ brought: { project, ...empty }, view });
}

async function bringProject(blob: Blob, name: string, wanted: EntryRange): Promise<Answer> {
  const file = await readProject(await blob.text(), name);
  if (!file.ok) return file;
  const { project, items, contents, findings } = file.value;
  engine.clear();
  engine.holdFile(project, items);
  const view = engine.update(project, wanted);
  const brought = { project, contents, findings, itemCount: view.itemCount, isFile: true };
  return ok({ brought, view: shown(view) });
}

/** As many entries as were asked for, around their middle: one that sticks may stand far above them. */
function rangeAround(places: readonly number[]): Pick<EntryRange, 'from' | 'to'> {
  const middle = places.toSorted((one, other) => one - other)[places.length >> 1] ?? 0;
  const from = Math.max(0, middle - (places.length >> 1));
  return { from, to: from + places.length };
}

expose(
  withAnswersCut(protocol, [
    'tryTemplate',
    'tryDrafts',
    'extremes',
    'itemAtHand',
    'trace',
    'tryFormats',
    'byExample',
    'spread',
    'rows',
    'evidence',
    'proposals',
    'misfits',
    'tryDecoding',
    'pathSteps',
    'importAgain',
    'foundBy',
  ]),
);
