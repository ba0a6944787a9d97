import { failed, ok, type Result } from '../../base';
import { isBound, kindOfPart, type Part, propertyOf } from '../../templates';
import { type Field, fieldAtPath, pathRead } from '../../values';

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
