/**
 * Lists: which template an item gets, and in what sequence entries stand. Pure functions over
 * item types and positions; no item is looked into here and nothing is drawn.
 */
export { type BoxFault, eachFault } from './box-faults';
export {
  allChosen,
  candidates,
  choicesOfItems,
  choosing,
  chosenIn,
  countsOfChoices,
  mapChosen,
  mapTemplates,
  templatesIn,
  withChosen,
} from './choose';
export {
  filterWords,
  foldedText,
  hasWords,
  type ListFilter,
  placesOfWords,
} from './filter';
export {
  type Bar,
  type BlockPlace,
  type Entry,
  type Headings,
  type KnownSequence,
  type PartPlan,
  type PlanSlot,
  type RowPlan,
  rowPlanOf,
  type Sequence,
  type Shrunk,
} from './frame';
export {
  type Arrangement,
  asKind,
  type Choice,
  type Chosen,
  type Inserts,
  type List,
  type ListHabit,
  listHabits,
  listSources,
  type SectionsOf,
  type SelectionMode,
  type Separators,
  type Strips,
  type StripsAmong,
  selectionModes,
  withColourNamed,
} from './list';
export { placesOf, type SortColumn, type SortKey, sortColumn, sortedBy } from './order/sort';
export { type Density, densities, RowBoxes, type RowPlace } from './row-boxes';
export { anyText, type HeightBy, haveOwnHeights, heightBy, plainHeightPx } from './row-height';
export type { FontedWords, LabelFont, RowLabel, RunWords } from './row-label';
export {
  type Arranged,
  type Arranging,
  arrange,
  kindCounts,
  plansByChoice,
} from './sequence/arrange';
export { breadthAt, breadths } from './sequence/breadths';
export { type EntryKind, entryKinds, kindNumber } from './sequence/entry-kinds';
export { foldedIn, toggledWith } from './sequence/folding';
export { firstInserts, type InsertPlaces } from './sequence/inserts';
export { type EntryHeights, linesOf, stripColumns } from './sequence/lines';
export {
  type DrawnLines,
  isStrip,
  type LineRange,
  lineAfter,
  placesBetween,
  placesIn,
  runsOf,
  type Stretch,
} from './sequence/places';
export {
  type SectionOrder,
  type SectionPart,
  type SectionTable,
  type SourceStart,
  sectionParts,
  sectionsBySource,
  sectionTable,
} from './sequence/section-keys';
export { inSections, oneSection, type Sections } from './sequence/sections';
export {
  hidesRows,
  type ListState,
  listStates,
  skeletonCount,
  stateOf,
} from './sequence/states';
export {
  breadthsOf,
  columnsIn,
  type EntryWidths,
  roomOfStrips,
  stripMeasures,
  widthOf,
  widthsIn,
} from './sequence/widths';
export { withKnown } from './sequence/with-known';
export { shrinkingParts } from './shrinking';
export { type PartSpace, type Space, type SpaceReason, spaceOf } from './space';
export { mapStanding, standingTemplates } from './standing';
export { smallTargets, targetsOf } from './targets';
export {
  colourOfText,
  type Reading,
  readingKey,
  readingOf,
  type TextOnGround,
  textsOnGrounds,
} from './text-grounds';
