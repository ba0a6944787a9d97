import type { ListFilter } from './filter';
import type { SortKey } from './order/sort';
import type { InsertPlaces } from './sequence/inserts';
import type { SectionOrder, SectionPart } from './sequence/section-keys';
import type { ListState } from './sequence/states';

/**
 * The id of a template; null: left out on purpose. By the ids of looks where these differ: in one
 * that is not there nothing is chosen.
 */
export type Chosen = string | null | Readonly<Record<string, string | null>>;

/** Which template an item gets that is of a type, for which a condition holds, or both. */
export interface Choice {
  /** Id of an item type; none: those of all types. */
  readonly type?: string;
  /** An expression that gives yes or no; none: it holds for all. */
  readonly when?: string;
  /** None: nothing is chosen. */
  readonly template?: Chosen;
}

/** Rows that stand beside each other and are scrolled sideways. */
export interface Strips {
  /** How wide their cells are, in px; so that so many are to be seen at once. */
  readonly cell: number | { readonly inSight: number };
  /** They come to rest where a cell begins. */
  readonly snaps?: true;
  /** Beneath them it is told how far along one is. */
  readonly hasIndicator?: true;
}

/** Strips among rows that stand otherwise. */
export interface StripsAmong extends Strips {
  /** Ids of templates: the rows of these that follow each other in a section are a strip. */
  readonly templates: readonly string[];
  /** Between their cells and around them, in px. */
  readonly gap: number;
  readonly edge: number;
}

/** How entries are placed. Edges and gaps in px; `ground`: one of the colours, behind all rows; none: theirs. */
export type Arrangement =
  | {
      readonly kind: 'list';
      readonly gap: number;
      readonly edge: number;
      readonly separators: boolean | Separators;
      /** The rows of each section are a block with round corners. */
      readonly blocks?: true;
      readonly strips?: StripsAmong;
      readonly ground?: string;
    }
  | {
      readonly kind: 'grid';
      /** How many; as many as fit, where cells are to be so wide at least, in px. */
      readonly columns: number | { readonly least: number };
      /** Ids of templates whose cells have a line for themselves. */
      readonly spans?: readonly string[];
      /** Each cell is as high as its content, not as its line. */
      readonly ownHeights?: true;
      readonly strips?: StripsAmong;
      readonly ground?: string;
      readonly gap: number;
      readonly edge: number;
    }
  | {
      /** The rows of each section are one; without sections all are. */
      readonly kind: 'strip';
      readonly strips: Strips;
      readonly ground?: string;
      readonly gap: number;
      readonly edge: number;
    };

/** What stands between two rows: a line, or a template. */
export interface Separators {
  /** How far from where rows begin, and how thick, in px; none: 16, and 1. */
  readonly inset?: number;
  readonly thickness?: number;
  /** One of the project's colours; none: that of lines. */
  readonly colour?: string;
  readonly template?: string;
}

/** How items are put together in sections. Templates by their ids: the same in all looks. */
export interface SectionsOf {
  /** An expression: what the items of a section have in common; none: their source. */
  readonly by?: string;
  readonly part?: SectionPart;
  readonly order?: SectionOrder;
  readonly heading?: string;
  readonly footing?: string;
  /** Headings stay in sight while rows of theirs are. */
  readonly sticks?: true;
  /** A press on a heading folds its rows away; at first they are so, or not. */
  readonly folds?: 'open' | 'folded';
  /** Sections that no item of has a row stand there, too. */
  readonly showsEmpty?: true;
  /** At the side, for those who want to get to a section at once. */
  readonly hasIndex?: true;
}

/** What comes after every so many rows, with the items of a source of its own in turn. */
export interface Inserts extends InsertPlaces {
  readonly template: string;
  /** None: it has no items, and says the same each time. */
  readonly source?: string;
}

/** A source with its choices and its arrangement. */
export interface List {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  /** Ids of sources whose items come after those of the first. */
  readonly more?: readonly string[];
  /** The first that takes an item decides. */
  readonly choices: readonly Choice[];
  /** What items get that no choice takes; none: nothing is chosen for them. */
  readonly otherwise?: Chosen;
  /** By what its items are sorted, the first counting most; none: as they came. */
  readonly order?: readonly SortKey[];
  readonly sections?: SectionsOf;
  readonly inserts?: Inserts;
  /** Ids of templates: what scrolls along before and after all rows. */
  readonly header?: string;
  readonly footer?: string;
  /** What stays in sight above and below all that scrolls. */
  readonly above?: string;
  readonly below?: string;
  /** The ground of bars goes on where the device keeps room for itself; none: that of the list does. */
  readonly coversSafeAreas?: true;
  /** What is shown in each state; null: nothing, on purpose; none: what the app shows of itself. */
  readonly states?: Readonly<Partial<Record<ListState, string | null>>>;
  readonly filter?: ListFilter;
  /** How many rows a reader may select; none: no row is. */
  readonly selects?: SelectionMode;
  /** A reader moves its rows: the items stand in another order then. */
  readonly reorders?: true;
  /** Pulled down at its top, its items are asked for once more. */
  readonly refreshes?: true;
  /** Rows move to where changed items put them; otherwise they are there at once. */
  readonly animates?: true;
  /** What comes above the rows that are looked at waits for a press. */
  readonly holdsNew?: true;
  readonly arrangement: Arrangement;
}

/** What a list lets a reader do, and how it takes changes of its items. */
export const listHabits = ['reorders', 'refreshes', 'animates', 'holdsNew'] as const;
export type ListHabit = (typeof listHabits)[number];

/** For a moment, as a row that leads on does; one until another is; as many as one likes. */
export const selectionModes = ['moment', 'single', 'several'] as const;
export type SelectionMode = (typeof selectionModes)[number];

/** Ids of the sources whose items a list shows, in the order in which they come; each once, whatever a file says. */
export const listSources = ({ source, more }: Pick<List, 'source' | 'more'>): readonly string[] =>
  more === undefined ? [source] : [...new Set([source, ...more])];

/** Another kind of arrangement in the place of one. */
export function asKind({ gap, edge, ground }: Arrangement, kind: Arrangement['kind']): Arrangement {
  const own = ground === undefined ? {} : { ground };
  const apart = { gap: Math.max(gap, 8), edge: Math.max(edge, 12), ...own };
  switch (kind) {
    case 'list':
      return { kind, gap: 0, edge: 0, separators: true, ...own };
    case 'grid':
      return { kind, columns: 2, ...apart };
    case 'strip':
      return { kind, strips: { cell: { inSight: 2.5 }, snaps: true }, ...apart };
  }
}

/** The same with another name for a colour; undefined: none in its place. */
export function withColourNamed(
  arrangement: Arrangement,
  name: string,
  next: string | undefined,
): Arrangement {
  const { ground, ...plain } = arrangement;
  const named = next === undefined ? {} : { ground: next };
  const own = ground === name ? { ...plain, ...named } : arrangement;
  if (own.kind !== 'list' || typeof own.separators !== 'object' || own.separators.colour !== name)
    return own;
  const { colour: _, ...line } = own.separators;
  return { ...own, separators: next === undefined ? line : { ...line, colour: next } };
}
