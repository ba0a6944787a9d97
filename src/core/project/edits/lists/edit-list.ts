import { failed, ok, type Result } from '../../../base';
import type { List } from '../../../lists';
import { editById, type Project, withId } from '../../project';
import type { Edit } from '../edit';

/** An edit of one list of the project. */
export function editList(
  name: string,
  id: string,
  change: (list: List, project: Project) => Result<List, string>,
): Edit {
  return {
    name,
    apply(project) {
      const list = withId(project.lists, id);
      if (list === undefined) return failed(`There is no list "${id}".`);
      const made = change(list, project);
      return made.ok
        ? ok({ ...project, lists: editById(project.lists, id, () => made.value) })
        : made;
    },
  };
}
