import { failed, ok } from '../../base';
import type { Arrangement, List } from '../../lists';
import { editById, withId } from '../project';
import type { Edit } from './edit';

/** The template for items of a type, or for all that no choice takes (`type` undefined). */
export function choose(list: string, type: string | undefined, template: string | null): Edit {
  const whom = type ?? 'otherwise';
  return editList(`${whom} gets ${template ?? 'no row'}`, list, (old) => {
    if (type === undefined) return { ...old, otherwise: template };
    const isThere = old.choices.some((choice) => choice.type === type);
    const choices = isThere
      ? old.choices.map((choice) => (choice.type === type ? { ...choice, template } : choice))
      : [...old.choices, { type, template }];
    return { ...old, choices };
  });
}

export function arrangeAs(list: string, arrangement: Arrangement): Edit {
  const name = arrangement.kind === 'grid' ? `Grid of ${arrangement.columns}` : 'List';
  return editList(name, list, (old) => ({ ...old, arrangement }));
}

function editList(name: string, id: string, change: (list: List) => List): Edit {
  return {
    name,
    apply(project) {
      if (withId(project.lists, id) === undefined) return failed(`There is no list "${id}".`);
      return ok({
        ...project,
        lists: editById(project.lists, id, change),
      });
    },
  };
}
