import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import { type Checked, typeOfResult } from '../check/check';
import { load } from '../compile/compile';
import type { Span } from '../findings';
import { plainText, type Value } from '../value';

/** One step on the way to a value, for one item; `missing` says why there is none. */
export type TraceStep = Span & {
  readonly label: string;
  /** The value as people read it, shortened. */
  readonly shown: string;
  readonly missing?: string;
};

export interface Explained {
  readonly value: Value;
  readonly steps: readonly TraceStep[];
  /** Why the value is missing: the first step that was. */
  readonly missing?: string;
}

/** Walks a checked expression for one item and keeps what each step gave. */
export function explain(checked: Checked, item: JsonRecord): Explained {
  const steps: TraceStep[] = [];
  const result = visit(checked);
  return { ...result, steps };

  function visit(node: Checked): { readonly value: Value; readonly missing?: string } {
    switch (node.kind) {
      case 'literal':
        return step(
          node,
          'text',
          node.value,
          node.value === undefined ? 'null is no value' : undefined,
        );
      case 'item':
        return { value: item };
      case 'field':
        return step(node, node.name, ...read(node, item, 'this item'));
      case 'member': {
        const of = visit(node.of);
        if (!isRecord(of.value))
          return step(node, node.name, undefined, of.missing ?? 'nothing to go into');
        return step(node, node.name, ...read(node, of.value, labelOf(node.of)));
      }
      case 'lookup': {
        const key = visit(node.key);
        const found = key.value === undefined ? undefined : node.find(key.value);
        const none = `${node.source} has no item with the key ${plainText(key.value) ?? ''}`;
        return step(node, `lookup ${node.source}`, found, key.missing ?? none);
      }
      case 'template':
        return template(node);
      case 'fallback': {
        const left = visit(node.left);
        return left.value === undefined ? visit(node.right) : left;
      }
    }
  }

  function template(node: Checked & { kind: 'template' }): { readonly value: Value } {
    let text = node.texts[0] ?? '';
    for (const [index, hole] of node.holes.entries()) {
      text += (plainText(visit(hole).value) ?? '') + (node.texts[index + 1] ?? '');
    }
    return step(node, 'text', text, undefined);
  }

  function step(node: Checked, label: string, value: Value, missing?: string) {
    const because = value === undefined ? { missing: missing ?? 'missing' } : {};
    steps.push({ from: node.from, to: node.to, label, shown: shown(value), ...because });
    return { value, ...because };
  }
}

/** The value of a named step and, where it has none, why. */
function read(
  node: Checked & { name: string },
  record: JsonRecord,
  whose: string,
): [Value, string | undefined] {
  const value = load(node.name, node.type)(record);
  if (value !== undefined) return [value, undefined];
  const raw = ownValue(record, node.name);
  if (raw === undefined) return [undefined, `${whose} has no ${node.name}`];
  if (raw === null) return [undefined, `${node.name} is null`];
  return [undefined, `${node.name} is ${kindOf(raw)} here, not ${typeOfResult(node.type)}`];
}

const kindOf = (value: Json): string => {
  if (isRecord(value)) return 'a record';
  if (Array.isArray(value)) return 'a list';
  return typeof value === 'string' ? 'text' : typeof value === 'number' ? 'a number' : 'a boolean';
};

const labelOf = (node: Checked): string => {
  if (node.kind === 'lookup') return `the item of ${node.source}`;
  return 'name' in node ? node.name : 'it';
};

/** A value in a few characters: texts in quotes, records by their fields' names, lists by length. */
export function shown(value: Value): string {
  if (value === undefined) return 'missing';
  if (Array.isArray(value)) return `list of ${value.length}`;
  if (isRecord(value)) return `{ ${Object.keys(value).slice(0, 4).join(', ')} }`;
  if (typeof value !== 'string') return plainText(value) ?? '';
  return JSON.stringify(value.length > 60 ? `${value.slice(0, 59)}…` : value);
}
