/**
 * The engine: one project with its items, and the frames, counts and traces that come of them.
 * In the browser it runs in a worker behind the protocol, reached through `client.ts` (which only
 * pages may load); the command line calls it directly.
 */
export { type BlockColumn, type ItemChange, valueTyped } from './changes';
export { longestCrossing } from './cut';
export {
  type DecodingTrial,
  EngineData,
  type FieldAsked,
  type Misfit,
  type TableRows,
} from './data';
export { strictDecoder } from './document';
export { Engine } from './engine';
export { EngineImport, type ImportSummary } from './import';
export type {
  Brought,
  BroughtSource,
  Came,
  DataProtocol,
  Document,
  EngineEvent,
  EngineProtocol,
  ExampleAnswer,
  ExampleTask,
  FollowNews,
  FormatTrial,
  ItemAtHand,
  KeepAnswer,
  KeepingProtocol,
  MakeTask,
  Range,
  SlotSurvey,
  SpreadAsked,
  Survey,
  TemplateSurvey,
  Trace,
  UnknownPicture,
  View,
  Written,
} from './protocol';
export { rawPathOf } from './raw-names';
export { sqliteFrom } from './sqlite';
export { type Only, plainLook, type TableLook } from './table';
export { trace } from './tracing';
