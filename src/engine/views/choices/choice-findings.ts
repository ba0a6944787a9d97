import type { Finding } from '../../../core/base';
import { allChosen, chosenIn, type List } from '../../../core/lists';
import { type Look, type Project, projectFindings, withId } from '../../../core/project';
import type { ItemTypes } from '../../items';

/** A look with how many items each choice takes in it; no look: the project has none. */
export interface CountsInLook {
  readonly look: Look | undefined;
  readonly counts: readonly number[];
}

/** What is wrong with the choices of a list for the items that it has. */
export function choiceFindings(list: List, counted: readonly CountsInLook[]): readonly Finding[] {
  return counted.flatMap(({ look, counts }) =>
    allChosen(list).flatMap((chosen, at) => {
      const count = counts[at] ?? 0;
      const isOpen = count > 0 && chosenIn(chosen, look?.id) === undefined;
      return isOpen ? [projectFindings.nothingChosen(list, at, { count, look: look?.name })] : [];
    }),
  );
}

/** Items that get a template which is for items of another type, where their choice asks for no type. */
export function unfitTemplates(
  project: Project,
  list: List,
  {
    chosen,
    types,
    look,
  }: {
    readonly chosen: Int16Array;
    readonly types: Pick<ItemTypes, 'types' | 'indexes'>;
    readonly look: string | undefined;
  },
): readonly Finding[] {
  const templates = allChosen(list).map((each, at) => {
    const id = list.choices[at]?.type === undefined ? chosenIn(each, look) : undefined;
    return id === undefined || id === null ? undefined : withId(project.templates, id);
  });
  const unfit = templates.map(() => new Map<string, number>());
  for (let item = 0; item < chosen.length; item += 1) {
    const at = chosen[item] ?? 0;
    const type = types.types[types.indexes[item] ?? 0];
    const template = templates[at];
    if (type === undefined || template === undefined || template.type === type) continue;
    const counts = unfit[at];
    counts?.set(type, (counts.get(type) ?? 0) + 1);
  }
  return unfit.flatMap((counts, at) =>
    [...counts].map(([type, count]) =>
      projectFindings.choiceUnfit(list, at, {
        count,
        type: withId(project.types, type)?.name ?? type,
        template: templates[at]?.id ?? '',
      }),
    ),
  );
}
