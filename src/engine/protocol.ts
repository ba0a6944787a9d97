import type { Finding, Result } from '../core/base';
import type { Proposal as ExampleProposal, Pin, Text } from '../core/by-example';
import type { Format } from '../core/formats';
import type {
  Evidence,
  Item,
  ListPlace,
  Paging,
  PathSteps,
  Proposal,
  Rule,
  Spread,
  TypeFound,
} from '../core/items';
import type { Entry, RowPlan, Sequence } from '../core/lists';
import type { Project, SourceDraft, UsedIds } from '../core/project';
import type { Decoding, NearestValue, TraceStep } from '../core/values';
import type { Writing } from '../keeping';
import type { ItemChange } from './changes';
import type { DecodingTrial, FieldAsked, Misfit, TableRows } from './data';
import type { ImportSummary } from './import';
import type { TableLook } from './table';

/** Entries from `from` up to but without `to`. */
export interface Range {
  readonly from: number;
  readonly to: number;
  /** The sequence whose heights the asker has: they are not sent again. */
  readonly sequence?: number;
}

/** What drawing the list needs, as of one version of project and items. */
export interface View {
  readonly version: number;
  /** Id of the list that is shown. */
  readonly list: string | undefined;
  readonly sequence: Sequence;
  readonly plans: readonly RowPlan[];
  readonly entries: readonly Entry[];
  readonly entriesFrom: number;
  readonly itemCount: number;
  /** By choice, in the order of the list's choices; the last is *otherwise*. */
  readonly choiceCounts: readonly number[];
  readonly findings: readonly Finding[];
}

/** What was read from a document: a new project, or one that was kept in a file. */
export interface Brought {
  readonly project: Project;
  readonly findings: readonly Finding[];
  readonly itemCount: number;
  /** It was a project's file, made by whoever. */
  readonly isFile: boolean;
}

/** How the bound properties of a template fare over all items that it shows. */
export interface SlotSurvey {
  readonly part: string;
  readonly property: string;
  readonly missingCount: number;
  /** Position of the first item without a value, or -1. */
  readonly firstMissing: number;
  /** The words of all items that have words there, if those are the same. */
  readonly same: string | undefined;
  /** For a picture: the names that the project has no picture for, the most frequent first. */
  readonly unknown: readonly UnknownPicture[];
}

export interface UnknownPicture {
  readonly name: string;
  readonly itemCount: number;
  /** Position of the first item that names it. */
  readonly first: number;
}

export interface TemplateSurvey {
  readonly template: string;
  readonly itemCount: number;
  readonly slots: readonly SlotSurvey[];
  /** Items with the longest and shortest words in the first label; -1: no item. */
  readonly longest: number;
  readonly shortest: number;
}

/** What was counted over all items of a version. */
export interface Survey {
  readonly templates: readonly TemplateSurvey[];
  /** Where items are not what their types say. */
  readonly findings: readonly Finding[];
}

/** How a value came about for one item. */
export interface Trace {
  readonly steps: readonly TraceStep[];
  readonly text: string | undefined;
  /** How what stands in came about, if anything does; fixed words have no steps. */
  readonly instead: readonly TraceStep[] | undefined;
  readonly missing: string | undefined;
  /** The nearest path that does have a value. */
  readonly nearest: NearestValue | undefined;
}

/** A value as a format writes it, or why it does not. */
export type Written = { readonly text: string } | { readonly why: string };

/** Formats to try on the values of an expression, without touching the project. */
export interface FormatTrial {
  readonly template: string;
  readonly expr: string;
  /** Undefined: as the value is. */
  readonly formats: readonly (Format | undefined)[];
  readonly locales: readonly string[];
  readonly items: readonly number[];
}

/** Words that are wanted for some items of a type. */
export interface ExampleTask {
  readonly type: string;
  /** A computed property that is not proposed: the one that is being made. */
  readonly without?: string | undefined;
  readonly examples: readonly {
    /** Position of the item. */
    readonly item: number;
    readonly text: string;
    readonly pins?: readonly Pin[];
  }[];
}

