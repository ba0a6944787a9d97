/** What measures text: HarfBuzz, the measures of the faces that rows are drawn in, line breaks. */

export { browserFiles } from './browser-files';
export { HarfBuzz } from './harfbuzz';
export { LateMeasures } from './late-measures';
export { type MeasureFiles, Measures } from './measures';
export { nodeBreaks } from './node-breaks';
export { slicesOf } from './pack';
export { chainFor, familiesFor } from './row-fonts';
