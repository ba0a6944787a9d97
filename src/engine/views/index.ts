/**
 * Views: a list with its items in the order in which they stand, and what is counted over them.
 * Frames that cross to the page are made of them.
 */
export type { EntryRange, Frame, ListBox } from './frame';
export type { LabelFacts } from './label-facts';
export { MeasuredRows, type RowBox, type RowMeasures } from './measured-rows';
export type { PartFacts } from './row-measuring';
export type { StackFacts } from './stack-facts';
export type { SlotSurvey, Survey, TemplateSurvey, UnknownPicture } from './survey';
export { type Tried, View, type ViewSettings, type World } from './view';
