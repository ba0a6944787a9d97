import { isBound } from '../../bound';
import { bindable, colour, condition, optional, rare, text } from '../../property';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  on: bindable(condition('on')),
  enabled: rare(bindable({ ...condition('enabled'), default: true, first: false })),
  name: optional(text('read aloud as')),
  tint: bindable(colour('tint', 'woad', 'woad')),
  ...ofEveryPart,
};

export type SwitchPart = PartOf<'switch', typeof properties>;

/** Whether something is on. */
export const switchKind: DraftedKind<'switch', typeof properties> = {
  part: 'switch',
  about: 'Whether something is on',
  shows: 'on',
  box: 'block',
  properties,
  sized: () => ({ width: { fixed: 40 }, height: { fixed: 24 } }),
  draft: (id, value) => ({ part: 'switch', id, ...(isBound(value) && { on: value }) }),
};
