import { failed, ok, ownValue, type Result } from '../../base';
import { isBound, kindOfPart, type Part, propertyOf } from '../../templates';
import { type Field, fieldAtPath, pathRead, pathText } from '../../values';

/** The field that a control writes: the one that it is bound to. Why it can't be written, if it can't. */
export function fieldWritten(
  part: Part,
  fields: readonly Field[],
): Result<readonly string[], string> {
  const { shows } = kindOfPart(part);
  const fed = shows === undefined ? undefined : propertyOf(part, shows);
  if (!isBound(fed)) return failed('it is bound to nothing');
  return fieldNamed(fed.expr, fields);
}

/** Whether a reader may change a part, so that it should write something. */
export const isChanged = (part: Part): boolean => 'change' in kindOfPart(part).properties;

/** What a control could write, as expressions: fields of the item that hold what it is changed to. */
export function writableFields(part: Part, fields: readonly Field[]): readonly string[] {
  const { shows, properties } = kindOfPart(part);
  const isToggle = shows !== undefined && ownValue(properties, shows)?.kind === 'condition';
  const holds = ({ type, expr }: Field) =>
    expr === undefined && (isToggle ? type === 'boolean' : type === 'number' || type === 'integer');
  const within = (of: readonly Field[], before: readonly string[]): string[] =>
    of.flatMap((field) => {
      const path = [...before, field.name];
      if (field.type === 'record' && field.expr === undefined) return within(field.fields, path);
      return holds(field) ? [pathText(path)] : [];
    });
  return within(fields, []);
}

/** The field that an expression is, and nothing else; why it can't be written, if it can't. */
export function fieldNamed(
  expr: string,
  fields: readonly Field[],
): Result<readonly string[], string> {
  const path = pathRead(expr);
  if (path === undefined) return failed(`${expr} is no field, but comes of one or more`);
  const field = fieldAtPath(fields, path);
  if (field === undefined) return failed(`${expr} is no field of the item`);
  if (field.expr !== undefined) return failed(`${expr} is computed`);
  return ok(path);
}
