import { failed, ok } from '../../base';
import type { TypeFound } from '../../items';
import { listSources } from '../../lists';
import { draftTemplate, itemTypes } from '../make';
import { type ItemType, type Origin, type Project, type Source, typesOf, withId } from '../project';
import { noIds, type UsedIds, withIdsOf } from '../used-ids';
import { isTypeRelied } from '../uses';
import type { Edit } from './edit';
import { mergedFields } from './merge-fields';

export interface Imported {
  /** Where it is undefined, the items are as they were. */
  readonly revision: number | undefined;
  readonly from: Origin;
  readonly found: readonly TypeFound[];
}

/** Items came again: what is known of the types grows with them, what a person decided stays. */
export function importAgain(id: string, { revision, from, found }: Imported): Edit {
  return {
    name: `Import ${id} again`,
    apply(project, used) {
      const grown = typesGrow(id, found).apply(project, used);
      if (!grown.ok) return grown;
      const sources = grown.value.sources.map((each) =>
        each.id === id
          ? {
              ...each,
              ...(revision !== undefined && { revision }),
              from: each.from.file === from.file ? { ...each.from, ...from } : from,
            }
          : each,
      );
      return ok({ ...grown.value, sources });
    },
  };
}

/** Fields and types that were not seen before join those that are known. */
export function typesGrow(id: string, found: readonly TypeFound[]): Edit {
  return {
    name: `New fields in ${id}`,
    joins: `grow ${id}`,
    apply(project, used = noIds) {
      const source = withId(project.sources, id);
      if (source === undefined) return failed(`There is no source "${id}".`);
      const types = project.types.map((type) => {
        const now = found.find((each) => (each.value ?? null) === type.value);
        return type.source !== id || now === undefined ? type : grown(project, type, now);
      });
      const known = new Set(typesOf(project, id).map((type) => type.value));
      const fresh = found.filter((each) => !known.has(each.value ?? null));
      if (fresh.length === 0 && types.every((type, at) => type === project.types[at]))
        return ok(project);
      return ok(withNewTypes({ ...project, types }, source, fresh, used));
    },
  };
}

function grown(project: Project, type: ItemType, now: TypeFound): ItemType {
  const fields = mergedFields(type, now.fields, (path) => isTypeRelied(project, type, path));
  return JSON.stringify(fields) === JSON.stringify(type.fields) ? type : { ...type, fields };
}

function withNewTypes(
  project: Project,
  source: Source,
  found: readonly TypeFound[],
  used: UsedIds,
): Project {
  if (found.length === 0) return project;
  const taken = withIdsOf(used, project);
  const types = itemTypes(taken, source, found);
  const templates = types.map((type) => draftTemplate(type, [], taken.templates));
  return {
    ...project,
    types: [...project.types, ...types],
    templates: [...project.templates, ...templates],
    lists: project.lists.map((list) => {
      if (!listSources(list).includes(source.id)) return list;
      const added = types.map((type, at) => ({
        type: type.id,
        template: templates[at]?.id ?? null,
      }));
      return { ...list, choices: [...list.choices, ...added] };
    }),
  };
}
