import { clipped, type Finding, failed, ok, type Result } from '../core/base';
import { pathFault, pathSteps } from '../core/items';
import { draftSource, type Source, type UsedIds, withId } from '../core/project';
import { EngineData } from './answers';
import type { Engine } from './engine';
import {
  EngineImport,
  type FollowNews,
  following,
  type ImportHow,
  type ImportSummary,
} from './imports';
import type { DataProtocol, ReadElsewhere, SourceRead } from './protocol';
import { goesOn, type ItemsKnown, type Reading, type SourceDocument } from './reading';
import { turns } from './turns';
import type { Frame } from './views';

/** The worker's answers to what the Data station asks. */
export function dataProtocol(
  engine: Engine,
  reading: Reading,
  shown: (view: Frame) => Frame,
  tell: (news: FollowNews) => void,
): DataProtocol {
  const data = new EngineData(engine);
  const imports = new EngineImport(engine);
  const pause = () => turns().pause();

  const sourceOf = (id: string): Source => {
    const source = engine.project === undefined ? undefined : withId(engine.project.sources, id);
    if (source === undefined) throw new Error(`The project has no source "${id}".`);
    return source;
  };

  const sources = sourceReader(engine, reading, imports);

  return {
    ...readingsProtocol(data, pause),
    rows: async (source, look, range) => data.rows(source, look, range),

    async evidence(field) {
      return data.evidence(field, pause);
    },

    seen: async (source) => data.seen(sourceOf(source)),
    misfits: async (source) => data.misfits(sourceOf(source)),

    bringSource: (document, used) =>
      reading.cancellable(document, () => sources.bring(document, used)),

    importAgain: (id, document, how) =>
      reading.cancellable(document, () => sources.importAgain(sourceOf(id), document, how)),

    bringSet: (id, set, document) =>
      reading.cancellable(document, () => sources.bringSet(sourceOf(id), set, document)),

    async setFrom(id, set, other) {
      return imports.setFrom(sourceOf(id), set, other);
    },

    async readAt(id, at, used) {
      const source = sourceOf(id);
      const document = reading.document(id);
      if (document === undefined) return failed(notAtHand(source));
      const elsewhere = { ...document, at };
      return reading.cancellable(elsewhere, () => sources.readElsewhere(source, elsewhere, used));
    },

    places: async (source) => reading.places(source),

    async pathSteps(source, at) {
      if (reading.document(source) === undefined) return 'not at hand';
      if (sourceOf(source).from.format !== 'json') return undefined;
      const root = await reading.root(source);
      return root === undefined ? undefined : pathSteps(root, at);
    },

    pathFault,
    foundBy: async (source, discriminator) => data.foundBy(source, discriminator),

    changeOf: async (place, change) => data.changeOf(place, change),
    async change(source, set, change) {
      return data.change(source, set, change);
    },

    async make({ source, set, count, seed, rules }) {
      return reading.cancellable('Making items', () =>
        data.make(sourceOf(source), { set, count, seed, rules }, (share) =>
          reading.turnWith(share),
        ),
      );
    },

    async nasty(source, set) {
      return data.nasty(sourceOf(source), set);
    },

    async showSet(source, set, wanted) {
      engine.showSet(source, set);
      return shown(engine.view(wanted));
    },

    ...following(engine, imports, tell),

    async look(wanted) {
      return shown(engine.view(wanted));
    },
  };
}

/** How fields are read, and how they could be. */
const readingsProtocol = (
  { readings }: EngineData,
  pause: () => Promise<void>,
): Pick<DataProtocol, 'betterReadings' | 'proposals' | 'tryType' | 'tryDecoding'> => ({
  async betterReadings(source, readBy) {
    return readings.betterReadings(source, readBy, pause);
  },

  async proposals(field) {
    return readings.proposals(field);
  },

  async tryType(field, type) {
    return readings.tryType(field, type);
  },

  async tryDecoding(field, decoding) {
    return readings.tryDecoding(field, decoding);
  },
});

/** Documents that become sources, or items of one that is there. */
function sourceReader(engine: Engine, reading: Reading, imports: EngineImport) {
  async function bring(
    document: SourceDocument,
    used: UsedIds,
  ): Promise<Result<SourceRead, Finding>> {
    const all = await reading.items(document, () => {});
    return all.ok ? ok(brought(document, all.value, used)) : all;
  }

  function brought(document: SourceDocument, known: ItemsKnown, used: UsedIds): SourceRead {
    const { read, name, inference } = known;
    const draft = draftSource(used, {
      file: name,
      read,
      inference,
      goesOn: goesOn(document, known),
    });
    engine.hold(draft.source.id, read.items, inference.unique);
    reading.remember(draft.source.id, document, read.places ?? []);
    engine.pageWaits(draft.source.id, known.next);
    return {
      draft,
      findings: [...read.findings, ...inference.findings],
      itemCount: read.items.length,
    };
  }

  async function readElsewhere(
    source: Source,
    document: SourceDocument,
    used: UsedIds,
  ): Promise<Result<ReadElsewhere, Finding>> {
    const all = await reading.items(document, () => {});
    if (!all.ok) return all;
    const { read, name } = all.value;
    const summary = imports.ifKnown(source, name, all.value);
    if (summary === undefined)
      return ok({ kind: 'other', brought: brought(document, all.value, used) });
    reading.remember(source.id, document, read.places ?? []);
    engine.pageWaits(source.id, all.value.next);
    return ok({ kind: 'known', summary });
  }

  async function importAgain(
    source: Source,
    document: SourceDocument,
    how: ImportHow,
  ): Promise<Result<ImportSummary, Finding>> {
    const all = await reading.items(document, () => {}, true);
    if (!all.ok) return all;
    const summary = imports.importAgain(source, all.value.name, all.value, how);
    if (summary.isAsked) return ok(summary);
    reading.remember(source.id, document, all.value.read.places ?? []);
    engine.pageWaits(source.id, all.value.next);
    return ok(summary);
  }

  async function bringSet(
    source: Source,
    set: string,
    document: SourceDocument,
  ): Promise<Result<number, Finding>> {
    const all = await reading.items(document, () => {}, true);
    if (!all.ok) return all;
    const revision = imports.asSet(source, set, all.value);
    return revision === undefined ? failed(ofOtherShape(source, all.value.name)) : ok(revision);
  }

  return { bring, readElsewhere, importAgain, bringSet };
}

const ofOtherShape = (source: Source, file: string): Finding => ({
  code: 'set-of-other-shape',
  severity: 'error',
  place: { in: 'document', file },
  message: clipped(
    `What is in ${file} is not of the types of ${source.name}, so it can be no set of it.`,
  ),
  hint: 'Add it as a source of its own.',
});

const notAtHand = (source: Source): Finding => ({
  code: 'document-gone',
  severity: 'note',
  place: { in: 'document', file: source.from.file },
  message: `${source.from.file} is not at hand any more: this browser keeps its items, not the file.`,
  hint: 'Bring the file again to look at another place in it.',
});
