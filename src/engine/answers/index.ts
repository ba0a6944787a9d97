/**
 * Answers to what screens and command line ask about items and values: tables, evidence, traces,
 * trials, proposals. They read the engine and change nothing of the project.
 */
export type { AllItems, MissingTask, SpreadTask } from './all-items';
export type { ByExample, ExampleAnswer, ExampleTask } from './by-example';
export {
  EngineData,
  type Misfit,
  type TableRow,
  type TableRows,
  type Unread,
} from './data';
export { tryDrafts } from './drafting';
export { type ExtremeItem, type ExtremeKind, extremesOf } from './extremes';
export type { DecodingTrial, FieldTask, TypeTrial } from './readings';
export { type Only, plainLook, type TableLook } from './table';
export { type FormatTrial, type FormattedValue, type Trace, trace, tryFormats } from './tracing';
