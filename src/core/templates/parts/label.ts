import type { Binding } from '../binding';
import type { TextStyleName } from '../styles';
import type { Size } from './size';

/** Words on one line, cut with an ellipsis where they do not fit. */
export interface LabelPart {
  readonly part: 'label';
  readonly id: string;
  readonly text: Binding;
  readonly style: TextStyleName;
  readonly width: Size;
  /** Where it leads: a web page, a mailbox, a telephone. */
  readonly link?: Binding;
  readonly align?: 'start' | 'centre' | 'end';
}

export const label = {
  part: 'label',
  draft: (id: string, text: Binding, style: TextStyleName, width: Size = 'fit'): LabelPart => ({
    part: 'label',
    id,
    text,
    style,
    width,
  }),
} as const;
