import { type Attributes, element, written } from './svg';

/** A face that the words of a picture are drawn in. */
export interface EmbeddedFace {
  readonly family: string;
  /** First and last character of each stretch that it draws; undefined: all that it has. */
  readonly ranges: readonly number[] | undefined;
  /** A font file as base64. */
  readonly content: string;
}

export interface PictureSize {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A picture as an SVG file (SVG 2), with what its letters need: it fetches nothing. */
export function svgDocument(
  { widthPx, heightPx }: PictureSize,
  faces: readonly EmbeddedFace[],
  ...inner: readonly string[]
): string {
  const attributes: Attributes = {
    xmlns: 'http://www.w3.org/2000/svg',
    width: widthPx,
    height: heightPx,
    viewBox: `0 0 ${written(widthPx)} ${written(heightPx)}`,
    'text-rendering': 'geometricPrecision',
  };
  const style = faces.length === 0 ? '' : element('style', {}, styleOf(faces));
  return `${element('svg', attributes, style, ...inner)}\n`;
}

/** As the window sets its words. */
const ofWords =
  'text{white-space:pre;font-synthesis-weight:none;text-spacing-trim:space-all;text-autospace:no-autospace}' +
  '.tabular{font-variant-numeric:tabular-nums}.proportional{font-variant-numeric:proportional-nums}';

const styleOf = (faces: readonly EmbeddedFace[]): string =>
  faces
    .map(({ family, ranges, content }) => {
      const only = ranges === undefined ? '' : `;unicode-range:${stretches(ranges)}`;
      return `@font-face{font-family:'${family}';font-weight:100 900;src:url(data:font/woff2;base64,${content})${only}}`;
    })
    .join('') + ofWords;

const stretches = (ranges: readonly number[]): string =>
  Array.from({ length: ranges.length / 2 }, (_, at) => {
    const [from = 0, to = 0] = ranges.slice(2 * at, 2 * at + 2);
    return `U+${from.toString(16)}-${to.toString(16)}`;
  }).join();
