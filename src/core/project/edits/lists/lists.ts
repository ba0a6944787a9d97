import { failed, ok } from '../../../base';
import {
  type Arrangement,
  allChosen,
  type Choice,
  type List,
  type SortKey,
  templatesIn,
} from '../../../lists';
import { type Project, typesOf, withId } from '../../project';
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

/**
 * Whose items a list shows after those of its own source. Types that come in get a choice, with a
 * template that other lists choose for them; those that go take theirs with them.
 */
export function takeSources(id: string, more: readonly string[]): Edit {
  const name = more.length === 0 ? 'One source' : `Take in ${more.join(', ')}`;
  return editList(name, id, ({ more: before = [], arrangement, ...list }, project) => {
    const others = [...new Set(more)].filter((source) => source !== list.source);
    const unknown = others.find((source) => withId(project.sources, source) === undefined);
    if (unknown !== undefined) return failed(`There is no source "${unknown}".`);
    const typesIn = (sources: readonly string[]) =>
      sources.flatMap((source) => typesOf(project, source)).map((type) => type.id);
    const gone = typesIn(before.filter((source) => !others.includes(source)));
    const kept = list.choices.filter(({ type }) => type === undefined || !gone.includes(type));
    const come = typesIn(others.filter((source) => !before.includes(source)));
    const added = come
      .filter((type) => !kept.some((choice) => choice.type === type))
      .map((type) => ({ type, ...usualFor(project, type) }));
    return ok({
      ...list,
      ...(others.length > 0 && { more: others }),
      choices: [...kept, ...added],
      arrangement,
    });
  });
}

/** A template that lists choose for a type, or else any of it. */
function usualFor(project: Project, type: string): Pick<Choice, 'template'> {
  const chosen = new Set(project.lists.flatMap((list) => allChosen(list).flatMap(templatesIn)));
  const own = project.templates.filter((template) => template.type === type);
  const usual = own.find((template) => chosen.has(template.id)) ?? own[0];
  return usual === undefined ? {} : { template: usual.id };
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
