import {
  type Color,
  type ColorLine,
  type Font,
  PaintCompositeMode,
  PaintExtend,
  PaintFuncs,
} from 'harfbuzzjs';
import { element } from '../../core/drawing';

/** A glyph in its own colours (OpenType 1.9, COLR version 1) as it is being painted. */
interface Painting {
  /** What is painted on each surface, the last one on top. */
  readonly surfaces: string[][];
  readonly id: () => string;
}

/** Far beyond any glyph, in font units. */
const far = 20_000;
const everywhere = { x: -far, y: -far, width: 2 * far, height: 2 * far };

const fine = (value: number): string => String(Math.round(value * 100_000) / 100_000);

let funcs: PaintFuncs | undefined;

/** The elements of a glyph that has colours of its own, in font units, upwards. */
export function paintedGlyph(font: Font, glyph: number, id: () => string): string {
  funcs ??= paintFuncs();
  const painting: Painting = { surfaces: [[]], id };
  font.paintGlyph(glyph, funcs, painting);
  return painting.surfaces.flat().join('');
}

const isPainting = (data: unknown): data is Painting =>
  typeof data === 'object' && data !== null && 'surfaces' in data && 'id' in data;

/** What was handed to it when the painting began. */
function paintingOf(data: unknown): Painting {
  if (isPainting(data)) return data;
  throw new Error('A glyph was painted that nobody asked for.');
}

const put = (data: unknown, ...elements: readonly string[]): void => {
  paintingOf(data)
    .surfaces.at(-1)
    ?.push(...elements);
};

function paintFuncs(): PaintFuncs {
  const made = new PaintFuncs();
  made.setPushTransformFunc((...[xx, yx, xy, yy, dx, dy, data]) => {
    put(data, `<g transform="matrix(${[xx, yx, xy, yy, dx, dy].map(fine).join(' ')})">`);
  });
  made.setPopTransformFunc((data) => put(data, '</g>'));
  made.setPushClipGlyphFunc((glyph, font, data) => {
    clip(data, element('path', { d: font.glyphToPath(glyph) }));
  });
  made.setPushClipRectangleFunc((...[left, bottom, right, top, data]) => {
    const [width, height] = [right - left, top - bottom];
    clip(data, element('rect', { x: left, y: bottom, width, height }));
  });
  made.setPopClipFunc((data) => put(data, '</g>'));
  made.setColorFunc((_isForeground, colour, data) => {
    put(data, element('rect', { ...everywhere, ...inColour('fill', colour) }));
  });
  made.setLinearGradientFunc((line, ...[x0, y0, x1, y1, x2, y2, data]) => {
    // Colours change along the line that is at right angles to the one that turns them.
    const [turnX, turnY] = [x2 - x0, y2 - y0];
    const length = turnX * turnX + turnY * turnY;
    const along = length === 0 ? 0 : ((x1 - x0) * turnX + (y1 - y0) * turnY) / length;
    const ends = { x1: x0, y1: y0, x2: x1 - along * turnX, y2: y1 - along * turnY };
    gradient(data, 'linearGradient', ends, line);
  });
  made.setRadialGradientFunc((line, ...[x0, y0, r0, x1, y1, r1, data]) => {
    gradient(data, 'radialGradient', { fx: x0, fy: y0, fr: r0, cx: x1, cy: y1, r: r1 }, line);
  });
  made.setSweepGradientFunc((line, ...[, , , , data]) => {
    // SVG has none: its first colour stands for all of them.
    const [first] = sorted(line);
    if (first !== undefined)
      put(data, element('rect', { ...everywhere, ...inColour('fill', first.color) }));
  });
  made.setPushGroupFunc((data) => {
    paintingOf(data).surfaces.push([]);
  });
  made.setPopGroupFunc((mode, data) => {
    const { surfaces, id } = paintingOf(data);
    const source = surfaces.pop()?.join('') ?? '';
    const below = surfaces.at(-1);
    if (mode === PaintCompositeMode.SRC_IN)
      below?.splice(0, below.length, within(source, below.join(''), id()));
    else if (mode === PaintCompositeMode.DEST_IN)
      below?.splice(0, below.length, within(below.join(''), source, id()));
    else below?.push(element('g', {}, source));
  });
  return made;
}

function clip(data: unknown, shape: string): void {
  const name = paintingOf(data).id();
  put(data, element('clipPath', { id: name }, shape), `<g clip-path="url(#${name})">`);
}

const within = (content: string, shape: string, name: string): string =>
  element('mask', { id: name, 'mask-type': 'alpha' }, shape) +
  element('g', { mask: `url(#${name})` }, content);

function gradient(
  data: unknown,
  kind: 'linearGradient' | 'radialGradient',
  place: Readonly<Record<string, number>>,
  line: ColorLine,
): void {
  const name = paintingOf(data).id();
  const stops = sorted(line).map(({ offset, color }) =>
    element('stop', { offset, ...inColour('stop', color) }),
  );
  const spread =
    line.extend === PaintExtend.REPEAT
      ? 'repeat'
      : line.extend === PaintExtend.REFLECT
        ? 'reflect'
        : undefined;
  const units = { gradientUnits: 'userSpaceOnUse', spreadMethod: spread };
  put(
    data,
    element(kind, { id: name, ...place, ...units }, ...stops),
    element('rect', { ...everywhere, fill: `url(#${name})` }),
  );
}

const sorted = ({ colorStops }: ColorLine) =>
  [...colorStops].sort((one, other) => one.offset - other.offset);

function inColour(what: 'fill' | 'stop', { red, green, blue, alpha }: Color) {
  const hex = [red, green, blue].map((channel) => channel.toString(16).padStart(2, '0')).join('');
  const opacity = alpha === 255 ? undefined : alpha / 255;
  return what === 'fill'
    ? { fill: `#${hex}`, 'fill-opacity': opacity }
    : { 'stop-color': `#${hex}`, 'stop-opacity': opacity };
}
