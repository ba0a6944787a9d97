import { isBound } from '../../bound';
import { actions, amount, bindable, colour, enabled, rare, size } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  value: amount('value', 0),
  min: rare(amount('from', 0)),
  max: amount('to', 1),
  step: rare(amount('in steps of', undefined)),
  width: bindable(size('width', { share: 1 })),
  enabled,
  tint: bindable(colour('tint', 'woad', 'woad')),
  track: colour('track', 'rule', 'rule'),
  change: actions('change'),
  ...ofEveryPart,
};

export type SliderPart = PartOf<'slider', typeof properties>;

/** A value that is set by dragging. */
export const slider: DraftedKind<'slider', typeof properties> = {
  part: 'slider',
  about: 'A value that is set by dragging',
  shows: 'value',
  box: 'block',
  isTarget: true,
  isNamedBy: ['name'],
  properties,
  sized: () => ({ height: { fixed: 24 } }),
  draft: (id, value) => ({ part: 'slider', id, ...(isBound(value) && { value }) }),
};
