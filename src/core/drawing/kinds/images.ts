import { borderUnitsAt } from '../../layout';
import {
  colourSaid,
  type DrawPart,
  type HeldPicture,
  numberSaid,
  pictureSaid,
  rowColour,
  type Sketch,
} from '../sketch';
import { type Box, element, filled, type Radius, radiusWithin, rounded, within } from '../svg';
import { bordered, radiusSaid } from './toggles';

export const image: DrawPart = (sketch) => {
  const { box, ratio, said } = sketch;
  const radius = radiusSaid(sketch);
  const ring = borderUnitsAt(ratio)(numberSaid(sketch, 'ring') ?? 0) / 64 / ratio;
  const inset = ring === 0 ? 0 : ring + (numberSaid(sketch, 'ringGap') ?? 0);
  const colour = colourSaid(sketch, 'ringColour') ?? rowColour(sketch, 'ink');
  const around = ring === 0 ? '' : bordered(box, radius, { width: ring, colour });
  const picture = pictureSaid(sketch, 'picture');
  const shown = { box: within(box, inset), radius: radiusWithin(radius, inset) };
  if (picture !== undefined) return around + pictureIn(sketch, picture, shown);
  if (said('broken') === 'nothing' || said('broken') === 'leaves') return around;
  const instead = pictureSaid(sketch, 'instead');
  if (instead !== undefined)
    return around + contentIn(sketch, shown, drawnIn(instead, shown.box, fitSaid(sketch)));
  return around + dashed(box, radius, rowColour(sketch, 'madder'));
};

interface Shown {
  readonly box: Box;
  readonly radius: Radius;
}

function pictureIn(sketch: Sketch, picture: HeldPicture, shown: Shown): string {
  const tint = colourSaid(sketch, 'tint');
  const drawn = drawnIn(picture, shown.box, fitSaid(sketch));
  if (!picture.isSymbol && tint === undefined) return contentIn(sketch, shown, drawn);
  return masked(
    sketch,
    drawn,
    rounded(shown.box, shown.radius, filled(tint ?? rowColour(sketch, 'ink'))),
  );
}

const fitSaid = ({ said }: Sketch): 'contain' | 'cover' =>
  said('fit') === 'cover' ? 'cover' : 'contain';

const drawnIn = ({ address }: HeldPicture, box: Box, fit: 'contain' | 'cover'): string =>
  box.width <= 0 || box.height <= 0
    ? ''
    : element('image', {
        ...box,
        href: address,
        preserveAspectRatio: fit === 'cover' ? 'xMidYMid slice' : 'xMidYMid meet',
      });

/** What is seen of a picture in a box whose corners are round. */
export function contentIn({ id }: Sketch, { box, radius }: Shown, drawn: string): string {
  if (radius === 0 || drawn === '') return drawn;
  const name = id();
  return (
    element('clipPath', { id: name }, rounded(box, radius, {})) +
    element('g', { 'clip-path': `url(#${name})` }, drawn)
  );
}

/** A colour in the shape of a picture. */
export function masked({ id }: Pick<Sketch, 'id'>, shape: string, colour: string): string {
  if (shape === '' || colour === '') return '';
  const name = id();
  return (
    element('mask', { id: name, 'mask-type': 'alpha' }, shape) +
    element('g', { mask: `url(#${name})` }, colour)
  );
}

/** The colour of a symbol in the middle of a box. */
export const symbolIn = (
  sketch: Sketch,
  picture: HeldPicture,
  box: Box,
  colour: string | undefined,
): string => masked(sketch, drawnIn(picture, box, 'contain'), rounded(box, 0, filled(colour)));

const dash = 3;
const gap = 2;

/** A dashed border as Chromium divides its sides, where corners are not round. */
function dashed(box: Box, radius: Radius, colour: string): string {
  if (box.width < 2 || box.height < 2) return '';
  const border = { fill: 'none', stroke: colour, 'stroke-width': 1 };
  if (radius !== 0)
    return rounded(within(box, 0.5), radius, { ...border, 'stroke-dasharray': `${dash} ${gap}` });
  const { x, y, width, height } = within(box, 0.5);
  const side = (x1: number, y1: number, x2: number, y2: number) => {
    const dashes = { 'stroke-dasharray': `${dash} ${bestGap(x2 - x1 + y2 - y1)}` };
    return element('line', { x1, y1, x2, y2, ...border, ...dashes });
  };
  const [left, right] = [x - 0.5, x + width + 0.5];
  return [
    side(left, y, right, y),
    side(left, y + height, right, y + height),
    side(x, y - 0.5, x, y + height + 0.5),
    side(x + width, y - 0.5, x + width, y + height + 0.5),
  ].join('');
}

/** So that a side ends with a dash. */
function bestGap(length: number): number {
  const fewest = Math.floor((length + gap) / (dash + gap));
  const [wide, narrow] = [fewest, fewest + 1].map(
    (dashes) => (length - dashes * dash) / (dashes - 1),
  );
  if (wide === undefined || narrow === undefined || narrow <= 0) return wide ?? gap;
  return Math.abs(wide - gap) < Math.abs(narrow - gap) ? wide : narrow;
}
