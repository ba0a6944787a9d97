import { keyFields, type TypeFound } from '../items';
import { type Project, type Source, typesOf } from './project';

/**
 * Whether items that were read from another place are of the types that a source has already: each
 * found type shares at least half of its fields with one of them, and the other way round, and the
 * key's fields are there. Then what shows them stays.
 */
export function isShapeKnown(
  project: Project,
  source: Source,
  found: readonly TypeFound[],
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
  const isOfKnownType = ({ fields }: TypeFound) =>
    types.some((known) => {
      const names = new Set(known.map(({ name, from }) => from ?? name));
      const shared = fields.filter(({ name }) => names.has(name)).length;
      return shared * 2 >= names.size && shared * 2 >= fields.length && shared > 0;
    });
  return hasKey && found.length > 0 && found.every(isOfKnownType);
}
