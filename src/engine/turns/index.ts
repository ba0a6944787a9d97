/** Work in turns that others can come between, and that something newer ends. */
export { newest } from './newest';
export { Cancelled, turns } from './turns';
