/**
 * What an app's page needs of all this: rows drawn from finished entries, and expressions evaluated
 * that were checked before they came. It reads no expression, no project and no items; the bundle
 * that is given away is made of it, and its size is held by a test.
 */
export { type Checked, compile, type Evaluate } from '../core/values/run';
export { ListView } from '../render';
