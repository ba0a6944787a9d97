/** What a property of a row is for one item, ready to be drawn; undefined: there is nothing. */
export type EntryValue = string | number | boolean | undefined;
