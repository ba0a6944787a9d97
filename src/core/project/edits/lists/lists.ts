import { failed, ok } from '../../../base';
import type { Arrangement, List, SortKey } from '../../../lists';
import { withId } from '../../project';
import type { Edit } from '../edit';
import { editList } from './edit-list';

export function arrangeAs(id: string, arrangement: Arrangement): Edit {
  return editList(nameOf(arrangement), id, (list) => ok({ ...list, arrangement }));
}

function nameOf(arrangement: Arrangement): string {
  switch (arrangement.kind) {
    case 'list':
      return 'List';
    case 'grid':
      return `Grid of ${inWords(arrangement.columns)}`;
    case 'strip':
      return 'Strip';
  }
}

const inWords = (columns: number | { readonly least: number }): string =>
  typeof columns === 'number' ? String(columns) : `cells from ${columns.least} px`;

/** By what the items of a list are sorted; nothing: they stand as they came. */
export function sortBy(id: string, order: readonly SortKey[]): Edit {
  const name =
    order.length === 0 ? 'As they came' : `Sort by ${order.map(({ by }) => by).join(', ')}`;
  return editList(name, id, ({ order: _, arrangement, ...list }) =>
    ok({ ...list, ...(order.length > 0 && { order }), arrangement }),
  );
}

/** The same list once more, under an id and a name of its own, right after it. */
export function duplicateList(id: string, next: Pick<List, 'id' | 'name'>): Edit {
  return {
    name: `Duplicate list ${id}`,
    apply(project) {
      const at = project.lists.findIndex((list) => list.id === id);
      const own = project.lists[at];
      if (own === undefined) return failed(gone(id));
      if (withId(project.lists, next.id) !== undefined)
        return failed(`There is a list "${next.id}" already.`);
      return ok({ ...project, lists: project.lists.toSpliced(at + 1, 0, { ...own, ...next }) });
    },
  };
}

export function renameList(id: string, wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Name list ${name}`,
    apply(project) {
      if (name === '') return failed('A list needs a name.');
      return editList('', id, (list) => ok({ ...list, name })).apply(project);
    },
  };
}

export function removeList(id: string): Edit {
  return {
    name: `Remove list ${id}`,
    apply(project) {
      const own = withId(project.lists, id);
      if (own === undefined) return failed(gone(id));
      if (!project.lists.some((list) => list !== own && list.source === own.source))
        return failed('It is the only list that shows its items.');
      return ok({ ...project, lists: project.lists.filter((list) => list !== own) });
    },
  };
}

const gone = (id: string): string => `There is no list "${id}".`;
