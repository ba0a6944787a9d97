/**
 * Readers turn a document into items: one file a format, all of the same form, and one list
 * that names them. They find the list in the document themselves and say what they had to
 * assume; they neither infer types nor keep anything.
 */

export { clipboardCells } from './clipboard';
export { refusal } from './json/json';
export { pathFault } from './json/json-path';
export { type PathSteps, pathSteps } from './json/path-steps';
export { nextPage, type Paging, proposePaging } from './paging';
export { type ReadWatch, read } from './read';
export type {
  DocumentPort,
  Encoding,
  ItemsRead,
  ListPlace,
  Reader,
  ReadPorts,
  ReadTask,
} from './reader';
export type { SqliteDatabase, SqlitePort } from './sqlite-port';
