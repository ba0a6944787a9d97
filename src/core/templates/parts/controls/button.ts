import { bindable, colour, enabled, optional, picture, rare, style, text, word } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  text: optional(text('text')),
  icon: optional(picture('icon')),
  kind: word('kind', ['filled', 'outlined', 'plain']),
  tint: bindable(colour('tint', 'woad', 'woad')),
  colour: rare(bindable(colour('colour', 'ground'))),
  style: rare(bindable(style('style', 'value'))),
  enabled,
  ...ofEveryPart,
};

export type ButtonPart = PartOf<'button', typeof properties>;

const around = { start: 12, end: 12, top: 6, bottom: 6 };

/** Something to press: words, an icon, or both. */
export const button: DraftedKind<'button', typeof properties> = {
  part: 'button',
  about: 'Something to press: words, an icon, or both',
  shows: 'text',
  box: 'pill',
  isTarget: true,
  isNamedBy: ['name', 'text'],
  properties,
  sized: () => ({ width: 'fit', height: 'fit', padding: around, gap: 6, align: 'centre' }),
  draft: (id, value) => ({ part: 'button', id, text: value }),
};
