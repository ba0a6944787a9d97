import { keyFields } from '../items';
import { type Project, type Source, typesOf } from './project';

/** The names that items of one type were found to have. */
interface ShapeFound {
  readonly fields: readonly { readonly name: string }[];
}

/**
 * Whether items that were read from another place are of the types that a source has already: each
 * found type shares at least half of its fields with one of them, and the other way round, and the
 * key's fields are there. Then what shows them stays.
 */
export function isShapeKnown(
  project: Project,
  source: Source,
  found: readonly ShapeFound[],
): boolean {
  const types = typesOf(project, source.id).map(({ fields }) =>
    fields.filter(({ expr }) => expr === undefined),
  );
  const isThere = (name: string) =>
    found.every(({ fields }) => fields.some((f) => f.name === name));
  const rawNames = types.flat().map(({ name, from }) => ({ name, raw: from ?? name }));
  const hasKey = keyFields(source.key).every((name) =>
    isThere(rawNames.find((each) => each.name === name)?.raw ?? name),
  );
  const isOfKnownType = ({ fields }: ShapeFound) =>
    types.some((known) => {
      const names = new Set(known.map(({ name, from }) => from ?? name));
      const shared = fields.filter(({ name }) => names.has(name)).length;
      return shared * 2 >= names.size && shared * 2 >= fields.length && shared > 0;
    });
  return hasKey && found.length > 0 && found.every(isOfKnownType);
}

/** Other sources whose items are of the types of one, so that they can be shown in its place. */
export const sourcesOfShape = (project: Project, source: Source): readonly Source[] =>
  project.sources.filter((other) => {
    const found = typesOf(project, other.id).map(({ fields }) => ({
      fields: fields
        .filter(({ expr }) => expr === undefined)
        .map(({ name, from }) => ({ name: from ?? name })),
    }));
    return other.id !== source.id && isShapeKnown(project, source, found);
  });
