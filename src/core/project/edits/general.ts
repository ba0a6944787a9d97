import { failed, ok } from '../../base';
import { withId } from '../project';
import type { Edit } from './edit';

export function rename(name: string): Edit {
  return {
    name: `Name it ${name}`,
    apply(project) {
      const trimmed = name.trim();
      return trimmed === '' ? failed('A project needs a name.') : ok({ ...project, name: trimmed });
    },
  };
}

/** The field that tells a source's items apart; null: their position. */
export function setKey(source: string, key: string | null): Edit {
  return {
    name: key === null ? 'No key' : `Key is ${key}`,
    apply(project) {
      if (withId(project.sources, source) === undefined)
        return failed(`There is no source "${source}".`);
      return ok({
        ...project,
        sources: project.sources.map((each) => (each.id === source ? { ...each, key } : each)),
      });
    },
  };
}
