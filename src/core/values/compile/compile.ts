import { isRecord, type JsonRecord, ownValue } from '../../base';
import type { Checked, ResultType } from '../check/check';
import { plainText, type Value } from '../value';

export type Evaluate = (item: JsonRecord) => Value;

/** A checked expression as a closure. It never throws; whatever is not there is `undefined`. */
export function compile(checked: Checked): Evaluate {
  switch (checked.kind) {
    case 'literal': {
      const { value } = checked;
      return () => value;
    }
    case 'item':
      return (item) => item;
    case 'field':
      return load(checked.name, checked.type);
    case 'member':
      return member(compile(checked.of), load(checked.name, checked.type));
    case 'template':
      return template(checked.texts, checked.holes.map(compile));
    case 'lookup': {
      const { find } = checked;
      const key = compile(checked.key);
      return (item) => {
        const value = key(item);
        return value === undefined ? undefined : find(value);
      };
    }
    case 'fallback': {
      const left = compile(checked.left);
      const right = compile(checked.right);
      return (item) => left(item) ?? right(item);
    }
  }
}

function member(of: Evaluate, step: Evaluate): Evaluate {
  return (item) => {
    const record = of(item);
    return isRecord(record) ? step(record) : undefined;
  };
}

function template(texts: readonly string[], holes: readonly Evaluate[]): Evaluate {
  const first = texts[0] ?? '';
  return (item) => {
    let text = first;
    for (let i = 0; i < holes.length; i += 1)
      text += (plainText(holes[i]?.(item)) ?? '') + (texts[i + 1] ?? '');
    return text;
  };
}

/**
 * Reads a field so that only a value of its type comes through: items may differ from what was
 * known when the type was written. Names that every object inherits are looked up as own keys.
 */
export function load(name: string, type: ResultType): Evaluate {
  const isInherited = name in Object.prototype;
  const raw = isInherited
    ? (item: JsonRecord) => ownValue(item, name) ?? undefined
    : (item: JsonRecord) => item[name] ?? undefined;
  switch (type.type) {
    case 'text':
      return (item) => {
        const value = raw(item);
        return typeof value === 'string' ? value : plainText(value);
      };
    case 'integer':
    case 'number':
      return (item) => {
        const value = raw(item);
        return typeof value === 'number' ? value : undefined;
      };
    case 'boolean':
      return (item) => {
        const value = raw(item);
        return typeof value === 'boolean' ? value : undefined;
      };
    case 'record':
      return (item) => {
        const value = raw(item);
        return isRecord(value) ? value : undefined;
      };
    case 'list':
      return (item) => {
        const value = raw(item);
        return Array.isArray(value) ? value : undefined;
      };
    case 'unknown':
    case 'either':
      return raw;
    default:
      return (item) => {
        const value = raw(item);
        return typeof value === 'string' ? value : undefined;
      };
  }
}
