/**
 * Items: read from documents, found in them, and known by inference over all of them. This room
 * knows nothing of projects, templates or rows; readers, the engine and the command line call it.
 */
export type { Position } from './findings';
export { type FieldFound, type Inference, infer, type TypeFound } from './infer';
export { asItem, type Format, type Item } from './item';
export { type ItemKeys, itemKeys, type UniqueKey, uniqueKeys } from './key';
export {
  type DocumentPort,
  type Encoding,
  type ItemsRead,
  type ReadPorts,
  type ReadTask,
  type ReadWatch,
  read,
  refusal,
} from './readers';
export { likelyTitle } from './title';
