/**
 * Fonts of a project's own: what their files are, and what may be wrong with them. Nothing here
 * draws or measures.
 */
export { fontFindings } from './findings';
export { type FontFile, fontFile, fontName, type ProjectFont } from './font';
