import { failed, ok } from '../../base';
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
