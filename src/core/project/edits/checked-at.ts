import { failed, ok } from '../../base';
import { checkedTextSizes, checkedWidths, maxChecked } from '../checked-at';
import type { Edit } from './edit';

/** At which widths of the list boxes are checked, in CSS px; none: they are not. */
export const checkWidths = (widths: readonly number[]): Edit =>
  checkAt('widths', widths, { ...checkedWidths, named: 'width', unit: 'px' });

/** At which text sizes boxes are checked, in per cent; none: as styles say. */
export const checkTextSizes = (textSizes: readonly number[]): Edit =>
  checkAt('textSizes', textSizes, { ...checkedTextSizes, named: 'text size', unit: '%' });

interface Bounds {
  readonly min: number;
  readonly max: number;
  readonly named: string;
  readonly unit: string;
}

const checkAt = (
  property: 'widths' | 'textSizes',
  values: readonly number[],
  { min, max, named, unit }: Bounds,
): Edit => ({
  name: values.length === 0 ? `Check no ${named}s` : `Check ${named}s ${values.join(', ')}`,
  apply(project) {
    const wrong = values.find(
      (value) => !(Number.isInteger(value) && value >= min && value <= max),
    );
    if (wrong !== undefined)
      return failed(`A ${named} is a whole number from ${min} to ${max} ${unit}, not ${wrong}.`);
    const each = [...new Set(values)].sort((one, other) => one - other);
    if (each.length > maxChecked) return failed(`No more than ${maxChecked} of them are checked.`);
    const { [property]: _, ...others } = project;
    return ok(each.length === 0 ? others : { ...project, [property]: each });
  },
});
