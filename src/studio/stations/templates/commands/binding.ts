import { families } from '../../../../core/formats';
import { type Edit, edits, environmentOf, withId } from '../../../../core/project';
import {
  type Bound,
  inputProperty,
  isBound,
  kindOfPart,
  type Part,
  propertyOf,
  usesAround,
} from '../../../../core/templates';
import { makeExpression, pathRead } from '../../../../core/values';
import { bindPath, type Place } from '../binding/binding-edits';
import { fieldsSeen, type Selection } from '../selection';

/** What a part shows becomes what an expression gives, or fixed words; a text: why it can't. */
export function shownInstead(
  selection: Selection,
  part: Part,
  value: { readonly expr: string } | string,
): Edit | string {
  const input = typeof value === 'string' ? undefined : inputBehind(selection, part);
  const { shows } = kindOfPart(part);
  const property = input?.property ?? shows;
  if (property === undefined) return `A ${part.part} shows no value of its own.`;
  const place = input ?? { template: selection.template.id, part: part.id, property };
  if (typeof value === 'string') return edits.bind(place, value);
  const before = input === undefined ? propertyOf(part, property) : undefined;
  if (!isBound(before)) return bindPath(place, value.expr, '');
  return bindPath(place, value.expr, withFittingFormat(selection, before, value.expr, place));
}

/** What a part showed, without the format that can't write what it shows now. */
function withFittingFormat(selection: Selection, before: Bound, expr: string, place: Place): Bound {
  const format = withId(selection.project.formats ?? [], before.format ?? '');
  const fields = fieldsSeen(selection, place);
  const { checked } = makeExpression(expr, fields, 'any', environmentOf(selection.project));
  if (format === undefined || checked === undefined || families[format.as].takes(checked.type))
    return before;
  const { format: _, ...rest } = before;
  return rest;
}

/** The input that a part of a shared part shows: a value of the item feeds that, not the part. */
function inputBehind({ template }: Pick<Selection, 'template'>, part: Part): Place | undefined {
  const use = usesAround(part.id).at(-1);
  const { shows } = kindOfPart(part);
  const shown = shows === undefined ? undefined : propertyOf(part, shows);
  const [input, ...more] = (isBound(shown) ? pathRead(shown.expr) : undefined) ?? [];
  if (use === undefined || input === undefined || more.length > 0) return undefined;
  return { template: template.id, part: use, property: inputProperty(input) };
}
