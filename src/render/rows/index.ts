/**
 * Rows in the page: made of a plan, bound to an entry, kept in a pool and given to other entries.
 * What holds them, the list or a strip, says which entries are drawn and where each stands.
 */
export { type Drawing, DrawnRows, type Held, resizeHeld } from './drawn-rows';
export { moveRows, type Standing, standingOf } from './moving-rows';
export type { Place } from './pool';
export { resizedKinds } from './resize';
export { bindRow, createRow, type RowView } from './row';
