import { failed, ok } from '../../base';
import type { Arrangement, List, SortKey } from '../../lists';
import { editById, withId } from '../project';
import type { Edit } from './edit';

export function arrangeAs(id: string, arrangement: Arrangement): Edit {
  const name = arrangement.kind === 'grid' ? `Grid of ${arrangement.columns}` : 'List';
  return editList(name, id, (list) => ({ ...list, arrangement }));
}

/** By what the items of a list are sorted; nothing: they stand as they came. */
export function sortBy(id: string, order: readonly SortKey[]): Edit {
  const name =
    order.length === 0 ? 'As they came' : `Sort by ${order.map(({ by }) => by).join(', ')}`;
  return editList(name, id, ({ order: _, arrangement, ...list }) => ({
    ...list,
    ...(order.length > 0 && { order }),
    arrangement,
  }));
}

function editList(name: string, id: string, change: (list: List) => List): Edit {
  return {
    name,
    apply(project) {
      if (withId(project.lists, id) === undefined) return failed(`There is no list "${id}".`);
      return ok({ ...project, lists: editById(project.lists, id, change) });
    },
  };
}
