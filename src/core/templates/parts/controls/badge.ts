import { bindable, colour, rare, style, text, whole, word } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  text: text('text'),
  tint: bindable(colour('tint', 'madder', 'madder')),
  colour: bindable(colour('colour', 'ground', 'ground')),
  style: rare(bindable(style('style', 'small'))),
  atZero: word('at zero', ['shown', 'leaves']),
  max: whole('most', 99, 1, 1_000_000),
  ...ofEveryPart,
};

export type BadgePart = PartOf<'badge', typeof properties>;

const ends = { start: 6, end: 6, top: 0, bottom: 0 };

/** A few words or a count on a colour of its own. */
export const badge: DraftedKind<'badge', typeof properties> = {
  part: 'badge',
  about: 'A few words or a count on a colour of its own',
  shows: 'text',
  box: 'pill',
  properties,
  sized: () => ({ width: 'fit', height: 'fit', padding: ends }),
  finish: 'count',
  mayLeave: ({ atZero }) => atZero === 'leaves',
  draft: (id, value) => ({ part: 'badge', id, text: value }),
};
