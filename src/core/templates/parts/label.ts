import type { Binding } from '../bound';
import {
  address,
  beginning,
  bindable,
  colour,
  language,
  lines,
  optional,
  rare,
  size,
  style,
  text,
  textSize,
  trait,
  weight,
  word,
} from './declare';
import { type DraftedKind, ofEveryPart, type PartOf } from './kind';
import type { Size } from './size';

/** How words look beside their style. */
export const ofWords = {
  colour: rare(bindable(colour('colour', 'madder'))),
  weight: rare(bindable(weight('weight'))),
  italic: rare(bindable(trait('italic'))),
  strike: rare(bindable(trait('struck through'))),
  markup: rare(beginning(word('markup', ['none', 'inline']), 'inline')),
};

const properties = {
  text: text('text'),
  link: optional(address('link')),
  style: bindable(style('style', 'body')),
  ...ofWords,
  lines: bindable(lines('lines')),
  width: bindable(size('width', 'fit')),
  height: rare(bindable(size('height', 'fit'))),
  align: word('align', ['start', 'centre', 'end']),
  overflow: rare(word('if too long', ['ellipsis', 'clip', 'shrink'])),
  smallest: rare(textSize('smallest size', 10)),
  numerals: rare(beginning(word('numerals', ['usual', 'proportional', 'tabular']), 'tabular')),
  language: rare(bindable(language('language'))),
  ...ofEveryPart,
};

export type LabelItself = PartOf<'label', typeof properties>;

/** Words on so many lines, cut where they do not fit; which runs go on in it, the list of kinds knows. */
export const label: DraftedKind<'label', typeof properties> = {
  part: 'label',
  about: 'Words: a value, or fixed ones',
  shows: 'text',
  box: 'label',
  holds: 'runs',
  properties,
  draft: (id, value, where) =>
    where === 'under'
      ? draftLabel(id, value, 'small', { share: 1 })
      : draftLabel(id, value, 'value'),
};

export const draftLabel = (
  id: string,
  words: Binding,
  ofStyle: string,
  width: Size = 'fit',
): LabelItself => ({
  part: 'label',
  id,
  text: words,
  style: ofStyle,
  ...(width !== 'fit' && { width }),
});
