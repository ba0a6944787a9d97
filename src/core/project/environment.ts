import type { JsonRecord } from '../base';
import { environmentToCheck } from '../templates';
import { type Environment, fieldsOfAll, type Value } from '../values';
import { type Project, typesOf } from './project';

/** Gives the item of a source that has a key, for lookups. */
export type FindItem = (source: string, key: Value) => JsonRecord | undefined;

export const nothingFound: FindItem = () => undefined;

/** What expressions can reach, to be checked: nothing is written, and nothing found in other sources but by `find`. */
export const environmentOf = (project: Project, find = nothingFound): Environment =>
  environmentToCheck({ sources: sourcesOf(project, find), formats: project.formats ?? [] });

export const sourcesOf = (project: Project, find: FindItem): Environment['sources'] =>
  new Map(
    project.sources.map(({ id, key }) => [
      id,
      {
        fields: fieldsOfAll(typesOf(project, id)),
        hasKey: key !== null,
        find: (value: Value) => find(id, value),
      },
    ]),
  );