export interface ExampleAnswer {
  /** The likeliest first. */
  readonly proposals: readonly Omit<ExampleProposal, 'texts' | 'isOpenAt'>[];
  readonly isTwoRules: boolean;
  /** The item whose words would settle it. */
  readonly next: number | undefined;
  /** What each proposal gives for some items: first the one that is asked for, then where they differ. */
  readonly rows: readonly {
    readonly item: number;
    readonly texts: readonly Text[];
    /** Whether the words are in a form that no example has shown: guessed, if they are all there. */
    readonly isOpen: readonly boolean[];
  }[];
}

/** Expressions to look at over all items of a type. */
export interface Trying {
  readonly type: string;
  /** By proposal. */
  readonly exprs: readonly (readonly string[])[];
}

/** An expression to look at over all items of a type; `without`: the computed property that it is. */
export interface SpreadAsked {
  readonly type: string;
  readonly expr: string;
  readonly without?: string | undefined;
}

/** One item as the screens show it. */
export interface ItemAtHand {
  readonly item: number;
  /** Where it stands in the list; -1: it is left out. */
  readonly entry: number;
  readonly value: Item;
  readonly type: string | undefined;
  readonly title: string;
}

/** What the worker tells without being asked. */
export type EngineEvent =
  | { readonly kind: 'first'; readonly brought: Brought; readonly view: View }
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'followed'; readonly news: FollowNews }
  /** Undo can't go back to the items of a source as of this change. */
  | { readonly kind: 'forgot'; readonly source: string; readonly revision: number }
  | ({ readonly kind: 'survey'; readonly version: number } & Survey);

/** What came of asking or listening once more. */
export interface FollowNews {
  readonly source: string;
  readonly came: Result<Came, Finding>;
}

/** What changed; the types as all items are now, where they were looked at. */
export interface Came {
  readonly addedCount: number;
  readonly changedCount: number;
  readonly removedCount: number;
  readonly isChanged: boolean;
  readonly found: readonly TypeFound[];
}

/** A document to read: a file, words that were pasted or typed, or an address to fetch from. */
export type Document =
  | { readonly file: Blob; readonly name: string; readonly at?: string }
  | { readonly address: string; readonly at?: string; readonly pages?: Paging };

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
    document: Document,
    wanted: Range,
  ): Promise<Result<{ brought: Brought; view: View }, Finding>>;
  cancel(): Promise<void>;
  /** The project was edited: the wanted entries first, the rest after. */
  update(project: Project, wanted: Range, list?: string): Promise<View>;
  entries(version: number, range: Range): Promise<readonly Entry[]>;
  /** Entries of items with a template of one's choice, whatever the list would choose. */
  tryTemplate(template: string, items: readonly number[]): Promise<readonly Entry[]>;
  itemAtHand(item: number): Promise<ItemAtHand | undefined>;
  /** The next item from `after` on, in turn, that holds the words anywhere; -1: none. */
  find(words: string, after: number): Promise<number>;
  firstOfType(type: string): Promise<number>;
  trace(template: string, part: string, property: string, item: number): Promise<Trace | undefined>;
  /** By format, locale and item. */
  tryFormats(trial: FormatTrial): Promise<readonly (readonly (readonly Written[])[])[]>;
  /** Rows at the time that it is now; undefined: none of them follows it. */
  tick(wanted: Range): Promise<View | undefined>;
  byExample(task: ExampleTask): Promise<ExampleAnswer>;
  /** By proposal, how many items lack one of its values; undefined: something newer was asked meanwhile. */
  countMissing(trying: Trying): Promise<readonly number[] | undefined>;
  /** What an expression gives over all items; undefined: it gives nothing, or something newer was asked. */
  spread(asked: SpreadAsked): Promise<Spread | undefined>;
  /** Shows all rows in a locale. */
  showLocale(locale: string, wanted: Range): Promise<View>;
  /** The project as its file, items and all. */
  file(project: Project): Promise<Blob>;
  /** Puts the items of a JSON list into a source: a text crosses to the worker at no cost. */
  insertInto(source: string, at: number, list: string, wanted: Range): Promise<View>;
}

