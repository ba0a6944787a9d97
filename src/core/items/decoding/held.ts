import { isRecord, type Json } from '../../base';
import type { Field, ValueType } from '../../values';
import type { Item } from '../item';
import { type Decode, decoder } from './decode';

/** The fields that items hold, under their own names and decoded. */
export function heldReshaper(fields: readonly Field[]): ((item: Item) => Item) | undefined {
  const steps = fields.flatMap((field) => {
    const read = fieldReader(field);
    return read === undefined ? [] : [{ name: field.name, from: field.from ?? field.name, read }];
  });
  if (steps.length === 0) return undefined;
  const byFrom = new Map(steps.map((step) => [step.from, step]));
  // What a field takes over is its own, also where the item has that name already.
  const taken = new Set(steps.map((step) => step.name));
  return (item) => {
    const entries: [string, Json][] = [];
    for (const name of Object.keys(item)) {
      const raw = item[name] ?? null;
      const step = byFrom.get(name);
      if (step === undefined) {
        if (!taken.has(name)) entries.push([name, raw]);
        continue;
      }
      const value = step.read(raw);
      if (value !== undefined) entries.push([step.name, value]);
    }
    // Defines own keys, whatever they are called.
    return Object.fromEntries(entries);
  };
}

/** A computed property hides a value that the item itself has under its name. */
export function withOwn(item: Item, name: string, value: Json | undefined): Item {
  // A computed name in a literal is an own key, also where it is `__proto__`.
  if (value !== undefined) return { ...item, [name]: value };
  if (!Object.hasOwn(item, name)) return item;
  const { [name]: _, ...others } = item;
  return others;
}

type Read = (raw: Json) => Json | undefined;

function fieldReader(field: Field): Read | undefined {
  const inside = insideReader(field);
  const decode = field.decode === undefined ? undefined : decodeOr(field.decode);
  if (inside !== undefined || decode !== undefined) return inside ?? decode;
  return field.from === undefined || field.from === field.name ? undefined : (raw) => raw;
}

function decodeOr(decoding: NonNullable<Field['decode']>): Read {
  const made = decoder(decoding);
  if (!made.ok) return () => undefined;
  const decode: Decode = made.value;
  return (raw) => {
    if (raw === null) return null;
    const value = decode(raw);
    return value.ok ? value.value : undefined;
  };
}

function insideReader(type: ValueType): Read | undefined {
  if (type.type === 'record') {
    const reshape = heldReshaper(type.fields);
    return reshape && ((raw) => (isRecord(raw) ? reshape(raw) : raw));
  }
  if (type.type === 'list') {
    const each = insideReader(type.of);
    return each && ((raw) => (Array.isArray(raw) ? raw.map((one) => each(one) ?? null) : raw));
  }
  return undefined;
}
