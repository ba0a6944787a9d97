import { isBound } from '../../bound';
import {
  actions,
  amount,
  bindable,
  colour,
  enabled,
  optional,
  rare,
  style,
  text,
} from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  value: amount('value', 0),
  text: optional(text('words between')),
  min: rare(amount('from', undefined)),
  max: rare(amount('to', undefined)),
  step: rare(amount('in steps of', 1)),
  style: rare(bindable(style('style', 'value'))),
  enabled,
  tint: bindable(colour('tint', 'woad', 'woad')),
  change: actions('change'),
  ...ofEveryPart,
};

export type StepperPart = PartOf<'stepper', typeof properties>;

/** How wide the place of each sign is, in px. */
const stepperEndPx = 32;
const ends = { start: stepperEndPx + 4, end: stepperEndPx + 4, top: 6, bottom: 6 };

/** A value with less and more at its ends. */
export const stepper: DraftedKind<'stepper', typeof properties> = {
  part: 'stepper',
  about: 'A value with less and more at its ends',
  shows: 'value',
  box: 'pill',
  isTarget: true,
  isNamedBy: ['name'],
  properties,
  sized: () => ({ width: 'fit', height: { fixed: 32 }, padding: ends, align: 'centre' }),
  draft: (id, value) => ({
    part: 'stepper',
    id,
    ...(isBound(value) && { value, text: value }),
  }),
};
