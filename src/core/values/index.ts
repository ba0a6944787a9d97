/**
 * Values: the expression language. A text is read (syntax), held against an item type (check),
 * turned into a closure (compile) and, for one item, told step by step (explain). It knows
 * items only as JSON records; templates, checks and the command line call it.
 */

export { anyMissing, type Checked, readsContext, resultsOf } from './check/checked';
export { pathText } from './check/names';
export { blockLength, Columns, isMissing, isTrue } from './columns/columns';
export { type Pass, passOver } from './columns/pass';
export type { Evaluate } from './compile/compile';
export { type Completion, type Completions, completionsAt, pathAt } from './complete';
export {
  computedField,
  computedOrder,
  fieldsBeside,
  heldFields,
  withComputedSettled,
} from './computed';
export type { RowContext, SectionValue } from './context';
export {
  type Environment,
  emptyEnvironment,
  type KnownFormat,
  lookupStep,
  type OtherSource,
} from './environment';
export { type Explained, explain, type TraceStep } from './explain/explain';
export { shown } from './explain/shown';
export { type Expression, loadHabits, makeExpression } from './expression';
export { type Span, valueFindings } from './findings';
export { type FunctionEntry, functionTable, Missing } from './functions';
export { instantOf, isWrittenDate } from './functions/instant';
export { type NearestValue, nearestValue } from './nearest-value';
export { itemAlone } from './odd/item-alone';
export { leftSeparators } from './odd/left-separators';
export { type ComparedText, comparedTexts, constantsLikeHoles } from './odd/odd-constants';
export { renameStep } from './rename';
export { type Kind, kindOf, type ResultType, typeOfResult, withArticle } from './result-type';
export { type Cases, type CaseValue, casesIn, fallsOn, textOfCases } from './syntax/cases';
export {
  type Decoding,
  durationForms,
  type Field,
  fieldAtPath,
  fieldNamed,
  fieldsChangedAt,
  fieldsOfAll,
  isShowable,
  maxListed,
  type SaidBySchema,
  type ScalarName,
  scalarNames,
  typeInWords,
  type ValueType,
} from './type';
export { elementStep, formatsUsed, type Params, pathRead, pathsRead } from './uses';
export { plainText, type Value } from './value';
