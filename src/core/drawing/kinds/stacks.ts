import { borderUnitsAt } from '../../layout';
import {
  colourSaid,
  type DrawPart,
  numberSaid,
  pictureSaid,
  rowColour,
  type Sketch,
} from '../sketch';
import { type Box, clipped, element, filled, radiusWithin, rounded, stroked, within } from '../svg';
import { contentIn, symbolIn } from './images';
import { bordered, radiusSaid } from './toggles';

export const stack: DrawPart = (sketch) => {
  const { box, ratio } = sketch;
  const border = borderUnitsAt(ratio)(numberSaid(sketch, 'border') ?? 0) / 64 / ratio;
  const colour = colourSaid(sketch, 'borderColour') ?? rowColour(sketch, 'rule');
  const ground = colourSaid(sketch, 'background');
  const radius = radiusSaid(sketch);
  const content = mark(sketch, border) + sketch.inner();
  const isCut = sketch.isRow && (border > 0 || radius !== 0);
  return (
    bordered(box, radius, { width: border, colour, ground }) +
    (isCut ? inBorder(sketch, border, content) : content)
  );
};

function inBorder(sketch: Sketch, border: number, content: string): string {
  const inner = within(sketch.box, border);
  const radius = radiusWithin(radiusSaid(sketch), border);
  return radius === 0
    ? clipped(inner, content)
    : contentIn(sketch, { box: inner, radius }, content);
}

const markPx = 16;

/** The mark of a row that leads on, before its end. */
function mark(sketch: Sketch, border: number): string {
  const { said, box, direction } = sketch;
  if (said('leadsOn') !== true) return '';
  const padding = said('padding');
  const end = typeof padding === 'object' && 'end' in padding ? padding.end : 0;
  const fromEnd = border + end;
  const isRtl = direction === 'rtl';
  const x = isRtl ? box.x + fromEnd : box.x + box.width - fromEnd - markPx;
  const place = { x, y: box.y + border, width: markPx, height: box.height - 2 * border };
  const own = pictureSaid(sketch, 'mark');
  const ash = rowColour(sketch, 'ash');
  const drawn = own === undefined ? chevron(place, ash) : symbolIn(sketch, own, place, ash);
  if (!isRtl) return drawn;
  return element('g', { transform: `translate(${2 * x + markPx} 0) scale(-1 1)` }, drawn);
}

function chevron({ x, y, width, height }: Box, colour: string): string {
  const size = Math.min(width, height);
  const at = `translate(${x + (width - size) / 2} ${y + (height - size) / 2}) scale(${size / 16})`;
  return element('path', { d: 'M6 3.5 10.5 8 6 12.5', transform: at, ...stroked(colour, 1.6) });
}

export const line: DrawPart = (sketch) => {
  const { box, said, direction } = sketch;
  const padding = said('padding');
  const { start, end, top, bottom } =
    typeof padding === 'object' && 'top' in padding
      ? padding
      : { start: 0, end: 0, top: 0, bottom: 0 };
  const content = {
    x: box.x + (direction === 'rtl' ? end : start),
    y: box.y + top,
    width: box.width - start - end,
    height: box.height - top - bottom,
  };
  return rounded(content, 0, filled(colourSaid(sketch, 'colour')));
};
