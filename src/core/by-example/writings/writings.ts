import { kindOf, plainText, type Value } from '../../values';
import type { Source } from '../sources';
import type { Wanted } from '../wanted';
import { dateWritings } from './date-writings';
import { numberWritings } from './number-writings';
import { listWritings, textWritings } from './text-writings';
import { plain, type Writing } from './writing';

/** Ways to write a value that may stand in the typed text: what is cheap to rule out is left out. */
export function writingsOf(source: Source, value: Value, wanted: Wanted): readonly Writing[] {
  switch (kindOf(source.type)) {
    case 'number':
      return typeof value === 'number' ? numberWritings(source, value, wanted) : [];
    case 'date':
      return typeof value === 'string' ? [plain(0.8, true), ...dateWritings(value, wanted)] : [];
    case 'list':
      return Array.isArray(value) ? listWritings(source, value.length, wanted) : [];
    case 'text':
      if (source.type.type === 'time' && typeof value === 'string')
        return [plain(0.1, true), ...dateWritings(value, wanted)];
      return textWritings(plainText(value) ?? '', wanted);
    default:
      return [];
  }
}
