/** The window: the real list on all items, and a second one beside it with settings of its own. */
export { WindowSide } from './window-side';
