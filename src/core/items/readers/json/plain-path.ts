import { isRecord, type Json, ok, ownValue, type Result } from '../../../base';
import type { JsonNode } from './json-path';

/** A value of a document and where it is. */
export type Found = Pick<JsonNode, 'value' | 'location'>;

/** Whether a path ends with all that there is. */
export const everyOne = /(?:\.\*|\[\s*\*\s*\])\s*$/;

/**
 * What a path of names and positions selects, with `[*]` at its end or without: most paths are such
 * ones, and there may be more elements than a query takes. Undefined: it is no such path, or leads nowhere.
 */
export function plainNodes(root: Json, at: string): Result<readonly Found[], never> | undefined {
  const isEveryOne = everyOne.test(at);
  const plain = at.replace(everyOne, '');
  if (!/^\s*\$/.test(plain) || /\\[^'\\]/.test(plain)) return undefined;
  const location: (string | number)[] = [];
  let value: Json = root;
  step.lastIndex = plain.indexOf('$') + 1;
  while (step.lastIndex < plain.length) {
    const [, dotted, single, double, index] = step.exec(plain) ?? [];
    const name = dotted ?? (single ?? double)?.replace(/\\(.)/g, '$1');
    const next =
      name !== undefined && isRecord(value)
        ? ownValue(value, name)
        : index !== undefined && Array.isArray(value)
          ? value.at(Number(index))
          : undefined;
    if (next === undefined) return undefined;
    const position = Number(index);
    const from = position < 0 && Array.isArray(value) ? value.length : 0;
    location.push(name ?? from + position);
    value = next;
  }
  if (!isEveryOne) return ok([{ value, location }]);
  if (Array.isArray(value))
    return ok(value.map((each, at) => ({ value: each, location: [...location, at] })));
  if (!isRecord(value)) return undefined;
  const record = value;
  return ok(
    Object.keys(record).map((name) => ({
      value: ownValue(record, name) ?? null,
      location: [...location, name],
    })),
  );
}

const step =
  /\.\*|\[\s*\*\s*\]|\.([\p{L}_][\p{L}\p{N}_]*)|\[\s*(?:'((?:[^'\\]|\\.)*)'|"((?:[^"\\]|\\.)*)"|(-?\d+))\s*\]/uy;
