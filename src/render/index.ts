/**
 * Drawing: finished entries become rows of the page. It knows plans, entries and heights, and
 * nothing of projects, values or React; the window, the bench and the start page call it.
 */
export type { ActingPorts, ControlValue, DropPlace, GesturePlace, Offered } from './acting';
export { ListView } from './list-view';
export type { DrawnPicture, Pictures } from './parts';
export type { ListViewPorts, PoolReadout } from './ports';
export { bindRow, createRow, type RowView } from './rows';
export { Scroller } from './scroller';
