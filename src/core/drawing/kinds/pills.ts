import { colourSaid, type DrawPart, numberSaid, rowColour, type Sketch } from '../sketch';
import { clipped, element, filled, rounded, stroked } from '../svg';
import { contentIn } from './images';
import { bordered } from './toggles';

export const badge: DrawPart = (sketch) =>
  rounded(sketch.box, 999, filled(colourSaid(sketch, 'tint'))) +
  contentIn(sketch, { box: sketch.box, radius: 999 }, sketch.inner());

export const button: DrawPart = (sketch) => {
  const { box, said } = sketch;
  const tint = colourSaid(sketch, 'tint');
  const kind = said('kind');
  const frame =
    kind === 'filled'
      ? rounded(box, 6, filled(tint))
      : kind === 'outlined'
        ? bordered(box, 6, { width: 1, colour: tint })
        : '';
  return frame + sketch.inner();
};

/** What the words and the icon of a button are drawn in. */
export function buttonInk(sketch: Sketch): string | undefined {
  const own = colourSaid(sketch, 'colour');
  if (own !== undefined) return own;
  return sketch.said('kind') === 'filled'
    ? rowColour(sketch, 'ground')
    : colourSaid(sketch, 'tint');
}

const signPx = 16;
const fromEndPx = 10;

export const stepper: DrawPart = (sketch) => {
  const { box, direction } = sketch;
  const value = numberSaid(sketch, 'value') ?? 0;
  const [min, max] = [numberSaid(sketch, 'min'), numberSaid(sketch, 'max')];
  const isRtl = direction === 'rtl';
  const sign = (d: string, isAtStart: boolean, isAtEnd: boolean) => {
    const isLeft = isAtStart !== isRtl;
    const x = isLeft ? box.x + fromEndPx : box.x + box.width - fromEndPx - signPx;
    const y = box.y + (box.height - signPx) / 2;
    const colour = isAtEnd ? rowColour(sketch, 'rule') : colourSaid(sketch, 'tint');
    return element('path', { d, transform: `translate(${x} ${y})`, ...stroked(colour, 1.6) });
  };
  return (
    bordered(box, 999, { width: 1, colour: rowColour(sketch, 'rule') }) +
    clipped(
      box,
      sign('M3 8h10', true, min !== undefined && value <= min),
      sign('M3 8h10M8 3v10', false, max !== undefined && value >= max),
    ) +
    sketch.inner()
  );
};
