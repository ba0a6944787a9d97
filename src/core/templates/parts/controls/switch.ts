import { isBound } from '../../bound';
import { bindable, condition } from '../declare';
import type { DraftedKind, PartOf } from '../kind';
import { ofToggles } from './toggled';

const properties = {
  on: bindable(condition('on')),
  ...ofToggles,
};

export type SwitchPart = PartOf<'switch', typeof properties>;

/** Whether something is on. */
export const switchKind: DraftedKind<'switch', typeof properties> = {
  part: 'switch',
  about: 'Whether something is on',
  shows: 'on',
  box: 'block',
  isTarget: true,
  isNamedBy: ['name'],
  properties,
  sized: () => ({ width: { fixed: 40 }, height: { fixed: 24 } }),
  draft: (id, value) => ({ part: 'switch', id, ...(isBound(value) && { on: value }) }),
};
