import {
  actions,
  beginning,
  bindable,
  colour,
  enabled,
  list,
  name,
  ofRow,
  optional,
  padding,
  picture,
  px,
  radius,
  rare,
  size,
  stepped,
  text,
  trait,
  whole,
  word,
} from './declare';
import { type DraftedKind, ofEveryPart, type PartOf } from './kind';
import type { Size } from './size';

const properties = {
  direction: word('runs', ['across', 'down', 'over']),
  gap: stepped(px('gap', 0)),
  padding: padding('padding'),
  border: rare(beginning(px('border', 0, 20), 1)),
  borderColour: rare(bindable(colour('border colour', 'rule'))),
  background: rare(bindable(colour('background', 'soft'))),
  radius: rare(beginning(radius('corners'), 6)),
  align: word('align', ['start', 'centre', 'end', 'stretch']),
  distribute: rare(word('distributes', ['start', 'centre', 'end', 'between', 'around', 'evenly'])),
  width: bindable(size('width', 'fit')),
  height: rare(bindable(size('height', 'fit'))),
  ...ofEveryPart,
  over: rare(list('once for each of')),
  as: rare(name('each called', 'each')),
  max: rare(whole('at most', 5, 1, 50)),
  more: { ...optional(text('words for the rest')), firstExpr: '`+${rest}`' },
  leadsOn: ofRow(bindable(trait('leads on'))),
  mark: ofRow(optional(picture('mark'))),
  enabled: ofRow(enabled),
  press: ofRow(actions('press')),
  swipeStart: ofRow(actions('swipeStart')),
  swipeEnd: ofRow(actions('swipeEnd')),
  menu: ofRow(actions('menu')),
  pressed: ofRow(colour('while pressed', 'soft')),
  selected: ofRow(colour('if selected', 'soft')),
};

export type StackItself = PartOf<'stack', typeof properties>;

/** Parts beside (across), under (down) or over each other; which parts, the list of kinds knows. */
export const stack: DraftedKind<'stack', typeof properties> = {
  part: 'stack',
  about: 'Parts beside, under or over each other',
  shows: undefined,
  box: 'stack',
  holds: 'children',
  properties,
  draft: (id, _value, where) => draftStack(id, where === 'under' ? 'down' : 'across', []),
};

export const draftStack = <Child>(
  id: string,
  direction: 'across' | 'down' | 'over',
  children: readonly Child[],
  width: Size = { share: 1 },
): StackItself & { readonly children: readonly Child[] } => ({
  part: 'stack',
  id,
  direction,
  gap: direction === 'across' ? 12 : 2,
  align: direction === 'across' ? 'centre' : 'stretch',
  ...(width !== 'fit' && { width }),
  children,
});
