/** What measures text: HarfBuzz, the measures of the faces that rows are drawn in, line breaks. */
export { HarfBuzz } from './harfbuzz';
export { nodeBreaks } from './node-breaks';
export { slicesOf } from './pack';
export { chainFor, familiesFor } from './row-fonts';
