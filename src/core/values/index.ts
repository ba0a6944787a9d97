/**
 * Values: the expression language. A text is read (syntax), held against an item type (check),
 * turned into a closure (compile) and, for one item, told step by step (explain). It knows
 * items only as JSON records; templates, checks and the command line call it.
 */
export { type Checked, pathText, type ResultType, typeOfResult } from './check/check';
export type { Evaluate } from './compile/compile';
export { computedField, heldFields, withComputedSettled } from './computed';
export { type Explained, explain, shown, type TraceStep } from './explain/explain';
export { type Expression, makeExpression } from './expression';
export type { Span } from './findings';
export { lookupStep, noOthers, type OtherSource, type Others } from './others';
export { renameStep } from './rename';
export {
  type Decoding,
  type Field,
  fieldAtPath,
  fieldNamed,
  fieldsOfAll,
  isShowable,
  type ScalarName,
  scalarNames,
  typeInWords,
  type ValueType,
} from './type';
export { plainText, type Value } from './value';
