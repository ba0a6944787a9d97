/**
 * The project: its shape, its file read and written, the edits that change it and the history
 * that undoes them. The items are not in it; whoever holds both passes both.
 */
export { type Edit, edits, freePartId } from './edits';
export { type History, makeEdit, redo, startHistory, undo } from './history';
export { draftTemplate, makeProject } from './make';
export { brokenReferences, compileFor } from './problems';
export {
  type ItemType,
  type Picture,
  type Project,
  type Source,
  typeFinder,
  withId,
} from './project';
export { looksLikeProject, type ProjectFile, readProject } from './read';
export { fileNameOf, writeProject } from './write';
