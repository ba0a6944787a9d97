/**
 * Strips: lines of a list that are scrolled sideways. The list says which lines are in sight; how far
 * each is scrolled is kept here.
 */
export { Strips } from './strips';
