/**
 * What an app's page needs of all this, as one script: the element that shows a list of a project
 * that was packed. It reads no expression and no project; the packs that are given away are made of
 * it, and its size is held by a test.
 */
export { defineList } from './element';
