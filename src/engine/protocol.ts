import type { Finding, Result } from '../core/base';
import type { PackFile } from '../core/handoff';
import type {
  BetterReading,
  Evidence,
  ListPlace,
  PathSteps,
  Proposal,
  Rule,
  Seen,
  Spread,
  TypeFound,
} from '../core/items';
import type { Entry, Space } from '../core/lists';
import type { PictureContents } from '../core/pictures';
import type { Project, PropertyPlace, SourceDraft, UsedIds } from '../core/project';
import type { Decoding, ScalarName } from '../core/values';
import type { Writing } from '../keeping';
import type {
  DecodingTrial,
  ExampleAnswer,
  ExampleTask,
  ExtremeItem,
  FieldTask,
  FormatTrial,
  FormattedValue,
  Misfit,
  MissingTask,
  SpreadTask,
  TableLook,
  TableRows,
  Trace,
  TypeTrial,
} from './answers';
import type { DrawTask, RowsDrawn } from './drawing';
import type { FollowNews, ImportHow, ImportSummary, MoreCame } from './imports';
import type { ItemChange, OneChange } from './items';
import type { FontContents } from './measuring';
import type { SourceDocument } from './reading';
import type { ItemAtHand, PartTask, TriedDraft } from './scene';
import type {
  ChoiceAsked,
  ChoiceTable,
  EntryRange,
  Frame,
  GestureAnswer,
  GestureTask,
  ItemPlace,
  MoveTask,
  PartFacts,
  PartShown,
  RowMoved,
  Survey,
  Tried,
  ViewSettings,
} from './views';

/** What was read from a document: a new project, or one that was kept in a file. */
export interface ProjectRead {
  readonly project: Project;
  /** What its pictures show. */
  readonly contents: PictureContents;
  readonly findings: readonly Finding[];
  readonly itemCount: number;
  /** It was a project's file, made by whoever. */
  readonly isFile: boolean;
}

/** What the worker tells without being asked. */
export type EngineEvent =
  | { readonly kind: 'first'; readonly brought: ProjectRead; readonly view: Frame }
  | { readonly kind: 'progress'; readonly share: number }
  /** A view beside the first, after items or project changed. */
  | { readonly kind: 'beside'; readonly id: string; readonly frame: Frame }
  /** Rows are as high as they are drawn, now: what is shown is asked for again. */
  | { readonly kind: 'measured' }
  | { readonly kind: 'followed'; readonly news: FollowNews }
  /** Undo can't go back to the items of a source as of this change. */
  | { readonly kind: 'forgot'; readonly source: string; readonly revision: number }
  | ({ readonly kind: 'survey'; readonly edition: number } & Survey);

/** Items for a set that are made up: so many, repeatable by the seed. */
export interface MakeTask {
  readonly source: string;
  readonly set: string;
  readonly count: number;
  readonly seed: number;
  readonly rules: Readonly<Record<string, Rule>>;
}

