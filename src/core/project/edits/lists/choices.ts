import { failed, freeId, ok, slug } from '../../../base';
import {
  type Choice,
  type Chosen,
  choosing,
  chosenIn,
  type List,
  mapChosen,
  withChosen,
} from '../../../lists';
import { editById, type Look, type Project, withId } from '../../project';
import { noIds, withIdsOf } from '../../used-ids';
import type { Edit } from '../edit';
import { editList } from './edit-list';

/** A choice by its place in the list, from 0; one past the last: what all others get. */
export interface ChoicePlace {
  readonly list: string;
  readonly at: number;
}

/** In one look, or in all. */
type In = { readonly look: string } | 'all looks';

/** What a choice gives; null: it leaves items out; undefined: nothing is chosen. */
export function choose(
  { list, at }: ChoicePlace,
  where: In,
  template: string | null | undefined,
): Edit {
  const name = `Choose ${template ?? (template === null ? 'no row' : 'nothing')}`;
  return editList(name, list, (old, project) => {
    if (at < 0 || at > old.choices.length) return failed(noChoice(at));
    const wrong = unknownIn(project, where, template);
    if (wrong !== undefined) return failed(wrong);
    const change = (chosen: Chosen | undefined) => chosenWith(project, chosen, where, template);
    if (at === old.choices.length) return ok(withChosen(old, change(old.otherwise)));
    return ok(
      withChoices(
        old,
        old.choices.map((each, place) =>
          place === at ? choosing(each, change(each.template)) : each,
        ),
      ),
    );
  });
}

function unknownIn(
  project: Project,
  where: In,
  template: string | null | undefined,
): string | undefined {
  if (where !== 'all looks' && !hasLook(project, where.look))
    return `There is no look "${where.look}".`;
  const isThere = typeof template !== 'string' || withId(project.templates, template) !== undefined;
  return isThere ? undefined : `There is no template "${template}".`;
}

const hasLook = ({ looks = [] }: Project, id: string): boolean => withId(looks, id) !== undefined;

function chosenWith(
  { looks = [] }: Project,
  chosen: Chosen | undefined,
  where: In,
  template: string | null | undefined,
): Chosen | undefined {
  if (where === 'all looks') return template;
  return gathered(looks.map(({ id }) => [id, id === where.look ? template : chosenIn(chosen, id)]));
}

/** One for all looks where they do not differ. */
function gathered(
  ofLooks: readonly (readonly [look: string, template: string | null | undefined])[],
): Chosen | undefined {
  const [first] = ofLooks;
  if (ofLooks.every(([, template]) => template === first?.[1])) return first?.[1];
  const own = ofLooks.flatMap(([look, template]): [string, string | null][] =>
    template === undefined ? [] : [[look, template]],
  );
  return Object.fromEntries(own);
}

/** What a choice asks. */
export type Asked = Pick<Choice, 'type' | 'when'>;

/** One more choice, before another one, with nothing chosen; usually as the last. */
export function addChoice(list: string, asked: Asked, before?: number): Edit {
  return editList(`Add a choice ${inWords(asked)}`, list, (old, project) => {
    const wrong = whyNotAsked(project, asked);
    if (wrong !== undefined) return failed(wrong);
    return ok(withChoices(old, old.choices.toSpliced(before ?? old.choices.length, 0, asked)));
  });
}

/** What a choice asks from now on. `joins`: names the typing that it belongs to. */
export function ask({ list, at }: ChoicePlace, asked: Asked, joins?: string): Edit {
  const edit = editList(`Choice ${at + 1} takes ${inWords(asked)}`, list, (old, project) => {
    const own = old.choices[at];
    const wrong = own === undefined ? noChoice(at) : whyNotAsked(project, asked);
    if (own === undefined || wrong !== undefined) return failed(wrong ?? '');
    const { type: _, when: __, ...rest } = own;
    return ok(withChoices(old, old.choices.with(at, { ...asked, ...rest })));
  });
  return joins === undefined ? edit : { ...edit, joins };
}

