/**
 * Items: read from documents, found in them, and known by inference over all of them. This room
 * knows nothing of projects, templates or rows; readers, the engine and the command line call it.
 */

export type { Beyond, Bin } from './bins';
export {
  type BetterReading,
  betterReading,
  decoder,
  decodingInWords,
  fieldReadSo,
  followsTime,
  heldReshaper,
  isReadAsFound,
  isThere,
  type Proposal,
  proposeDecodings,
  readingInWords,
  reshaper,
  type Slip,
  settledWay,
  slipsIn,
  typeDecoded,
  whyNotDecoded,
  withOwn,
} from './decoding';
export {
  compareContent,
  compareImport,
  type ImportDifference,
} from './difference';
export { type Evidence, type Extreme, gatherEvidence, type Measure, measured } from './evidence';
export { applyFeed, type FeedApplied, type FeedEvent, type Follow, joinItems } from './feed';
export type { Position } from './findings';
export { itemFindings } from './findings';
export {
  fieldsWithin,
  isOfType,
  misfits,
  pathsReadAsFound,
  rawPathOf,
  type TypedItems,
  valueAt,
} from './fit';
export {
  type Generator,
  type GeneratorTask,
  itemGenerator,
  nastyItems,
  type Rule,
} from './generate';
export { type FieldFound, type Inference, infer, inferRead, type TypeFound } from './infer';
export {
  asItem,
  type Format,
  type Item,
  type Key,
  keyFields,
  noTypeValue,
  typeValueOf,
} from './item';
export { type ItemKeys, itemKeys, keyReader, numberedKeys } from './key';
export { keyReason } from './likely-key';
export {
  clipboardCells,
  type DocumentPort,
  type Encoding,
  type ItemsRead,
  type ListPlace,
  nextPage,
  type Paging,
  type PathSteps,
  pathFault,
  pathSteps,
  proposePaging,
  type ReadPorts,
  type ReadTask,
  type ReadWatch,
  read,
  refusal,
  type SqliteDatabase,
  type SqlitePort,
} from './readers';
export {
  dataClasses,
  declarations,
  itemsSchema,
  type Language,
  languages,
  looksLikeSchema,
  readSchema,
  type SchemaRead,
  type Seen,
  seenIn,
  type TypeShape,
} from './schema';
export { type Ends, type Spread, spreadOf } from './spread';
export { itemsAfter, standInEvent, standInFails } from './stand-in/stand-in';
export { KeyTable } from './succession/key-table';
export {
  freshPositions,
  isInPlace,
  type Run,
  type Succession,
  successionOf,
} from './succession/succession';
export { Successor } from './succession/successor';
export { likelyTitle } from './title';
