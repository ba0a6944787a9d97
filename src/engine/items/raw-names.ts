import { type Key, keyFields } from '../../core/items';
import { type Project, type Source, typesOf } from '../../core/project';

/** The key in the names that the items have as they are read. */
export const rawKey = (project: Project, source: Source): Key =>
  source.key === null ? null : keyFields(source.key).map((name) => rawName(project, source, name));

export const rawName = (project: Project, source: Source, name: string): string =>
  typesOf(project, source.id)
    .flatMap((type) => type.fields)
    .find((field) => field.name === name)?.from ?? name;
