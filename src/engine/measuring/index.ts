/** What measures text: HarfBuzz, the measures of the faces that rows are drawn in, line breaks. */

export { browserFace, browserFiles } from './browser-files';
export { unwrapped } from './font-tables';
export { HarfBuzz } from './harfbuzz';
export { LateMeasures } from './late-measures';
export { type MeasureFiles, Measures } from './measures';
export { nodeBreaks } from './node-breaks';
export { type FontContents, type OwnFonts, ownFonts, sliceOfOwn } from './own-fonts';
export { slicesOf } from './pack';
export { chainFor, familiesFor } from './row-fonts';
