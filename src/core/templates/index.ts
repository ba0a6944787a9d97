/**
 * Templates: what a row looks like and what feeds it. Shapes of the parts, drafts of new ones,
 * rewriting (insert, remove, replace) as pure functions, and compiling against an item type.
 * It neither arranges rows nor draws them.
 */
export {
  type Binders,
  type Binding,
  type Bound,
  type BoundText,
  bindText,
  expressionsOf,
  leaves,
  mapExpressions,
  othersChecked,
  othersIn,
  type StandIn,
} from './binding';
export { type BoundSlot, type CompiledTemplate, checkTemplate, compileTemplate } from './compile';
export { draftRow, likelyPart } from './draft';
export {
  type ImagePart,
  type LabelPart,
  type Padding,
  type Part,
  partKinds,
  type Size,
  type SlotProperty,
  type StackPart,
} from './parts';
export { insertPart, partIds, removePart, replacePart, type Side } from './rewrite';
export { type TextStyle, type TextStyleName, textStyleNames, textStyles } from './styles';
export {
  bindingOf,
  mapBindings,
  partsOf,
  partWithId,
  type Slot,
  slotsOf,
  type Template,
} from './template';
