import { actionShape } from '../../actions';
import type { ProjectFont } from '../../fonts';
import { isLocale } from '../../formats';
import type { Follow, Key, Paging } from '../../items';
import {
  type Arrangement,
  type Choice,
  type Chosen,
  type Inserts,
  type List,
  type ListFilter,
  type SectionsOf,
  type Separators,
  type SortKey,
  type Strips,
  type StripsAmong,
  sectionParts,
  selectionModes,
} from '../../lists';
import { type Picture, pictureTypes } from '../../pictures';
import {
  boolean,
  byKey,
  byKind,
  byMember,
  id,
  list,
  mapOf,
  nullable,
  number,
  oneOf,
  optional,
  record,
  type Shape,
  text,
} from '../../shape';
import {
  colourShape,
  partsShape,
  rowShape,
  type SharedPart,
  spacingShape,
  templateShape,
  textStyleShape,
} from '../../templates';
import { checkedTextSizes, checkedWidths, maxChecked } from '../checked-at';
import type { Piece } from '../pieces/piece';
import {
  formatVersion,
  type ItemSet,
  type ItemType,
  type Look,
  type Origin,
  type Project,
  type Source,
} from '../project';
import { fieldsShape } from './fields';
import { formatShape } from './formats';

const px = () => number({ min: 0, max: 2_000 });
const idOrNull = () => nullable(id());

const key: Shape<Key> = byKind<Key>({
  null: oneOf([null]),
  text: text(),
  list: list(text(), { min: 1, max: 20 }),
});

const address = () =>
  text(10_000, { pattern: ['^https?:\\/\\/', 'begin with https:// or http://'] });

const follow: Shape<Follow> = byKey<Follow>(
  [['events', record<Extract<Follow, { readonly events: string }>>({ events: address() })]],
  record<Extract<Follow, { readonly everySeconds: number }>>({
    everySeconds: number({ min: 1, max: 86_400 }),
  }),
);

const origin: Shape<Origin> = record<Origin>({
  file: text(),
  format: oneOf(['json', 'ndjson', 'csv', 'sqlite', 'typed']),
  at: text(),
  pages: optional(
    record<Paging>({
      next: optional(text(1_000)),
      parameter: optional(text(200)),
      waits: optional(oneOf([true])),
    }),
  ),
  follow: optional(follow),
});

const source: Shape<Source> = record<Source>({
  id: id(),
  name: text(),
  from: origin,
  key,
  discriminator: nullable(text()),
  sets: optional(list(record<ItemSet>({ id: id(), name: text() }), { max: 200 })),
  revision: optional(number()),
});

const itemType: Shape<ItemType> = record<ItemType>({
  id: id(),
  name: text(),
  source: id(),
  value: nullable(text()),
  fields: fieldsShape,
  leftOut: optional(list(text())),
});

const separators: Shape<Separators> = record<Separators>({
  inset: optional(px()),
  thickness: optional(number({ min: 0, max: 100 })),
  colour: optional(text()),
  template: optional(id()),
});

const sections: Shape<SectionsOf> = record<SectionsOf>({
  by: optional(text()),
  part: optional(oneOf(sectionParts)),
  order: optional(oneOf(['descending', 'as they come'])),
  heading: optional(id()),
  footing: optional(id()),
  sticks: optional(oneOf([true])),
  folds: optional(oneOf(['open', 'folded'])),
  showsEmpty: optional(oneOf([true])),
  hasIndex: optional(oneOf([true])),
});

const rowNumber = () => number({ isInteger: true, min: 1, max: 1_000_000 });

const inserts: Shape<Inserts> = record<Inserts>({
  from: rowNumber(),
  every: rowNumber(),
  inEachSection: optional(oneOf([true])),
  mayBeLast: optional(oneOf([true])),
  template: id(),
  source: optional(id()),
});

const ofStrips = {
  cell: byKind<Strips['cell']>({
    number: number({ min: 20, max: 4_000 }),
    record: record<{ readonly inSight: number }>({ inSight: number({ min: 1, max: 20 }) }),
  }),
  snaps: optional(oneOf([true])),
  hasIndicator: optional(oneOf([true])),
};

const stripsAmong: Shape<StripsAmong> = record<StripsAmong>({
  ...ofStrips,
  gap: px(),
  edge: px(),
  templates: list(id(), { max: 200 }),
});

type OfKind<K extends Arrangement['kind']> = Extract<Arrangement, { readonly kind: K }>;

const arrangement: Shape<Arrangement> = byMember<Arrangement>('kind', {
  list: record<OfKind<'list'>>({
    kind: oneOf(['list']),
    gap: px(),
    edge: px(),
    separators: byKind<boolean | Separators>({ boolean: boolean(), record: separators }),
    blocks: optional(oneOf([true])),
    strips: optional(stripsAmong),
    ground: optional(text()),
  }),
  grid: record<OfKind<'grid'>>({
    kind: oneOf(['grid']),
    gap: px(),
    edge: px(),
    columns: byKind<number | { readonly least: number }>({
      number: number({ isInteger: true, min: 1, max: 50 }),
      record: record<{ readonly least: number }>({ least: number({ min: 20, max: 4_000 }) }),
    }),
    spans: optional(list(id(), { max: 200 })),
    ownHeights: optional(oneOf([true])),
    strips: optional(stripsAmong),
    ground: optional(text()),
  }),
  strip: record<OfKind<'strip'>>({
    kind: oneOf(['strip']),
    gap: px(),
    edge: px(),
    strips: record<Strips>(ofStrips),
    ground: optional(text()),
  }),
});

