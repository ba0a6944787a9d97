/**
 * Templates: what a row looks like and what feeds it. The kinds of part with their properties,
 * drafts of new ones, rewriting (insert, remove, replace) as pure functions, and compiling against
 * an item type. It neither arranges rows nor draws them.
 */

export { addressOf, isLeading } from './address';
export { checkSlot, namesOf, wordsOf } from './bind-value';
export { type BoundText, bindText, environmentToRun, writesStandIn } from './bind-words';
export { type BindingScope, environmentToCheck } from './binding';
export {
  type Binding,
  type Bound,
  expressionsOf,
  isBound,
  mapExpressions,
  type StandIn,
} from './bound';
export { type BoundSlot, type CompiledTemplate, checkTemplate, compileTemplate } from './compile';
export { draftRow, likelyPart } from './draft';
export { expandedRow, knownId, type Scope, type ShownSlot, shownSlots } from './expanded/expand';
export {
  openedTemplate,
  prefixOf,
  type SharedPart,
  usesAround,
  type WrittenAt,
  writtenAt,
} from './expanded/open';
export { elementPaths, fieldsAt, SeenIn } from './expanded/seen';
export { followsWhatIsShown, nameAfter } from './names';
export {
  allKinds,
  declaredInput,
  draftImage,
  draftLabel,
  draftStack,
  type ImagePart,
  type Inputs,
  inputNamed,
  inputProperty,
  insertedKinds,
  isName,
  isStanding,
  kindOf as kindOfPart,
  kinds,
  type LabelPart,
  type LineCount,
  meterRegion,
  type Padding,
  type Part,
  type PartKind,
  type Radius,
  type RunPart,
  ratingGap,
  type Setting,
  type SharedUse,
  type Size,
  type StackPart,
  type StandingPart,
  settingsIn,
} from './parts';
export type { EntryValue } from './parts/entry-value';
export { leftOut } from './parts/long-text';
export { type Constant, isContent, type Property } from './property';
export { addRun, insertPart, type Landing, type Side } from './rewriting/insert';
export { moveParts, outermost, stepFrom } from './rewriting/move';
export { removePart } from './rewriting/remove';
export { replacePart } from './rewriting/replace';
export { unwrapPart, withFreeIds, wrapParts } from './rewriting/wrap';
export { type FinishName, finishes } from './running/finishes';
export type { FitTo } from './running/fitted';
export {
  type ElementAt,
  elementRecords,
  inputsRecord,
  type RecordOf,
} from './running/records';
export { givenBy, laidWords, type SlotValue, typedValue } from './running/slot-value';
export {
  finishedWords,
  formatWriter,
  insteadOf,
  isBlank,
  type WordsOf,
  type WriteValue,
  wordsFrom,
} from './running/words';
export {
  colourShape,
  partsShape,
  rowShape,
  spacingShape,
  templateShape,
  textStyleShape,
} from './shape';
export { neutralStyles, styleNamed, type TextStyle } from './styles';
export {
  childrenOf,
  constantsOf,
  isShownBy,
  labelAround,
  mapBindings,
  mapParts,
  mayLeave,
  partIds,
  partsOf,
  partWithId,
  propertyOf,
  type Slot,
  slotsOf,
  stackAround,
  type Template,
  withProperty,
} from './template';
export {
  type Colour,
  colourOf,
  colourOfRows,
  knownName,
  neutralColours,
  neutralSpacing,
  type RowColour,
  type SpacingStep,
  type Tokens,
} from './tokens';