/** A project that this browser keeps, as it was read. */
export interface OpenedHere {
  readonly project: Project;
  readonly loadsOutside: boolean;
  /** When it was written, as milliseconds since 1970. */
  readonly keptAt: number;
  readonly view: View;
}

export type KeepAnswer =
  | { readonly kind: 'kept' }
  /** Another page writes the project now. */
  | { readonly kind: 'taken over' }
  | { readonly kind: 'failed'; readonly reason: string };

/** What this browser keeps. */
export interface KeepingProtocol {
  /** Takes up a project with its items; undefined: this browser keeps none of that id. */
  open(id: string, wanted: Range): Promise<Result<OpenedHere | undefined, string>>;
  /** The same once more, after another page wrote it: only what changed is read. */
  openAgain(
    id: string,
    wanted: Range,
    list: string | undefined,
  ): Promise<Result<OpenedHere | undefined, string>>;
  /** From now on `writer` writes the project and no other; when it was written last. */
  claim(id: string, writer: string): Promise<number | undefined>;
  /** Keeps a project and all of its items, as of the changes that the project names. */
  keep(record: Writing['record']): Promise<KeepAnswer>;
}

/** What the Data station asks: everything about the items themselves. */
export interface DataProtocol {
  /** Rows of the table as it is looked at. */
  rows(source: string, look: TableLook, range: Range): Promise<TableRows>;
  evidence(field: FieldAsked): Promise<Evidence | undefined>;
  proposals(field: FieldAsked): Promise<readonly Proposal[]>;
  /** Values that are there and not of their field's type, by field. */
  misfits(source: string): Promise<readonly Misfit[]>;
  tryDecoding(field: FieldAsked, decoding: Decoding): Promise<DecodingTrial>;
  /** Reads a document as a source of the project that is open. */
  bringSource(document: Document, used: UsedIds): Promise<Result<BroughtSource, Finding>>;
  /** Takes up the items of a document for a source that is there. */
  importAgain(source: string, document: Document): Promise<Result<ImportSummary, Finding>>;
  /** The same document again, at another place in it; refused if it is not at hand any more. */
  readAt(source: string, at: string, used: UsedIds): Promise<Result<ReadElsewhere, Finding>>;
  /** Where else in its document a source's items could be. */
  places(source: string): Promise<readonly ListPlace[]>;
  /** How far a path gets in the source's document; undefined where that is not at hand, or no JSON. */
  pathSteps(source: string, at: string): Promise<PathSteps | undefined>;
  /** The types that a field would tell apart; null: one type for all. */
  foundBy(source: string, discriminator: string | null): Promise<readonly TypeFound[]>;
  /** Changes items by hand; the number of the change. */
  change(source: string, set: string, change: ItemChange): Promise<number>;
  /** Makes items up; the number of the change, or why there is none. */
  make(task: MakeTask): Promise<Result<number, Finding>>;
  nasty(source: string, set: string): Promise<number>;
  showSet(source: string, set: string, wanted: Range): Promise<View>;
  /** Lets the items of these sources keep coming, as the project says how, and of no others. */
  follow(sources: readonly string[]): Promise<void>;
  /** What is shown, with what came meanwhile. */
  look(wanted: Range): Promise<View>;
}

/** Items of the types that the source has: they take the place of those before. Others are a source of their own. */
export type ReadElsewhere =
  | { readonly kind: 'known'; readonly summary: ImportSummary }
  | { readonly kind: 'other'; readonly brought: BroughtSource };

/** A source that was read, ready to be added to the project. */
export interface BroughtSource {
  readonly draft: SourceDraft;
  readonly findings: readonly Finding[];
  readonly itemCount: number;
}