const chosen: Shape<Chosen> = byKind<Chosen>({
  null: oneOf([null]),
  text: id(),
  record: mapOf(idOrNull()),
});

const listOfItems: Shape<List> = record<List>({
  id: id(),
  name: text(),
  source: id(),
  more: optional(list(id(), { max: 50 })),
  choices: list(
    record<Choice>({
      type: optional(id()),
      when: optional(text()),
      template: optional(chosen),
    }),
    { max: 500 },
  ),
  otherwise: optional(chosen),
  order: optional(
    list(
      record<SortKey>({
        by: text(),
        descending: optional(oneOf([true])),
        missing: optional(oneOf(['first'])),
      }),
      { max: 20 },
    ),
  ),
  sections: optional(sections),
  inserts: optional(inserts),
  header: optional(id()),
  footer: optional(id()),
  above: optional(id()),
  below: optional(id()),
  coversSafeAreas: optional(oneOf([true])),
  selects: optional(oneOf(selectionModes)),
  reorders: optional(oneOf([true])),
  refreshes: optional(oneOf([true])),
  animates: optional(oneOf([true])),
  holdsNew: optional(oneOf([true])),
  states: optional(
    record<NonNullable<List['states']>>({
      loading: optional(idOrNull()),
      empty: optional(idOrNull()),
      filtered: optional(idOrNull()),
      failed: optional(idOrNull()),
      more: optional(idOrNull()),
      end: optional(idOrNull()),
    }),
  ),
  filter: optional(
    record<ListFilter>({
      fields: list(text(), { max: 50 }),
      reveals: optional(oneOf([true])),
    }),
  ),
  arrangement,
});

const picture: Shape<Picture> = record<Picture>({
  name: text(),
  mediaType: oneOf(pictureTypes),
  content: text(60, { minChars: 1 }),
});

const font: Shape<ProjectFont> = record<ProjectFont>({
  name: text(200, { minChars: 1 }),
  content: text(60, { minChars: 1 }),
});

/** What pictures show, and the files of fonts, by the ids of contents. */
export const contentShape: Shape<string> = text(Number.MAX_SAFE_INTEGER, {
  minChars: 1,
  pattern: ['^[A-Za-z0-9+/]*={0,2}$', 'be base64'],
});

const sharedPart: Shape<SharedPart> = record<SharedPart>({
  id: id(),
  name: text(),
  inputs: fieldsShape,
  row: rowShape,
});

/** Parts as text, with what they name. */
export const pieceShape: Shape<Piece> = record<Piece>({
  yarncard: oneOf([formatVersion]),
  parts: partsShape,
  textStyles: optional(list(textStyleShape, { tellsApart: 'name', max: 100 })),
  colours: optional(list(colourShape, { tellsApart: 'name', max: 200 })),
  spacing: optional(list(spacingShape, { tellsApart: 'name', max: 50 })),
  formats: optional(list(formatShape, { max: 500 })),
  sharedParts: optional(list(sharedPart, { tellsApart: 'id', max: 500 })),
});

const locale = () =>
  text(100, { test: { name: 'locale', words: 'name a locale', passes: isLocale } });

/**
 * What a project file must be like but for its items: the types of a project, what it is held
 * against when it is read, and the schema that is given away, said once. Keys that are not named
 * here are allowed, and kept.
 */
export const projectShape: Shape<Project> = record<Project>({
  yarncard: oneOf([formatVersion]),
  name: text(200, { minChars: 1 }),
  sources: list(source, { tellsApart: 'id' }),
  types: list(itemType, { tellsApart: 'id' }),
  templates: list(templateShape, { tellsApart: 'id' }),
  sharedParts: optional(list(sharedPart, { tellsApart: 'id', max: 500 })),
  lists: list(listOfItems, { tellsApart: 'id' }),
  actions: optional(list(actionShape, { tellsApart: 'id', max: 200 })),
  looks: optional(list(record<Look>({ id: id(), name: text() }), { tellsApart: 'id', max: 50 })),
  pictures: list(picture, { tellsApart: 'name' }),
  formats: optional(list(formatShape, { max: 500 })),
  fonts: optional(list(font, { tellsApart: 'name', max: 50 })),
  colours: optional(list(colourShape, { tellsApart: 'name', max: 200 })),
  spacing: optional(list(spacingShape, { tellsApart: 'name', max: 50 })),
  tokenFile: optional(text(2_000_000)),
  textStyles: optional(list(textStyleShape, { tellsApart: 'name', max: 100 })),
  locales: optional(list(locale(), { min: 1, max: 100 })),
  widths: optional(list(number(checkedWidths), { max: maxChecked })),
  textSizes: optional(list(number(checkedTextSizes), { max: maxChecked })),
  maxParts: optional(number({ isInteger: true, min: 1, max: 500 })),
});