/** Everything that can be asked of the engine: the one map between the worker and its client. */
export interface EngineProtocol {
  /** Answers as soon as it has a turn. */
  isThere(): Promise<true>;
  /** Reads items or a project; with items, infers and drafts a project for them. */
  bring(
    document: SourceDocument,
    wanted: EntryRange,
  ): Promise<Result<{ brought: ProjectRead; view: Frame }, Finding>>;
  cancel(): Promise<void>;
  /** The project was edited: the wanted entries first, the rest after. */
  update(project: Project, wanted: EntryRange, list?: string): Promise<Frame>;
  /** The entries at some places, in their order; `view`: one that is beside the first. */
  entries(version: number, places: readonly number[], view?: string): Promise<readonly Entry[]>;
  /** Shows a view beside the first, or the same with other settings; its frames are told from then on. */
  showBeside(id: string, settings: ViewSettings, wanted: EntryRange): Promise<Frame>;
  closeBeside(id: string): Promise<void>;
  /** Where the item with a key stands in a view; -1: nowhere. */
  entryOfKey(key: string, view?: string): Promise<number>;
  /** What a gesture raises in a view, allowed or not. */
  answerTo(task: GestureTask, view?: string): Promise<GestureAnswer>;
  /** What becomes of an item whose row is let go somewhere else in a view; why nothing does, if so. */
  moveTo(task: MoveTask, view?: string): Promise<Result<RowMoved, string>>;
  /** Entries of items with a template of one's choice, whatever the list would choose. */
  tryTemplate(template: string, items: readonly number[]): Promise<Tried | undefined>;
  tryDrafts(type: string): Promise<readonly TriedDraft[]>;
  /** Where the item with a key stands in the source of the first view; -1: nowhere in the set that is shown. */
  itemOfKey(key: string): Promise<number>;
  itemAtHand(item: number): Promise<ItemAtHand | undefined>;
  /** The next item from `after` on, in turn, that holds the words anywhere; -1: none. */
  find(words: string, after: number): Promise<number>;
  /** Where the first items of a type stand. */
  itemsOfType(type: string, max: number): Promise<readonly number[]>;
  trace(place: PropertyPlace, item: number): Promise<Trace | undefined>;
  /** The texts of each format in each locale for each item. */
  tryFormats(trial: FormatTrial): Promise<readonly (readonly (readonly FormattedValue[])[])[]>;
  /** Rows at the time that it is now; undefined: none of them follows it. */
  tick(wanted: EntryRange): Promise<Frame | undefined>;
  byExample(task: ExampleTask): Promise<ExampleAnswer>;
  /** By proposal, how many items lack one of its values; undefined: something newer was asked meanwhile. */
  countMissing(trying: MissingTask): Promise<readonly number[] | undefined>;
  /** What an expression gives over all items; undefined: it gives nothing, or something newer was asked. */
  spread(asked: SpreadTask): Promise<Spread | undefined>;
  /** How a part fares in all rows; undefined: something newer was asked, or faces are on their way. */
  partFacts(asked: PartTask): Promise<PartFacts | undefined>;
  /** The items that test most what a part shows; undefined: something newer was asked meanwhile. */
  extremes(asked: Omit<PartTask, 'box'>): Promise<readonly ExtremeItem[] | undefined>;
  /** Who takes the room of a stack in an item's row; undefined: nothing can be said of it yet. */
  spaceIn(item: number, asked: PartTask): Promise<Space | undefined>;
  /** Rows as a picture; rejected where a font does not come. */
  drawRows(task: DrawTask): Promise<RowsDrawn>;
  /** Shows all rows in a locale; undefined: they are. */
  showLocale(locale: string, wanted: EntryRange): Promise<Frame | undefined>;
  /** Shows all rows in a look; undefined: they are. */
  showLook(look: string, wanted: EntryRange): Promise<Frame | undefined>;
  /** Shows the first view in another state, with other words in its filter box or other sections folded. */
  showPart(part: PartShown, wanted: EntryRange): Promise<Frame>;
  /** How the choices of the first view's list fare; undefined: there is no list. */
  choiceTable(): Promise<ChoiceTable | undefined>;
  /** Which choices were asked for an item of the first view, the last of which takes it. */
  whyChosen(item: number): Promise<readonly ChoiceAsked[]>;
  /** The project's own fonts, in which its texts are measured from now on. */
  giveFonts(fonts: FontContents, wanted: EntryRange): Promise<Frame>;
  /** The project as its file, with its items and what its pictures show. */
  file(project: Project, contents: PictureContents): Promise<Blob>;
}

/** What is handed off. */
export interface PackingProtocol {
  /** The files of the pack of a project that is shown; undefined: another one was asked for meanwhile. */
  pack(project: Project, contents: PictureContents): Promise<readonly PackFile[] | undefined>;
}

/** A project that this browser keeps, as it was read. */
export interface OpenedHere {
  readonly project: Project;
  readonly contents: PictureContents;
  readonly loadsOutside: boolean;
  /** When it was written, as milliseconds since 1970. */
  readonly keptAt: number;
  readonly view: Frame;
}

export type KeepAnswer =
  | { readonly kind: 'kept' }
  /** Another page writes the project now. */
  | { readonly kind: 'taken over' }
  | { readonly kind: 'failed'; readonly reason: string };

/** What this browser keeps. */
export interface KeepingProtocol {
  /** Takes up a project with its items; undefined: this browser keeps none of that id. */
  open(id: string, wanted: EntryRange): Promise<Result<OpenedHere | undefined, string>>;
  /** The same once more, after another page wrote it: only what changed is read. */
  openAgain(
    id: string,
    wanted: EntryRange,
    list: string | undefined,
  ): Promise<Result<OpenedHere | undefined, string>>;
  /** From now on `writer` writes the project and no other; when it was written last. */
  claim(id: string, writer: string): Promise<number | undefined>;
  /**
   * Keeps a project and all of its items, as of the changes that the project names. `contents`: what
   * pictures show that came since it was kept last.
   */
  keep(record: Writing['record'], contents: PictureContents): Promise<KeepAnswer>;
}

