import { freeId, ownValue, slug } from '../base';
import type { Inference, Item, ItemsRead, SchemaRead, TypeFound } from '../items';
import { likelyTitle, noTypeValue, typeValueOf } from '../items';
import type { List } from '../lists';
import { draftRow, type Template } from '../templates';
import type { Field } from '../values';
import { formatVersion, type ItemType, type Origin, type Project, type Source } from './project';
import { noIds, type UsedIds } from './used-ids';

/** A source with all that shows it: its types, the plainest template for each, a list. */
export interface SourceDraft {
  readonly source: Source;
  readonly types: readonly ItemType[];
  readonly templates: readonly Template[];
  readonly list: List;
}

/** How an origin's items go on. */
type GoesOn = Pick<Partial<Origin>, 'pages' | 'follow'>;

/** Items with what was found out about them. */
interface Brought {
  readonly file: string;
  readonly read: Omit<ItemsRead, 'findings'>;
  readonly inference: Inference;
  readonly goesOn?: GoesOn;
}

/** A whole project for items that were just read. */
export function makeProject(
  file: string,
  read: Omit<ItemsRead, 'findings'>,
  inference: Inference,
  goesOn: GoesOn = {},
): Project {
  return projectAround(draftSource(noIds, { file, read, inference, goesOn }));
}

/** A whole project for types that were declared, without items yet. */
export const projectFromSchema = (file: string, schema: SchemaRead): Project =>
  projectAround(draftFromSchema(noIds, file, schema));

function projectAround(draft: SourceDraft): Project {
  return {
    yarncard: formatVersion,
    name: draft.source.name,
    sources: [draft.source],
    types: draft.types,
    templates: draft.templates,
    lists: [draft.list],
    pictures: [],
  };
}

/** A source for items that were just read; none of its ids is among the used ones. */
export function draftSource(
  used: UsedIds,
  { file, read, inference, goesOn: { pages, follow } = {} }: Brought,
): SourceDraft {
  const name = nameOf(file, read.at);
  const id = freeId(slug(name), used.sources);
  const source: Source = {
    id,
    name,
    from: {
      file,
      // What has no items yet is typed in.
      ...(read.items.length === 0
        ? ({ format: 'typed', at: '' } as const)
        : { format: read.format, at: read.at }),
      ...(pages !== undefined && { pages }),
      ...(follow !== undefined && { follow }),
    },
    key: inference.key ?? null,
    discriminator: inference.discriminator ?? null,
  };
  const types = itemTypes(used, source, inference.types);
  return draftAround(used, source, types, (type) =>
    itemsOf(type, read.items, source.discriminator),
  );
}

/** A source whose types were written first; its items are typed in afterwards. */
export function draftFromSchema(used: UsedIds, file: string, schema: SchemaRead): SourceDraft {
  const name = nameOf(file, '');
  const id = freeId(slug(name), used.sources);
  const { discriminator } = schema;
  const source: Source = {
    id,
    name,
    from: { file, format: 'typed', at: '' },
    key: keyByName(schema),
    discriminator,
  };
  const taken = [...used.types];
  const types = schema.types.map((shape): ItemType => {
    const typeId = freeId(slug(shape.name), taken);
    taken.push(typeId);
    const fields = shape.fields.map(givenBySchema);
    return { id: typeId, name: shape.name, source: id, value: shape.value, fields };
  });
  return draftAround(used, source, types, () => []);
}

const givenBySchema = (field: Field): Field =>
  field.type === 'record'
    ? { ...field, given: 'schema', fields: field.fields.map(givenBySchema) }
    : { ...field, given: 'schema' };

function keyByName({ types }: SchemaRead): string | null {
  const first = types[0]?.fields.find((field) => /^(?:id|key|code|sku)$/i.test(field.name));
  return first?.required === true ? first.name : null;
}

function draftAround(
  used: UsedIds,
  source: Source,
  types: readonly ItemType[],
  itemsOfType: (type: ItemType) => readonly Item[],
): SourceDraft {
  const taken = [...used.templates];
  const templates = types.map((type) => {
    const template = draftTemplate(type, itemsOfType(type), taken);
    taken.push(template.id);
    return template;
  });
  const list: List = {
    id: freeId(source.id, used.lists),
    name: source.name,
    source: source.id,
    choices: types.map((type, index) => ({
      type: type.id,
      template: templates[index]?.id ?? null,
    })),
    otherwise: templates[0]?.id ?? null,
    arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
  };
  return { source, types, templates, list };
}

/** The plainest template for a type; `items` are some of its items, to see which field names them. */
export function draftTemplate(
  type: ItemType,
  items: readonly Item[],
  takenIds: Iterable<string>,
): Template {
  const id = freeId(`${type.id}-plain`, takenIds);
  return {
    id,
    name: id.slice(type.id.length + 1),
    type: type.id,
    row: draftRow(likelyTitle(type.fields, items)),
  };
}

/** Item types as they were found, with ids that are not used. */
export function itemTypes(used: UsedIds, source: Source, found: readonly TypeFound[]): ItemType[] {
  const taken = [...used.types];
  return found.map((each) => {
    const name = typeName(source, each);
    const id = freeId(slug(name), taken);
    taken.push(id);
    const fields = each.fields.map(({ missingCount: _, ...field }) => field);
    return { id, name, source: source.id, value: each.value ?? null, fields };
  });
}

function typeName(source: Source, { value, fields }: TypeFound): string {
  const { discriminator } = source;
  if (value === undefined || discriminator === null) return value ?? singular(source.name);
  if (value === noTypeValue) return `no ${discriminator}`;
  // A number or yes alone names nothing.
  const isBare = fields.some(({ name, type }) => name === discriminator && type !== 'text');
  return isBare ? `${discriminator} ${value}` : value;
}

function itemsOf(
  type: ItemType,
  items: readonly Item[],
  discriminator: string | null,
): readonly Item[] {
  return discriminator === null
    ? items
    : items.filter((item) => typeValueOf(ownValue(item, discriminator)) === type.value);
}

/** The file's name, or the name of the list in it where the file says nothing. */
function nameOf(file: string, at: string): string {
  const base = file
    .replace(/[?#].*$/, '')
    .replace(/^.*[\\/]/, '')
    .replace(/(?:\.schema)?\.[a-z0-9]{1,8}$/i, '');
  const listName = /\.([A-Za-z_]\w*)\[\*\]$/.exec(at)?.[1];
  if (/^(?:pasted|typed|data|items|export|download|stdin|-)?$/i.test(base))
    return listName ?? 'items';
  return base.slice(0, 80);
}

function singular(name: string): string {
  if (/[^s]ies$/i.test(name)) return name.replace(/ies$/i, 'y');
  return /[^s]s$/i.test(name) ? name.slice(0, -1) : name;
}
