import { colourSaid, type DrawPart, rowColour, type Sketch } from '../sketch';
import { type Box, element, filled, type Radius, rounded, stroked, within } from '../svg';

const borderPx = 2;
const knobPx = 14;

/** A box with a border, filled where it is on. */
function frame(sketch: Sketch, radius: number): string {
  const { box, said } = sketch;
  const tint = colourSaid(sketch, 'tint');
  if (said('on') === true) return rounded(box, radius, filled(tint));
  const [colour, ground] = [rowColour(sketch, 'ash'), rowColour(sketch, 'ground')];
  return bordered(box, radius, { width: borderPx, colour, ground });
}

interface Border {
  readonly width: number;
  readonly colour: string | undefined;
  readonly ground?: string | undefined;
}

/** A box with a border within it, on a colour if there is one. */
export function bordered(box: Box, radius: Radius, { width, colour, ground }: Border): string {
  const behind = ground === undefined ? '' : rounded(box, radius, filled(ground));
  if (width === 0) return behind;
  const along = radius === 'circle' ? radius : Math.max(0, fitting(box, radius) - width / 2);
  return behind + rounded(within(box, width / 2), along, stroked(colour, width));
}

const fitting = ({ width, height }: Box, radius: number): number =>
  Math.min(radius, width / 2, height / 2);

export const switchOf: DrawPart = (sketch) => {
  const { box, said, direction } = sketch;
  const isOn = said('on') === true;
  const along = borderPx + (isOn ? 19 : 3) + knobPx / 2;
  return (
    frame(sketch, 999) +
    element('circle', {
      cx: direction === 'rtl' ? box.x + box.width - along : box.x + along,
      cy: box.y + borderPx + 3 + knobPx / 2,
      r: knobPx / 2,
      ...filled(rowColour(sketch, isOn ? 'ground' : 'ash')),
    })
  );
};

const [tickAcross, tickDown] = [5, 9];

export const checkbox: DrawPart = (sketch) => {
  const { box, said } = sketch;
  if (said('on') !== true) return frame(sketch, 4);
  const x = box.x + (box.width - tickAcross) / 2;
  const y = box.y + borderPx + 1;
  const middle = `${x + tickAcross / 2} ${y + tickDown / 2}`;
  const d = `M${x + 3} ${y}h2v${tickDown}h-${tickAcross}v-2h3z`;
  const tick = { d, transform: `rotate(45 ${middle})`, ...filled(rowColour(sketch, 'ground')) };
  return frame(sketch, 4) + element('path', tick);
};

export const swatch: DrawPart = (sketch) =>
  rounded(sketch.box, radiusSaid(sketch), filled(colourSaid(sketch, 'colour')));

export function radiusSaid({ said }: Sketch): Radius {
  const radius = said('radius');
  return radius === 'circle' ? radius : typeof radius === 'number' ? radius : 0;
}
