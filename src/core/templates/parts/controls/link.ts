import { address, bindable, colour, lines, rare, size, style, text, trait, word } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  text: text('text'),
  address: address('address'),
  style: bindable(style('style', 'body')),
  colour: bindable(colour('colour', 'woad', 'woad')),
  underlined: rare(bindable({ ...trait('underlined'), default: true, first: false })),
  lines: rare(bindable(lines('lines'))),
  width: bindable(size('width', 'fit')),
  align: word('align', ['start', 'centre', 'end']),
  ...ofEveryPart,
};

export type LinkPart = PartOf<'link', typeof properties>;

/** Words that lead to an address of the web, a mailbox or a telephone. */
export const link: DraftedKind<'link', typeof properties> = {
  part: 'link',
  about: 'Words that lead to an address of the web, a mailbox or a telephone',
  shows: 'text',
  box: 'label',
  properties,
  sized: () => ({ height: 'fit' }),
  draft: (id, value) => ({ part: 'link', id, text: value, address: value }),
};
