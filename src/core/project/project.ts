import type { Action } from '../actions';
import type { Json } from '../base';
import type { ProjectFont } from '../fonts';
import type { NamedFormat } from '../formats';
import { type Follow, type Format, type Key, keyFields, type Paging, typeValueOf } from '../items';
import { type List, listSources } from '../lists';
import type { HasContent, Picture } from '../pictures';
import {
  type Colour,
  neutralColours,
  neutralSpacing,
  neutralStyles,
  type SharedPart,
  type SpacingStep,
  type Template,
  type TextStyle,
  type Tokens,
} from '../templates';
import type { Field } from '../values';

/** The version of the file's form that this core reads and writes. */
export const formatVersion = 2;

/** A named collection of items; the items themselves live elsewhere. */
export interface Source {
  readonly id: string;
  readonly name: string;
  /** Where the items came from, last: a file's name or an address, and where they are in it. */
  readonly from: Origin;
  readonly key: Key;
  /** The field whose value tells the item types apart; null: there is one type. */
  readonly discriminator: string | null;
  /** Other items of the same shape, to show in the place of the source's own. */
  readonly sets?: readonly ItemSet[];
  /** Counts the changes to the items, so that undo finds those that were; not written to files. */
  readonly revision?: number;
}

export interface Origin {
  readonly file: string;
  readonly format: Format;
  readonly at: string;
  /** Says that the answer of an address is one page of several, and where the next is named. */
  readonly pages?: Paging;
  readonly follow?: Follow;
}

export interface ItemSet {
  readonly id: string;
  readonly name: string;
}

/** The set of a source that its own items are. */
export const ownSet = '';

/** One text for a source and one of its sets, where the two stand together. */
export const itemsIdOf = (source: string, set: string): string =>
  set === ownSet ? source : `${source}/${set}`;

export interface ItemType {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  /** The discriminator's value for items of this type; null: all items of the source. */
  readonly value: string | null;
  readonly fields: readonly Field[];
  /** Names, as the items have them, of fields that a person took out of the type. */
  readonly leftOut?: readonly string[];
}

/** A name under which choices choose other templates: the app switches from one to another as it runs. */
export interface Look {
  readonly id: string;
  readonly name: string;
}

/** All of it but the items: what the project file holds, in the file's own form. */
export interface Project {
  readonly yarncard: typeof formatVersion;
  readonly name: string;
  readonly sources: readonly Source[];
  readonly types: readonly ItemType[];
  readonly templates: readonly Template[];
  /** Parts that templates use by their ids, each with inputs of its own; none: there are none. */
  readonly sharedParts?: readonly SharedPart[];
  readonly lists: readonly List[];
  /** What gestures and controls ask for; none: there are none. */
  readonly actions?: readonly Action[];
  /** The first is shown first; none: there is one, without a name. */
  readonly looks?: readonly Look[];
  readonly pictures: readonly Picture[];
  readonly formats?: readonly NamedFormat[];
  /** What texts may be set in, the first where nothing else is said; none: a neutral set. */
  readonly textStyles?: readonly TextStyle[];
  readonly fonts?: readonly ProjectFont[];
  /** None: a neutral set. */
  readonly colours?: readonly Colour[];
  /** None: a neutral set. */
  readonly spacing?: readonly SpacingStep[];
  /** The file of design tokens that looks came from, as it was read: what nothing here takes stays in it. */
  readonly tokenFile?: string;
  /** The locales that it is made for (BCP 47), the first of them shown first; none: English. */
  readonly locales?: readonly string[];
  /** How wide lists are at which boxes are checked, in CSS px; none: they are not. */
  readonly widths?: readonly number[];
  /** How many parts a row may have, those of repeated stacks as often as they may stand; none: as many as one likes. */
  readonly maxParts?: number;
  /** How large text is there, in per cent of what styles say; none: as they say. */
  readonly textSizes?: readonly number[];
}

export const stylesOf = (project: Project): readonly TextStyle[] =>
  project.textStyles ?? neutralStyles;

/** Styles as they are drawn: their font is that of a file, by the id of its content. */
export function drawnStyles(project: Project): readonly TextStyle[] {
  const { fonts = [] } = project;
  if (fonts.length === 0) return stylesOf(project).map(({ family: _, ...style }) => style);
  const contents = new Map(fonts.map(({ name, content }) => [name, content]));
  return stylesOf(project).map(({ family, ...style }) => {
    const content = family === undefined ? undefined : contents.get(family);
    return content === undefined ? style : { ...style, family: content };
  });
}

export const spacingOf = (project: Project): readonly SpacingStep[] =>
  project.spacing ?? neutralSpacing;

export const coloursOf = (project: Project): readonly Colour[] => project.colours ?? neutralColours;

/** What templates name, as it is drawn. */
export const tokensOf = (project: Project): Tokens => ({
  styles: drawnStyles(project),
  colours: coloursOf(project),
  spacing: spacingOf(project),
});

/** What stands beside the project, by the ids of contents: of its pictures and its fonts. */
export const contentsNamed = ({ pictures, fonts = [] }: Project): readonly HasContent[] => [
  ...pictures,
  ...fonts,
];

/** The look that rows are shown in: the one that was chosen, if the project has it, or its first. */
export function lookShown({ looks = [] }: Project, chosen: string | undefined): Look | undefined {
  return looks.find(({ id }) => id === chosen) ?? looks[0];
}

export const localeOf = (project: Project): string => project.locales?.[0] ?? 'en';

export function withId<T extends { readonly id: string }>(
  things: readonly T[],
  id: string,
): T | undefined {
  return things.find((thing) => thing.id === id);
}

/** The same things with the one that has an id changed. */
export const editById = <T extends { readonly id: string }>(
  things: readonly T[],
  id: string,
  change: (thing: T) => T,
): readonly T[] => things.map((thing) => (thing.id === id ? change(thing) : thing));

export const typesOf = (project: Project, source: string): readonly ItemType[] =>
  project.types.filter((type) => type.source === source);

/** The types of the items that a list shows. */
export const typesOfList = (
  project: Project,
  list: Pick<List, 'source' | 'more'>,
): readonly ItemType[] => listSources(list).flatMap((source) => typesOf(project, source));

/** What the discriminator is called in the items as they are read. */
export function rawDiscriminator(project: Project, source: Source): string | null {
  const name = source.discriminator;
  if (name === null) return null;
  const fields = typesOf(project, source.id).flatMap((type) => type.fields);
  return fields.find((field) => field.name === name && field.from !== undefined)?.from ?? name;
}

/** The key in the names that the items have as they are read. */
export const rawKey = (project: Project, source: Source): Key =>
  source.key === null ? null : keyFields(source.key).map((name) => rawName(project, source, name));

export const rawName = (project: Project, source: Source, name: string): string =>
  typesOf(project, source.id)
    .flatMap((type) => type.fields)
    .find((field) => field.name === name)?.from ?? name;

/** For an item's discriminating value, the id of its type. */
export function typeFinder(
  project: Project,
  source: Source,
): (value: Json | undefined) => string | undefined {
  const own = project.types.filter((type) => type.source === source.id);
  if (source.discriminator === null) {
    const only = own[0]?.id;
    return () => only;
  }
  const byValue = new Map<unknown, string>(own.map((type) => [type.value, type.id]));
  return (value) => byValue.get(typeValueOf(value));
}
