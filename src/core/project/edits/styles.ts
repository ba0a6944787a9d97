import { failed, ok, ownValue, type Result } from '../../base';
import type { ProjectFont } from '../../fonts';
import type { SpacingStep, TextStyle } from '../../templates';
import type { StartingSet } from '../looks-to-start-from';
import { withNameChanged, withoutName } from '../named-uses';
import { coloursOf, type Project, spacingOf, stylesOf } from '../project';
import type { Edit } from './edit';

export function addStyle(style: TextStyle): Edit {
  return {
    name: `Add style ${style.name}`,
    apply: (project) =>
      named(project, style.name) === undefined
        ? ok({ ...project, textStyles: [...stylesOf(project), style] })
        : failed(`There is a style "${style.name}" already.`),
  };
}

/** What a style says otherwise; undefined: it says nothing of that any more. */
export interface StyleChange extends Partial<Omit<TextStyle, 'name' | 'family' | 'letterSpacing'>> {
  readonly family?: string | undefined;
  readonly letterSpacing?: number | undefined;
}

const inWords: Readonly<Record<string, string>> = {
  lineHeight: 'line height',
  letterSpacing: 'letter spacing',
  family: 'font',
};

/** `joins` names the typing that it belongs to. */
export function changeStyle(name: string, change: StyleChange, joins?: string): Edit {
  const edit: Edit = {
    name: `Style ${name}: ${Object.entries(change)
      .map(
        ([property, value]) => `${ownValue(inWords, property) ?? property} ${value ?? 'as others'}`,
      )
      .join(', ')}`,
    apply(project) {
      if (named(project, name) === undefined) return failed(`There is no style "${name}".`);
      const textStyles = stylesOf(project).map((style) =>
        style.name === name ? changed(style, change) : style,
      );
      return ok({ ...project, textStyles });
    },
  };
  return joins === undefined ? edit : { ...edit, joins };
}

/** The style under another name: all parts that name it follow. */
export function renameStyle(name: string, wish: string): Edit {
  const next = wish.trim();
  return {
    name: `Name style ${name} ${next}`,
    apply(project) {
      if (next === name) return ok(project);
      if (next === '') return failed('A style needs a name.');
      if (named(project, next) !== undefined) return failed(`There is a style "${next}" already.`);
      const textStyles = stylesOf(project).map((style) =>
        style.name === name ? { ...style, name: next } : style,
      );
      return ok({ ...withNameChanged(project, 'style', name, next), textStyles });
    },
  };
}

/** What had it is drawn as the kind of part says. */
export function removeStyle(name: string): Edit {
  return {
    name: `Remove style ${name}`,
    apply(project): Result<Project, string> {
      const textStyles = stylesOf(project).filter((style) => style.name !== name);
      const [first] = textStyles;
      if (first === undefined) return failed('A project needs a style: its texts have one.');
      return ok({ ...withoutName(project, 'style', name, first.name), textStyles });
    },
  };
}

/** Fonts join the project; one of a name that is there takes its place. */
export function addFonts(added: readonly ProjectFont[]): Edit {
  return {
    name: `Add ${added.length === 1 ? 'font' : 'fonts'} ${added.map(({ name }) => name).join(', ')}`,
    apply: (project) =>
      ok({
        ...project,
        fonts: added.reduce(
          (fonts, font) => [...fonts.filter(({ name }) => name !== font.name), font],
          project.fonts ?? [],
        ),
      }),
  };
}

/** The font under another name: styles that name it follow. */
export function renameFont(name: string, wish: string): Edit {
  const next = wish.trim();
  return {
    name: `Name font ${name} ${next}`,
    apply(project) {
      if (next === name) return ok(project);
      if (next === '') return failed('A font needs a name.');
      const { fonts = [] } = project;
      if (fonts.some((font) => font.name === next))
        return failed(`There is a font "${next}" already.`);
      return ok({
        ...project,
        fonts: fonts.map((font) => (font.name === name ? { ...font, name: next } : font)),
        ...inFamily(project, name, next),
      });
    },
  };
}

/** Styles that name it are drawn in the faces that every project has. */
export function removeFont(name: string): Edit {
  return {
    name: `Remove font ${name}`,
    apply(project) {
      const { fonts = [], ...others } = project;
      const left = fonts.filter((font) => font.name !== name);
      const kept = left.length > 0 ? { ...project, fonts: left } : others;
      return ok({ ...kept, ...inFamily(project, name, undefined) });
    },
  };
}

/** Styles with another font in the place of one. */
function inFamily({ textStyles }: Project, family: string, next: string | undefined) {
  return (
    textStyles !== undefined && {
      textStyles: textStyles.map((style) =>
        style.family === family ? changed(style, { family: next }) : style,
      ),
    }
  );
}

function changed(style: TextStyle, change: StyleChange): TextStyle {
  const { family, letterSpacing, ...others } = { ...style, ...change };
  return {
    ...others,
    ...(family !== undefined && { family }),
    ...(letterSpacing !== undefined && { letterSpacing }),
  };
}

const named = (project: Project, name: string): TextStyle | undefined =>
  stylesOf(project).find((style) => style.name === name);

/** Styles and colours look as a set has those of their names; what it has no name for stays as it is. */
export function takeSet({ name, styles, colours }: StartingSet): Edit {
  return {
    name: `Look like ${name}`,
    apply: (project) =>
      ok({
        ...project,
        textStyles: inPlace(stylesOf(project), styles),
        colours: inPlace(coloursOf(project), colours),
      }),
  };
}

/** Looks that a file of design tokens has, each in the place of what has its name; the file is kept. */
export function takeTokens(
  looks: Omit<StartingSet, 'name' | 'about'> & { readonly spacing: readonly SpacingStep[] },
  file: string,
): Edit {
  return {
    name: 'Take design tokens',
    apply: (project) =>
      ok({
        ...project,
        textStyles: inPlace(stylesOf(project), looks.styles),
        colours: inPlace(coloursOf(project), looks.colours),
        spacing: inPlace(spacingOf(project), looks.spacing),
        tokenFile: file,
      }),
  };
}

const inPlace = <T extends { readonly name: string }>(
  own: readonly T[],
  others: readonly T[],
): readonly T[] => [
  ...own.map((each) => others.find(({ name }) => name === each.name) ?? each),
  ...others.filter(({ name }) => own.every((each) => each.name !== name)),
];
