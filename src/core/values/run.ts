/**
 * The door for who only runs expressions: what was read and checked elsewhere is evaluated. Nothing
 * here reads a text, so that a small bundle needs no parser.
 */
export type { Checked } from './check/checked';
export { compile, type Evaluate } from './compile/compile';
