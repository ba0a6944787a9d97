/**
 * Views: a list with its items in the order in which they stand, and what is counted over them.
 * Frames that cross to the page are made of them.
 */

export type { EntryRange, ListBox, RowBox } from '../../core/arranged';
export type { LabelFacts } from './boxes/label-facts';
export { MeasuredRows, type RowMeasures } from './boxes/measured-rows';
export type { PartFacts } from './boxes/row-measuring';
export type { StackFacts } from './boxes/stack-facts';
export type { ChoiceAsked } from './choices/item-choices';
export type { ChoiceTable } from './choices/list-choices';
export type { Frame } from './frame';
export { type MoveTask, movedTo, type RowMoved } from './moving';
export { answerTo, type GestureAnswer, type GestureTask, type Raised } from './raising';
export type { ItemPlace, PartShown, ViewSettings, World } from './shown-list';
export type { SlotSurvey, Survey, TemplateSurvey, UnknownPicture } from './survey';
export { type Tried, View } from './view';