function whyNotAsked({ types }: Project, { type, when }: Asked): string | undefined {
  if (type !== undefined && withId(types, type) === undefined) return `There is no type "${type}".`;
  return when?.trim() === ''
    ? 'A condition needs an expression. Without one, all items are taken.'
    : undefined;
}

const inWords = ({ type, when }: Asked): string =>
  [type, when].filter((each) => each !== undefined).join(', ') || 'all items';

/** A choice is tried earlier or later. */
export function moveChoice({ list, at }: ChoicePlace, to: number): Edit {
  return editList(`Choice ${at + 1} to place ${to + 1}`, list, (old) => {
    const own = old.choices[at];
    if (own === undefined) return failed(noChoice(at));
    if (to < 0 || to >= old.choices.length) return failed('It is tried there already.');
    return ok(withChoices(old, old.choices.toSpliced(at, 1).toSpliced(to, 0, own)));
  });
}

export function removeChoice({ list, at }: ChoicePlace): Edit {
  return editList(`Remove choice ${at + 1}`, list, (old) =>
    old.choices[at] === undefined
      ? failed(noChoice(at))
      : ok(withChoices(old, old.choices.toSpliced(at, 1))),
  );
}

const noChoice = (at: number): string => `There is no choice ${at + 1}.`;

const withChoices = (list: List, choices: readonly Choice[]): List => ({ ...list, choices });

/** What the look is called that was there before a project had looks. */
const firstName = 'usual';

/** One more look, in which all choices choose what they do in the first; the first one names the one before, too. */
export function addLook(wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Add look ${name}`,
    apply(project, used = noIds) {
      const { looks = [] } = project;
      if (name === '') return failed('A look needs a name.');
      if (looks.some((look) => look.name === name))
        return failed(`There is a look “${name}” already.`);
      const before = looks.length === 0 && name !== firstName ? [lookOf(firstName, [])] : looks;
      const taken = [...withIdsOf(used, project).looks, ...before.map(({ id }) => id)];
      const added = lookOf(name, taken);
      return ok({
        ...project,
        lists: project.lists.map((list) =>
          mapChosen(list, (chosen) => alsoIn(chosen, before[0]?.id, added.id)),
        ),
        looks: [...before, added],
      });
    },
  };
}

const lookOf = (name: string, taken: readonly string[]): Look => ({
  id: freeId(slug(name), taken),
  name,
});

/** What differs by look says something for the new one, too. */
function alsoIn(
  chosen: Chosen | undefined,
  like: string | undefined,
  look: string,
): Chosen | undefined {
  if (typeof chosen !== 'object' || chosen === null) return chosen;
  const template = chosenIn(chosen, like);
  return template === undefined ? chosen : { ...chosen, [look]: template };
}

export function renameLook(id: string, wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Name look ${id} ${name}`,
    apply(project) {
      const { looks = [] } = project;
      if (withId(looks, id) === undefined) return failed(noLook(id));
      if (name === '') return failed('A look needs a name.');
      if (looks.some((look) => look.id !== id && look.name === name))
        return failed(`There is a look “${name}” already.`);
      return ok({ ...project, looks: editById(looks, id, (look) => ({ ...look, name })) });
    },
  };
}

/** A look goes, with what was chosen in it; where the last goes, what it chose stays. */
export function removeLook(id: string): Edit {
  return {
    name: `Remove look ${id}`,
    apply(project) {
      const { looks: before = [], ...rest } = project;
      if (withId(before, id) === undefined) return failed(noLook(id));
      const looks = before.filter((look) => look.id !== id);
      const left = (chosen: Chosen | undefined) =>
        looks.length === 0
          ? chosenIn(chosen, id)
          : gathered(looks.map((look) => [look.id, chosenIn(chosen, look.id)]));
      const lists = project.lists.map((list) => mapChosen(list, left));
      return ok({ ...rest, lists, ...(looks.length > 0 && { looks }) });
    },
  };
}

const noLook = (id: string): string => `There is no look "${id}".`;
