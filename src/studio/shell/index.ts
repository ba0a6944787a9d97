/** The shell: rail, bar, window, palette, keys; it holds the stations together. */
export { App } from './app';
