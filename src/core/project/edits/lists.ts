import { failed, ok } from '../../base';
import type { Arrangement } from '../../lists';
import { editById, withId } from '../project';
import type { Edit } from './edit';

export function arrangeAs(id: string, arrangement: Arrangement): Edit {
  return {
    name: arrangement.kind === 'grid' ? `Grid of ${arrangement.columns}` : 'List',
    apply(project) {
      if (withId(project.lists, id) === undefined) return failed(`There is no list "${id}".`);
      const lists = editById(project.lists, id, (list) => ({ ...list, arrangement }));
      return ok({ ...project, lists });
    },
  };
}
