/** Attributes of an element; those without a value are not written. */
export type Attributes = Readonly<Record<string, string | number | undefined>>;

/** What XML 1.0 (section 2.2) has no sign for; half a character, too. */
const notOfXml = /[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu;
const signs: ReadonlyMap<string, string> = new Map([
  ['&', '&amp;'],
  ['<', '&lt;'],
  ['>', '&gt;'],
  ['"', '&quot;'],
]);

/** Words as they stand in XML or HTML, in elements and in attributes. */
export const escaped = (words: string): string =>
  words.replace(notOfXml, '').replace(/[&<>"]/g, (sign) => signs.get(sign) ?? sign);

/** A length as it is written: no finer than a thousandth. */
export const written = (length: number): string => String(Math.round(length * 1_000) / 1_000);

/** An element; `inner`: elements and escaped words. */
export function element(name: string, attributes: Attributes, ...inner: readonly string[]): string {
  const said = Object.entries(attributes).flatMap(([attribute, value]) =>
    value === undefined
      ? []
      : [` ${attribute}="${typeof value === 'number' ? written(value) : escaped(value)}"`],
  );
  const content = inner.join('');
  const start = `<${name}${said.join('')}`;
  return content === '' ? `${start}/>` : `${start}>${content}</${name}>`;
}

/** Elements of which only what is within a box is seen. */
export const clipped = ({ x, y, width, height }: Box, ...inner: readonly string[]): string =>
  width <= 0 || height <= 0 || inner.join('') === ''
    ? ''
    : element(
        'svg',
        // What is within keeps its places.
        { x, y, width, height, viewBox: [x, y, width, height].map(written).join(' ') },
        ...inner,
      );

/** A place in CSS px from the top and the left of a picture. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A box whose corners are round, by as much as fits into it (CSS Backgrounds 3, section 5.5). */
export function rounded(
  { x, y, width, height }: Box,
  radius: Radius,
  attributes: Attributes,
): string {
  if (width <= 0 || height <= 0) return '';
  const [across, down] =
    radius === 'circle'
      ? [width / 2, height / 2]
      : [radius, radius].map((each) => Math.max(0, Math.min(each, width / 2, height / 2)));
  const round = { rx: across || undefined, ry: down || undefined };
  return element('rect', { x, y, width, height, ...round, ...attributes });
}

/** In px; a circle: half of what has it. */
export type Radius = number | 'circle';

/** A box that is smaller by so much at each side. */
export const within = ({ x, y, width, height }: Box, by: number): Box => ({
  x: x + by,
  y: y + by,
  width: width - 2 * by,
  height: height - 2 * by,
});

export const radiusWithin = (radius: Radius, by: number): Radius =>
  radius === 'circle' ? radius : Math.max(0, radius - by);

/** A colour, #RRGGBB or #RRGGBBAA, as what something is filled with; what draws it may not know the latter. */
export function filled(colour: string | undefined): Attributes {
  return painted('fill', colour);
}

export function stroked(colour: string | undefined, width: number): Attributes {
  return { fill: 'none', ...painted('stroke', colour), 'stroke-width': width };
}

function painted(by: 'fill' | 'stroke', colour: string | undefined): Attributes {
  if (colour === undefined) return { [by]: 'none' };
  if (colour.length !== 9) return { [by]: colour };
  const opacity = Number.parseInt(colour.slice(7), 16) / 255;
  return { [by]: colour.slice(0, 7), [`${by}-opacity`]: opacity };
}
