import { colour, px } from './declare';
import { type DraftedKind, ofEveryPart, type PartOf } from './kind';

const properties = {
  thickness: px('thickness', 1, 40),
  colour: colour('colour', 'rule', 'rule'),
  inset: px('inset', 0),
  ...ofEveryPart,
};

export type LinePart = PartOf<'line', typeof properties>;

/** A line between parts: upright beside others, else level; as long as its stack but for the inset. */
export const line: DraftedKind<'line', typeof properties> = {
  part: 'line',
  about: 'A line between parts: upright beside others, else level',
  shows: undefined,
  box: 'block',
  properties,
  sized({ thickness = 1, inset = 0 }, direction) {
    const ends = { start: 0, end: 0, top: 0, bottom: 0 };
    const [thin, long] = [{ fixed: thickness }, { share: 1 }];
    return direction === 'across'
      ? { width: thin, height: long, padding: { ...ends, top: inset, bottom: inset } }
      : { width: long, height: thin, padding: { ...ends, start: inset, end: inset } };
  },
  draft: (id) => ({ part: 'line', id }),
};
