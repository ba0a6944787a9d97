/** Items to try with: as many as one likes that are like those there are, and the nasty ones. */
export { type Generator, type GeneratorTask, itemGenerator } from './generate';
export { nastyItems } from './nasty';
export type { Rule } from './rules';
