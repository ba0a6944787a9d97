import { isBound } from '../../bound';
import { actions, amount, bindable, colour, px, whole, word } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  value: amount('value', 0),
  of: whole('of', 5, 1, 20),
  steps: word('steps', ['whole', 'half']),
  symbol: word('symbol', ['star', 'dot', 'bar']),
  size: px('size', 14, 100),
  tint: bindable(colour('tint', 'weld', 'weld')),
  track: colour('track', 'rule', 'rule'),
  change: actions('change'),
  ...ofEveryPart,
};

export type RatingPart = PartOf<'rating', typeof properties>;

/** Room between two symbols, in px. */
export const ratingGap = 2;

/** So many of some symbols. */
export const rating: DraftedKind<'rating', typeof properties> = {
  part: 'rating',
  about: 'So many of some symbols',
  shows: 'value',
  box: 'block',
  isNamedBy: ['name'],
  properties,
  sized: ({ size = 14, of = 5 }) => ({
    width: { fixed: of * size + (of - 1) * ratingGap },
    height: { fixed: size },
  }),
  draft: (id, value) => ({ part: 'rating', id, ...(isBound(value) && { value }) }),
};
