/**
 * The engine: one project with its items, and the frames, counts and traces that come of them.
 * In the browser it runs in a worker behind the protocol, reached through `client.ts` (which only
 * pages may load); the command line calls it directly.
 */
export {
  type DecodingTrial,
  EngineData,
  type ExampleAnswer,
  type ExampleTask,
  type ExtremeItem,
  type FieldTask,
  type FormatTrial,
  type FormattedValue,
  type Misfit,
  type Only,
  plainLook,
  type SpreadTask,
  type TableLook,
  type TableRow,
  type TableRows,
  type Trace,
  type TypeTrial,
  trace,
  type Unread,
} from './answers';
export { longestCrossing } from './cut';
export type { DrawTask, RowsDrawn } from './drawing';
export { Engine } from './engine';
export {
  type ArrivalSummary,
  EngineImport,
  type FollowNews,
  type ImportHow,
  type ImportSummary,
  type MoreCame,
} from './imports';
export { type BlockColumn, type ItemChange, valueTyped } from './items';
export {
  type FontContents,
  type MeasureFiles,
  Measures,
  nodeBreaks,
  type OwnFonts,
  ownFonts,
} from './measuring';
export {
  type DrawPorts,
  expectedOf,
  listPicture,
  type PackMeasures,
  type PackPorts,
  type PackTask,
  type PartBox,
  packOf,
  partBoxes,
  rowSolver,
} from './packing';
export type {
  DataProtocol,
  EngineEvent,
  EngineProtocol,
  KeepAnswer,
  KeepingProtocol,
  MakeTask,
  ProjectRead,
  SourceRead,
} from './protocol';
export {
  largestSchemaBytes,
  type SourceDocument,
  schemaIn,
  sqliteFrom,
  strictDecoder,
} from './reading';
export type { ItemAtHand, PartTask, TriedDraft } from './scene';
export type {
  ChoiceAsked,
  ChoiceTable,
  EntryRange,
  Frame,
  GestureAnswer,
  GestureTask,
  ItemPlace,
  LabelFacts,
  ListBox,
  MoveTask,
  PartFacts,
  PartShown,
  Raised,
  RowBox,
  RowMoved,
  SlotSurvey,
  Survey,
  TemplateSurvey,
  Tried,
  UnknownPicture,
  ViewSettings,
} from './views';
