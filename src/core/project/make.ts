import { freeId, slug } from '../base';
import type { Inference, Item, ItemsRead } from '../items';
import { likelyTitle } from '../items';
import { draftRow, type Template } from '../templates';
import type { Field } from '../values';
import { formatVersion, type ItemType, type Project } from './project';

/** A whole project for items that were just read: their types, the plainest template for each, a list. */
export function makeProject(
  file: string,
  read: Omit<ItemsRead, 'findings'>,
  inference: Inference,
): Project {
  const name = nameOf(file, read.at);
  const source = slug(name);
  const types = itemTypes(inference, name, source);
  const templates = types.map((type) =>
    draftTemplate(type, itemsOf(type, read.items, inference), []),
  );
  return {
    yarncard: formatVersion,
    name,
    sources: [
      {
        id: source,
        name,
        from: { file, format: read.format, at: read.at },
        key: inference.key ?? null,
        discriminator: inference.discriminator ?? null,
      },
    ],
    types,
    templates,
    lists: [
      {
        id: source,
        name,
        source,
        choices: types.map((type, index) => ({
          type: type.id,
          template: templates[index]?.id ?? null,
        })),
        otherwise: templates[0]?.id ?? null,
        arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
      },
    ],
    pictures: [],
  };
}

/** The plainest template for a type; `items` are some of its items, to see which field names them. */
export function draftTemplate(
  type: ItemType,
  items: readonly Item[],
  takenIds: readonly string[],
): Template {
  const id = freeId(`${type.id}-plain`, takenIds);
  return {
    id,
    name: id.slice(type.id.length + 1),
    type: type.id,
    row: draftRow(likelyTitle(type.fields, items)),
  };
}

function itemTypes(inference: Inference, name: string, source: string): ItemType[] {
  const taken: string[] = [];
  return inference.types.map((found) => {
    const typeName = found.value ?? singular(name);
    const id = freeId(slug(typeName), taken);
    taken.push(id);
    return {
      id,
      name: typeName,
      source,
      value: found.value ?? null,
      fields: found.fields.map(withoutEvidence),
    };
  });
}

function withoutEvidence({
  missingCount: _,
  ...field
}: Field & { readonly missingCount: number }): Field {
  return field;
}

function itemsOf(type: ItemType, items: readonly Item[], inference: Inference): readonly Item[] {
  const { discriminator } = inference;
  if (discriminator === undefined) return items;
  return items.filter((item) => item[discriminator] === type.value);
}

/** The file's name, or the name of the list in it where the file says nothing. */
function nameOf(file: string, at: string): string {
  const base = file.replace(/^.*[\\/]/, '').replace(/\.[a-z0-9]{1,8}$/i, '');
  const listName = /\.([A-Za-z_]\w*)\[\*\]$/.exec(at)?.[1];
  if (/^(?:pasted|typed|data|items|export|download|stdin|-)?$/i.test(base))
    return listName ?? 'items';
  return base.slice(0, 80);
}

function singular(name: string): string {
  if (/[^s]ies$/i.test(name)) return name.replace(/ies$/i, 'y');
  return /[^s]s$/i.test(name) ? name.slice(0, -1) : name;
}
