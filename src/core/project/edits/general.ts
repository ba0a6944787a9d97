import { failed, ok } from '../../base';
import type { Edit } from './edit';

/** The budget of a row, in parts; undefined: there is none. */
export function limitParts(max: number | undefined): Edit {
  return {
    name: max === undefined ? 'No budget of parts' : `A row has ${max} parts at most`,
    apply(project) {
      if (max !== undefined && !(Number.isInteger(max) && max >= 1 && max <= 500))
        return failed('A budget is a whole number of parts, from 1 to 500.');
      const { maxParts: _, ...others } = project;
      return ok(max === undefined ? others : { ...project, maxParts: max });
    },
  };
}

export function rename(name: string): Edit {
  return {
    name: `Name it ${name}`,
    apply(project) {
      const trimmed = name.trim();
      return trimmed === '' ? failed('A project needs a name.') : ok({ ...project, name: trimmed });
    },
  };
}
