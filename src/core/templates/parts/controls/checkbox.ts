import { isBound } from '../../bound';
import { bindable, condition } from '../declare';
import type { DraftedKind, PartOf } from '../kind';
import { ofToggles } from './toggled';

const properties = {
  on: bindable(condition('checked')),
  ...ofToggles,
};

export type CheckboxPart = PartOf<'checkbox', typeof properties>;

/** Whether something is chosen or done. */
export const checkbox: DraftedKind<'checkbox', typeof properties> = {
  part: 'checkbox',
  about: 'Whether something is chosen or done',
  shows: 'on',
  box: 'block',
  isTarget: true,
  isNamedBy: ['name'],
  properties,
  sized: () => ({ width: { fixed: 20 }, height: { fixed: 20 } }),
  draft: (id, value) => ({ part: 'checkbox', id, ...(isBound(value) && { on: value }) }),
};
