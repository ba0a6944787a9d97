import { ownValue } from '../base';
import {
  type Bound,
  fieldsAt,
  isBound,
  kindOfPart,
  mapExpressions,
  mapParts,
  type Part,
  type Property,
  partsOf,
  propertyOf,
  withProperty,
} from '../templates';
import { type Environment, type Field, makeExpression, resultsOf } from '../values';
import { environmentOf } from './environment';
import { type Project, withId } from './project';
import { shownTemplates, type WrittenRow, withRows } from './rows/rows';

/** Where a part names something of the project: by itself, or as what an expression may give. */
export interface NamedUse {
  readonly template: string;
  readonly part: string;
  readonly property: string;
}

/** What parts name: text styles, colours, spacing steps. */
export type NamedKind = 'style' | 'colour' | 'spacing';

/** All parts that name something. */
export function usesOfName(project: Project, kind: NamedKind, name: string): readonly NamedUse[] {
  return shownTemplates(project).flatMap((template) =>
    [...partsOf(template.row)].flatMap((part) =>
      propertiesNaming(part, kind).flatMap((property): NamedUse[] =>
        isNamed(
          saidOrDefault(part, property),
          name,
          worldAt(
            project,
            { ...template, fields: withId(project.types, template.type)?.fields },
            part.id,
            property,
          ),
        )
          ? [{ template: template.id, part: part.id, property }]
          : [],
      ),
    ),
  );
}

/** The names of a kind, among these, that parts of a row name. */
export function namesIn(
  project: Project,
  written: WrittenRow,
  kind: NamedKind,
  names: readonly string[],
): readonly string[] {
  const said = [...partsOf(written.row)].flatMap((part) =>
    propertiesNaming(part, kind).map((property) => ({
      value: saidOrDefault(part, property),
      world: worldAt(project, written, part.id, property),
    })),
  );
  return names.filter((name) => said.some(({ value, world }) => isNamed(value, name, world)));
}

function isNamed(said: ReturnType<typeof propertyOf>, name: string, world: World): boolean {
  if (!isBound(said)) return said === name;
  let isFound = false;
  mapExpressions(said, (expr) => {
    isFound ||= literalsIn(expr, name, world).length > 0;
    return expr;
  });
  return isFound;
}

/** A part that says nothing names what its kind does. */
const saidOrDefault = (part: Part, property: string): ReturnType<typeof propertyOf> =>
  propertyOf(part, property) ?? ownValue(kindOfPart(part).properties, property)?.default;

/** Every row names it otherwise, where only the kind of part names it, too. */
export const withNameChanged = (
  project: Project,
  kind: NamedKind,
  from: string,
  to: string,
): Project =>
  withRows(project, (written) =>
    mapParts(written.row, (part) =>
      propertiesNaming(part, kind).reduce((made, property) => {
        const said = saidOrDefault(part, property);
        if (said === from) return withProperty(made, property, to);
        if (!isBound(said)) return made;
        const world = worldAt(project, written, part.id, property);
        return withProperty(made, property, renamedIn(said, [from, to], world));
      }, part),
    ),
  );

/** No part names it by itself any more: it is as its kind says, or of that other name if its kind says this one. */
export const withoutName = (
  project: Project,
  kind: NamedKind,
  name: string,
  other: string,
): Project =>
  withRows(project, ({ row }) =>
    mapParts(row, (part) =>
      propertiesNaming(part, kind).reduce((made, property) => {
        if (saidOrDefault(part, property) !== name) return made;
        const isOfKind = ownValue(kindOfPart(part).properties, property)?.default === name;
        return withProperty(made, property, isOfKind ? other : undefined);
      }, part),
    ),
  );

const renamedIn = (bound: Bound, [from, to]: readonly [string, string], world: World): Bound =>
  mapExpressions<Bound>(bound, (expr) =>
    literalsIn(expr, from, world).reduceRight(
      (text, span) => `${text.slice(0, span.from)}${JSON.stringify(to)}${text.slice(span.to)}`,
      expr,
    ),
  );

const takes = (declared: Property, kind: NamedKind): boolean =>
  kind === 'spacing'
    ? declared.kind === 'padding' || (declared.kind === 'number' && declared.takesSteps === true)
    : declared.kind === kind;

/** The properties that may name something. */
export const propertiesNaming = (part: Part, kind: NamedKind): readonly string[] =>
  Object.entries(kindOfPart(part).properties).flatMap(([property, declared]) =>
    takes(declared, kind) ? [property] : [],
  );

/** What expressions of a property are held against, made when it is wanted. */
interface World {
  readonly fields: () => readonly Field[];
  readonly environment: () => Environment;
}

const worldAt = (
  project: Project,
  { row, fields = [] }: Pick<WrittenRow, 'row' | 'fields'>,
  part: string,
  property: string,
): World => ({
  fields: () => fieldsAt(row, { part, property }, fields),
  environment: () => environmentOf(project),
});

/** Where an expression gives a word as one of its results, in the order of its text. */
function literalsIn(expr: string, word: string, { fields, environment }: World) {
  // Without a literal text none is given.
  if (!/["'`]/.test(expr)) return [];
  const { checked } = makeExpression(expr, fields(), 'any', environment());
  return (checked === undefined ? [] : resultsOf(checked))
    .filter((result) => result.kind === 'literal' && result.value === word)
    .sort((one, other) => one.from - other.from);
}