/** What the Data station asks: everything about the items themselves. */
export interface DataProtocol {
  /** Rows of the table as it is looked at. */
  rows(source: string, look: TableLook, range: EntryRange): Promise<TableRows>;
  evidence(field: FieldTask): Promise<Evidence | undefined>;
  proposals(field: FieldTask): Promise<readonly Proposal[]>;
  /** Fields that would be dates, numbers or yes and no if they were read so; of all, or of those that lie on paths. */
  betterReadings(
    source: string,
    readBy?: readonly (readonly string[])[],
  ): Promise<readonly BetterReading[]>;
  /** For each type of a source what its items say of its fields. */
  seen(source: string): Promise<readonly (readonly Seen[])[]>;
  /** Values that are there and not of their field's type, by field. */
  misfits(source: string): Promise<readonly Misfit[]>;
  tryType(field: FieldTask, type: ScalarName): Promise<TypeTrial>;
  tryDecoding(field: FieldTask, decoding: Decoding): Promise<DecodingTrial>;
  /** Reads a document as a source of the project that is open. */
  bringSource(document: SourceDocument, used: UsedIds): Promise<Result<SourceRead, Finding>>;
  /** Takes up the items of a document for a source that is there. */
  importAgain(
    source: string,
    document: SourceDocument,
    how: ImportHow,
  ): Promise<Result<ImportSummary, Finding>>;
  /** Reads a document as another set of a source; refused where its items are of other types. */
  bringSet(source: string, set: string, document: SourceDocument): Promise<Result<number, Finding>>;
  /** The items that another source has now as a set of a source; the number of the change. */
  setFrom(source: string, set: string, other: string): Promise<number>;
  /** The same document again, at another place in it; refused if it is not at hand any more. */
  readAt(source: string, at: string, used: UsedIds): Promise<Result<ReadElsewhere, Finding>>;
  /** Where else in its document a source's items could be. */
  places(source: string): Promise<readonly ListPlace[]>;
  /** How far a path gets in the source's document; undefined where that is no JSON, or too large to look at. */
  pathSteps(source: string, at: string): Promise<PathSteps | 'not at hand' | undefined>;
  /** Why a text is no JSONPath; undefined: it is one. */
  pathFault(at: string): Promise<string | undefined>;
  /** The types that a field would tell apart; null: one type for all. */
  foundBy(source: string, discriminator: string | null): Promise<readonly TypeFound[]>;
  /** Changes items by hand; the number of the change. */
  change(source: string, set: string, change: ItemChange): Promise<number>;
  /** The same of the item with a key, wherever it is now; undefined: it is gone. */
  changeOf(
    place: Pick<ItemPlace, 'source' | 'set' | 'key'>,
    change: OneChange,
  ): Promise<number | undefined>;
  /** Makes items up; the number of the change, or why there is none. */
  make(task: MakeTask): Promise<Result<number, Finding>>;
  nasty(source: string, set: string): Promise<number>;
  showSet(source: string, set: string, wanted: EntryRange): Promise<Frame>;
  /** Lets the items of these sources keep coming, as the project says how, and of no others. */
  follow(sources: readonly string[]): Promise<void>;
  /** Asks for the page of a source that waits; one question at a time. */
  more(source: string): Promise<Result<MoreCame, Finding>>;
  /** Asks for a source's items once more: what comes takes the place of what is there. */
  refresh(source: string): Promise<Result<MoreCame, Finding>>;
  /** What is shown, with what came meanwhile. */
  look(wanted: EntryRange): Promise<Frame>;
}

/** Items of the types that the source has: they take the place of those before. Others are a source of their own. */
export type ReadElsewhere =
  | { readonly kind: 'known'; readonly summary: ImportSummary }
  | { readonly kind: 'other'; readonly brought: SourceRead };

/** A source that was read, ready to be added to the project. */
export interface SourceRead {
  readonly draft: SourceDraft;
  readonly findings: readonly Finding[];
  readonly itemCount: number;
}
