/**
 * Views: a list with its items in the order in which they stand, and what is counted over them.
 * Frames that cross to the page are made of them.
 */
export { ListSequence } from './list-sequence';
export { missingPictures } from './missing-pictures';
export { oddBindings } from './odd-bindings';
export { Once } from './once';
export {
  type SlotSurvey,
  type Survey,
  surveyTemplates,
  type TemplateSurvey,
  type UnknownPicture,
} from './survey';
export type { EntryRange, View } from './view';
