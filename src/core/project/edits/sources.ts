import { failed, freeId, ok } from '../../base';
import type { Key, TypeFound } from '../../items';
import {
  type Chosen,
  choosing,
  type List,
  listSources,
  mapStanding,
  mapTemplates,
  withChosen,
} from '../../lists';
import type { Template } from '../../templates';
import { type Field, fieldsOfAll, withComputedSettled } from '../../values';
import { itemTypes, type SourceDraft } from '../make';
import {
  editById,
  type ItemType,
  type Origin,
  type Project,
  type Source,
  typesOf,
  withId,
} from '../project';
import { noIds, type UsedIds, withIdsOf } from '../used-ids';
import type { Edit } from './edit';

/** The field or fields that tell a source's items apart; null: their position. */
export function setKey(source: string, key: Key): Edit {
  const words =
    key === null ? 'No key' : `Key is ${typeof key === 'string' ? key : key.join(', ')}`;
  return editSource(words, source, (old) => ({ ...old, key }));
}

/** How the items of an address go on: page after page, and again and again. */
export function setGoesOn(source: string, goesOn: Pick<Partial<Origin>, 'pages' | 'follow'>): Edit {
  return editSource('Fetch otherwise', source, (old) => {
    const { pages: _, follow: __, ...from } = old.from;
    return { ...old, from: { ...from, ...goesOn } };
  });
}

