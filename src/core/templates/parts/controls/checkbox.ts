import { isBound } from '../../bound';
import { bindable, colour, condition, optional, rare, text } from '../../property';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  on: bindable(condition('checked')),
  enabled: rare(bindable({ ...condition('enabled'), default: true, first: false })),
  name: optional(text('read aloud as')),
  tint: bindable(colour('tint', 'woad', 'woad')),
  ...ofEveryPart,
};

export type CheckboxPart = PartOf<'checkbox', typeof properties>;

/** Whether something is chosen or done. */
export const checkbox: DraftedKind<'checkbox', typeof properties> = {
  part: 'checkbox',
  about: 'Whether something is chosen or done',
  shows: 'on',
  box: 'block',
  properties,
  sized: () => ({ width: { fixed: 20 }, height: { fixed: 20 } }),
  draft: (id, value) => ({ part: 'checkbox', id, ...(isBound(value) && { on: value }) }),
};
