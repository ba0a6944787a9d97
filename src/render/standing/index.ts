/**
 * What stands around the rows of a list: headings that stick and their index, bars, marks of words
 * that were found. The list calls it as it draws; nothing here scrolls or asks.
 */
export { drawArrangement } from './arrangement';
export { Bars } from './bars';
export { FoundWords } from './found-words';
export { HeadingPlaces } from './headings';
export { NewAbove } from './new-above';
export { groupBySections } from './section-groups';
export { SectionIndex } from './section-index';
