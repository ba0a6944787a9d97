/** Every change that a person can make to a project: one function an edit, grouped by what it changes. */
import { rename, setKey } from './general';
import { arrangeAs, choose } from './lists';
import { addTemplate, bind, freePartId, insert, remove, restyle } from './templates';

export type { Edit } from './edit';
export { freePartId };

export const edits = {
  rename,
  setKey,
  choose,
  arrangeAs,
  addTemplate,
  bind,
  insert,
  remove,
  restyle,
} as const;
