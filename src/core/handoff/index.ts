/**
 * Hand-off: what an app developer puts into a repository, one writer a file, and how rows that
 * another renderer drew are held against what is expected of them. Everything is text that is the
 * same for the same project; who calls measures rows.
 */

export { tagOf } from './element/list-js';
export { type Compared, compareRows } from './expected/compare';
export {
  type Expected,
  type ExpectedBox,
  type ExpectedEntry,
  type ExpectedPart,
  writeExpected,
} from './expected/expected';
export { readRows } from './expected/read';
export { writePack } from './pack';
export type { PackFile } from './pack-file';
export type { Runtime } from './pack-input';
export { sampleOf, sampleSize } from './sample';
export { type ExpectedSetting, expectedNow, expectedSettings } from './settings';