export function renameSource(source: string, wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Name the source ${name}`,
    apply(project) {
      if (name === '') return failed('A source needs a name.');
      const renamed = editSource('', source, (old) => ({ ...old, name })).apply(project);
      if (!renamed.ok) return renamed;
      const lists = renamed.value.lists.map((list) =>
        list.source === source && list.id === source ? { ...list, name } : list,
      );
      return ok({ ...renamed.value, lists });
    },
  };
}

export function addSource({ source, types, templates, list }: SourceDraft): Edit {
  return {
    name: `Add source ${source.name}`,
    apply: (project, used = noIds) => {
      if (withIdsOf(used, project).sources.has(source.id))
        return failed(`The project has or had a source "${source.id}". Bring it once more.`);
      return ok({
        ...project,
        sources: [...project.sources, source],
        types: [...project.types, ...types],
        templates: [...project.templates, ...templates],
        lists: [...project.lists, list],
      });
    },
  };
}

/** Another source in the place of one, with all that shows it. */
export function replaceSource(id: string, draft: SourceDraft): Edit {
  return {
    name: `Read ${id} at ${draft.source.from.at}`,
    apply(project, used) {
      const added = addSource(draft).apply(project, used);
      return added.ok ? removeSource(id).apply(added.value) : added;
    },
  };
}

/** A source with its types, their templates and the lists that show it. */
export function removeSource(id: string): Edit {
  return {
    name: `Remove source ${id}`,
    apply(project) {
      if (project.sources.length < 2) return failed('A project needs a source.');
      const types = new Set(typesOf(project, id).map((type) => type.id));
      const gone = new Set(
        project.templates.flatMap(({ id: own, type }) => (types.has(type) ? [own] : [])),
      );
      return ok({
        ...project,
        sources: project.sources.filter((source) => source.id !== id),
        types: project.types.filter((type) => !types.has(type.id)),
        templates: project.templates.filter((template) => !gone.has(template.id)),
        lists: project.lists
          .filter((list) => list.source !== id)
          .map((list) => withoutSource(list, id, types))
          .map((list) => mapStanding(list, (own) => (gone.has(own) ? undefined : own))),
      });
    },
  };
}

/** A list that shows others' items, too, goes on with these. */
function withoutSource(list: List, source: string, types: ReadonlySet<string>): List {
  const { inserts, more, choices, arrangement, ...rest } = list;
  const others = (more ?? []).filter((each) => each !== source);
  return {
    ...rest,
    ...(others.length > 0 && { more: others }),
    choices: choices.filter(({ type }) => type === undefined || !types.has(type)),
    ...(inserts !== undefined && inserts.source !== source && { inserts }),
    arrangement,
  };
}

/** The items of a source changed: by hand, by being made, by a set that was added. */
export function itemsChanged(source: string, revision: number, name: string): Edit {
  return editSource(name, source, (old) => ({ ...old, revision }));
}

/** Other items of the same shape beside the source's own. */
export function addSet(source: string, set: string, name: string, revision: number): Edit {
  return editSource(`Add set ${name}`, source, (old) => {
    const others = (old.sets ?? []).filter((each) => each.id !== set);
    return { ...old, revision, sets: [...others, { id: set, name }] };
  });
}

export function removeSet(source: string, set: string): Edit {
  return editSource('Remove set', source, (old) => {
    const { sets = [], ...rest } = old;
    const left = sets.filter((each) => each.id !== set);
    return left.length === 0 ? rest : { ...rest, sets: left };
  });
}

/** One type becomes several, told apart by a field; each gets the templates that the one had. */
export function splitTypes(id: string, field: string, found: readonly TypeFound[]): Edit {
  return {
    name: `Tell types apart by ${field}`,
    apply(project, used = noIds) {
      const source = withId(project.sources, id);
      const before = typesOf(project, id);
      const [old] = before;
      if (source === undefined || old === undefined) return failed(`There is no source "${id}".`);
      if (before.length > 1) return failed('The types are told apart already. Merge them first.');
      if (found.length < 2) return failed(`${field} does not tell several types apart.`);
      const others = project.types.filter((type) => type.source !== id);
      const taken = withIdsOf(used, project);
      const types = itemTypes(taken, { ...source, discriminator: field }, found).map((type) => ({
        ...type,
        fields: withComputedSettled([
          ...known(type.fields, old.fields),
          ...old.fields.filter((field) => field.expr !== undefined),
        ]),
        ...(old.leftOut !== undefined && { leftOut: old.leftOut }),
      }));
      return ok(
        splitProject(
          { ...project, types: [...others, ...types] },
          { source, old, types, field, used: taken },
        ),
      );
    },
  };
}

/** Fields of a part of the items, as a person had them for all. */
const known = (found: readonly Field[], old: readonly Field[]): readonly Field[] =>
  found.flatMap((field) => {
    const before = old.find((each) => (each.from ?? each.name) === field.name);
    return before === undefined ? [] : [{ ...before, required: field.required }];
  });

interface Split {
  readonly source: Source;
  readonly old: ItemType;
  readonly types: readonly ItemType[];
  readonly field: string;
  readonly used: UsedIds;
}

function splitProject(project: Project, { source, old, types, field, used }: Split): Project {
  const own = project.templates.filter((template) => template.type === old.id);
  const taken = [...used.templates];
  const copies = new Map<string, readonly Template[]>();
  for (const type of types) {
    const made = own.map((template) => {
      const copyId = freeId(`${type.id}-${template.name}`, taken);
      taken.push(copyId);
      return { ...template, id: copyId, type: type.id };
    });
    copies.set(type.id, made);
  }
  const copyOf = (type: string, template: string) => {
    const at = own.findIndex((each) => each.id === template);
    return copies.get(type)?.[at]?.id ?? null;
  };
  return {
    ...project,
    sources: project.sources.map((each) =>
      each.id === source.id ? { ...each, discriminator: field } : each,
    ),
    templates: [
      ...project.templates.filter((template) => template.type !== old.id),
      ...[...copies.values()].flat(),
    ],
    lists: project.lists.map((all) => {
      const isOwn = (template: string) => own.some((each) => each.id === template);
      const list = mapStanding(all, (template) =>
        isOwn(template) ? (copyOf(types[0]?.id ?? '', template) ?? undefined) : template,
      );
      if (!listSources(list).includes(source.id)) return list;
      const inCopies = (type: ItemType | undefined, chosen: Chosen | undefined) =>
        mapTemplates(chosen, (template) => copyOf(type?.id ?? '', template));
      // What was chosen for all items is, for each type, with its own copies.
      const ofType = list.choices.filter(({ type }) => type === undefined || type === old.id);
      const asked = ofType.some(({ when }) => when === undefined)
        ? ofType
        : [...ofType, choosing({}, list.otherwise)];
      const choices = asked.flatMap((choice) =>
        types.map((type) =>
          choosing({ ...choice, type: type.id }, inCopies(type, choice.template)),
        ),
      );
      return withChosen({ ...list, choices }, inCopies(types[0], list.otherwise));
    }),
  };
}

/** All types of a source become one that has the fields of all. */
export function mergeTypes(id: string): Edit {
  return {
    name: 'Merge the types',
    apply(project) {
      const source = withId(project.sources, id);
      const [first, ...others] = typesOf(project, id);
      if (source === undefined || first === undefined) return failed(`There is no source "${id}".`);
      if (others.length === 0) return failed('There is one type only.');
      const all = [first, ...others];
      const ids = new Set(all.map((type) => type.id));
      const merged: ItemType = {
        ...first,
        value: null,
        fields: withComputedSettled(fieldsOfAll(all)),
      };
      return ok({
        ...project,
        sources: editById(project.sources, id, (each) => ({ ...each, discriminator: null })),
        types: project.types.flatMap((type) => {
          if (type.id === first.id) return [merged];
          return ids.has(type.id) ? [] : [type];
        }),
        templates: project.templates.map((template) =>
          ids.has(template.type) ? { ...template, type: first.id } : template,
        ),
        lists: project.lists.map((list) => {
          if (!listSources(list).includes(id)) return list;
          // Without a condition the first type's choice is that of all.
          const choices = list.choices.flatMap((choice) => {
            const { type, when } = choice;
            if (type === undefined || type === first.id) return [choice];
            return when === undefined ? [] : [{ ...choice, type: first.id }];
          });
          return { ...list, choices };
        }),
      });
    },
  };
}

function editSource(name: string, id: string, change: (source: Source) => Source): Edit {
  return {
    name,
    apply(project) {
      if (withId(project.sources, id) === undefined) return failed(`There is no source "${id}".`);
      return ok({
        ...project,
        sources: editById(project.sources, id, change),
      });
    },
  };
}
