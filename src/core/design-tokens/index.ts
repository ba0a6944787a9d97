/**
 * Files of design tokens (Design Tokens Community Group): what of them a project takes, and the
 * looks of a project as such a file. It knows text and looks, and no project.
 */
export { type ReadTokens, readTokens } from './read';
export { type Looks, writeTokens } from './write';
