import type { Binding } from '../bound';
import {
  address,
  bindable,
  language,
  lines,
  optional,
  rare,
  size,
  style,
  text,
  textSize,
  word,
} from '../property';
import type { TextStyleName } from '../styles';
import { type DraftedKind, ofEveryPart, type PartOf } from './kind';
import type { Size } from './size';

const properties = {
  text: text('text'),
  link: optional(address('link')),
  style: bindable(style('style', 'body')),
  lines: bindable(lines('lines')),
  width: bindable(size('width', 'fit')),
  height: rare(bindable(size('height', 'fit'))),
  align: word('align', ['start', 'centre', 'end']),
  overflow: rare(word('if too long', ['ellipsis', 'clip', 'shrink'])),
  smallest: rare(textSize('smallest size', 10)),
  language: rare(bindable(language('language'))),
  ...ofEveryPart,
};

export type LabelPart = PartOf<'label', typeof properties>;

/** Words on so many lines, cut where they do not fit. */
export const label: DraftedKind<'label', typeof properties> = {
  part: 'label',
  about: 'Words: a value, or fixed ones',
  shows: 'text',
  holdsParts: false,
  properties,
  draft: (id, value, where) =>
    where === 'under'
      ? draftLabel(id, value, 'small', { share: 1 })
      : draftLabel(id, value, 'value'),
};

export const draftLabel = (
  id: string,
  words: Binding,
  ofStyle: TextStyleName,
  width: Size = 'fit',
): LabelPart => ({
  part: 'label',
  id,
  text: words,
  style: ofStyle,
  ...(width !== 'fit' && { width }),
});
