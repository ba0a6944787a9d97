import { meterRegion, ratingGap } from '../../templates';
import { colourSaid, type DrawPart, numberSaid, rowColour, type Sketch } from '../sketch';
import { type Box, clipped, element, filled, rounded } from '../svg';

/** As far as bars say it: a ten-thousandth. */
const shareOf = (share: number): number =>
  Math.round(Math.max(0, Math.min(share, 1)) * 10_000) / 10_000;

/** What is filled of a box from where its row begins, and what is not. */
function divided({ box, direction }: Sketch, share: number): readonly [Box, Box] {
  const filled = box.width * shareOf(share);
  const isRtl = direction === 'rtl';
  const one = { ...box, x: isRtl ? box.x + box.width - filled : box.x, width: filled };
  const other = { ...box, x: isRtl ? box.x : box.x + filled, width: box.width - filled };
  return [one, other];
}

/** The same shape in both colours, each where it belongs. */
function inBoth(
  sketch: Sketch,
  share: number,
  tint: string | undefined,
  shape: (colour: string | undefined) => string,
): string {
  const [one, other] = divided(sketch, share);
  return clipped(one, shape(tint)) + clipped(other, shape(colourSaid(sketch, 'track')));
}

const ends = 999;

const valueShare = (sketch: Sketch): number => {
  const value = numberSaid(sketch, 'value') ?? 0;
  const min = numberSaid(sketch, 'min') ?? 0;
  const max = numberSaid(sketch, 'max');
  return max !== undefined && max > min ? (value - min) / (max - min) : 0;
};

export const progress: DrawPart = (sketch) =>
  inBoth(sketch, valueShare(sketch), colourSaid(sketch, 'tint'), (colour) =>
    rounded(sketch.box, ends, filled(colour)),
  );

export const meter: DrawPart = (sketch) => {
  const bound = (name: string) => numberSaid(sketch, name);
  const { share, region } = meterRegion({
    ...{ value: bound('value') ?? 0, min: bound('min') ?? 0, max: bound('max') ?? 1 },
    ...{ low: bound('low'), high: bound('high'), optimum: bound('optimum') },
  });
  return inBoth(sketch, share, colourSaid(sketch, region), (colour) =>
    rounded(sketch.box, ends, filled(colour)),
  );
};

const barPx = 4;
const knobPx = 20;

export const slider: DrawPart = (sketch) => {
  const { box, direction } = sketch;
  const share = shareOf(valueShare(sketch));
  const bar = { ...box, y: box.y + (box.height - barPx) / 2, height: barPx };
  const along = (box.width - knobPx) * share;
  const x = direction === 'rtl' ? box.x + box.width - knobPx - along : box.x + along;
  const knob = { x, y: box.y + 2, width: knobPx, height: box.height - 4 };
  const tint = filled(colourSaid(sketch, 'tint'));
  const ring = { ...tint, stroke: rowColour(sketch, 'ground'), 'stroke-width': 2 };
  return (
    inBoth({ ...sketch, box: bar }, share, colourSaid(sketch, 'tint'), (colour) =>
      rounded(bar, 0, filled(colour)),
    ) +
    element('ellipse', {
      ...{ cx: knob.x + knob.width / 2, cy: knob.y + knob.height / 2 },
      ...{ rx: knob.width / 2 - 1, ry: knob.height / 2 - 1 },
      ...ring,
    })
  );
};

const star = 'M7 0l2 4.6 5 .4-3.8 3.3L11.4 13 7 10.4 2.6 13l1.2-4.7L0 5l5-.4z';
const [starAcross, starDown] = [16, 14];

export const rating: DrawPart = (sketch) => {
  const { box, said } = sketch;
  const size = numberSaid(sketch, 'size') ?? 14;
  const count = numberSaid(sketch, 'of') ?? 5;
  const value = numberSaid(sketch, 'value') ?? 0;
  const steps = said('steps') === 'half' ? Math.round(value * 2) / 2 : Math.round(value);
  const shown = Math.max(0, Math.min(steps, count));
  const whole = count * size + (count - 1) * ratingGap;
  const share = (shown * size + Math.floor(shown) * ratingGap) / whole;
  const step = size + ratingGap;
  const symbolAt = (at: number, colour: string | undefined): string => {
    const tile = { x: box.x + at * step, y: box.y, width: step, height: box.height };
    return symbol(said('symbol'), tile, colour);
  };
  const symbols = (colour: string | undefined) =>
    Array.from({ length: Math.ceil(box.width / step) }, (_, at) => symbolAt(at, colour)).join('');
  return inBoth(sketch, share, colourSaid(sketch, 'tint'), symbols);
};

function symbol(kind: unknown, tile: Box, colour: string | undefined): string {
  const { x, y, width, height } = tile;
  const paint = filled(colour);
  if (kind === 'bar') return rounded({ ...tile, width: width - ratingGap }, 0, paint);
  if (kind === 'dot') {
    const cx = width / 2 - ratingGap / 2;
    const r = Math.min(cx, width - cx, height / 2) * 0.98;
    return element('circle', { cx: x + cx, cy: y + height / 2, r, ...paint });
  }
  const scale = Math.min(width / starAcross, height / starDown);
  const down = y + (height - starDown * scale) / 2;
  const transform = `translate(${x} ${down}) scale(${scale})`;
  return element('path', { d: star, transform, ...paint });
}
