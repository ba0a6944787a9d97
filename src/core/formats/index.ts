/**
 * Formats: from a value to the words that people read, by locale. One file a family, and one list
 * that names them all. They know values and items, not templates; bindings call them.
 */
export { type DatePattern, datePattern } from './dates/date-pattern';
export { readsField, renamedInFormat } from './dates/fields';
export { type Family, families } from './families';
export type { DateFormat, Format, NamedFormat, Option } from './format';
export { type Around, type Formatter, NoText } from './formatter';
export { isLocale, numberText, pluralCategories, pluralCategory } from './intl';
export { makeFormatter } from './make';
export { compileMessage } from './message/message';
export { itemOptions } from './options';
export { currencyNear, type FormatProposal, proposeFormats } from './propose';
