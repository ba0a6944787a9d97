import { failed, ok, type Result } from '../../base';
import { withColourNamed } from '../../lists';
import type { Colour } from '../../templates';
import { withNameChanged, withoutName } from '../named-uses';
import { coloursOf, type Project, stylesOf } from '../project';
import type { Edit } from './edit';

export function addColour(colour: Colour): Edit {
  return {
    name: `Add colour ${colour.name}`,
    apply: (project) =>
      named(project, colour.name) === undefined
        ? ok({ ...project, colours: [...coloursOf(project), colour] })
        : failed(`There is a colour "${colour.name}" already.`),
  };
}

/** `joins` names the picking that it belongs to. */
export function changeColour(
  name: string,
  change: Partial<Omit<Colour, 'name'>>,
  joins: string,
): Edit {
  return {
    name: `Colour ${name} ${Object.values(change).join(', ')}`,
    joins,
    apply(project) {
      if (named(project, name) === undefined) return failed(`There is no colour "${name}".`);
      const colours = coloursOf(project).map((colour) =>
        colour.name === name ? { ...colour, ...change } : colour,
      );
      return ok({ ...project, colours });
    },
  };
}

/** The colour under another name: parts and text styles that name it follow. */
export function renameColour(name: string, wish: string): Edit {
  const next = wish.trim();
  return {
    name: `Name colour ${name} ${next}`,
    apply(project) {
      if (next === name) return ok(project);
      if (next === '') return failed('A colour needs a name.');
      if (named(project, next) !== undefined) return failed(`There is a colour "${next}" already.`);
      const colours = coloursOf(project).map((colour) =>
        colour.name === name ? { ...colour, name: next } : colour,
      );
      const renamed = withNameChanged(project, 'colour', name, next);
      return ok({ ...withListsNamed(withStylesNamed(renamed, name, next), name, next), colours });
    },
  };
}

/** What had it is drawn as its kind says; text styles take the first of the others. */
export function removeColour(name: string): Edit {
  return {
    name: `Remove colour ${name}`,
    apply(project): Result<Project, string> {
      const colours = coloursOf(project).filter((colour) => colour.name !== name);
      const [first] = colours;
      if (first === undefined) return failed('A project needs a colour: its texts have one.');
      const without = withoutName(project, 'colour', name, first.name);
      const styled = withStylesNamed(without, name, first.name);
      return ok({ ...withListsNamed(styled, name, undefined), colours });
    },
  };
}

/** What lists draw in a colour, in another; undefined: as lists that name none. */
const withListsNamed = (project: Project, name: string, next: string | undefined): Project => ({
  ...project,
  lists: project.lists.map((list) => ({
    ...list,
    arrangement: withColourNamed(list.arrangement, name, next),
  })),
});

function withStylesNamed(project: Project, name: string, next: string): Project {
  const isNamed = stylesOf(project).some(({ colour }) => colour === name);
  return {
    ...project,
    ...(isNamed && {
      textStyles: stylesOf(project).map((style) =>
        style.colour === name ? { ...style, colour: next } : style,
      ),
    }),
  };
}

const named = (project: Project, name: string): Colour | undefined =>
  coloursOf(project).find((colour) => colour.name === name);
