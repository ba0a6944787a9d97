import type { Item } from '../items';
import type { PictureContents } from '../pictures';
import type { Project } from '../project';
import type { Expected } from './expected/expected';

/** What the element's module begins with, as it was built. */
export interface Runtime {
  readonly script: string;
  /** SVG pictures that its style sheet names, by their numbers. */
  readonly signs: readonly string[];
}

/** What a pack is written from. */
export interface PackInput {
  readonly project: Project;
  /** The sample, by source and set (`itemsIdOf`). */
  readonly items: ReadonlyMap<string, readonly Item[]>;
  readonly contents: PictureContents;
  readonly expected: Expected;
  /** The sheet of each template, by its id: HTML without script. */
  readonly sheets: ReadonlyMap<string, string>;
  readonly runtime: Runtime;
  /** What base64 holds, a character a byte. */
  readonly decoded: (base64: string) => string;
}
