import { isRecord, type Json } from '../../base';
import {
  computedOrder,
  type Field,
  fieldNamed,
  fieldsBeside,
  heldFields,
  makeExpression,
  type RowContext,
  readsContext,
  type ValueType,
  withArticle,
} from '../../values';
import type { Item } from '../item';
import { type Decode, decoder, isThere } from './decode';

/** What a computed property may know beside its item. */
type Around = Pick<RowContext, 'now'>;

/** An item as it was read, as its type wants it: fields under their own names, values decoded. */
export type Reshape = (item: Item, around?: Around) => Item;

interface Made {
  readonly reshape: Reshape | undefined;
  readonly followsTime: boolean;
}

const made = new WeakMap<readonly Field[], Made>();

/** Undefined where items of the type stay as they were read. Asked for with every answer, made once for its fields. */
export const reshaper = (fields: readonly Field[]): Reshape | undefined => madeFor(fields).reshape;

/** Whether a computed property reads the time: the items are others later. */
export const followsTime = (fields: readonly Field[]): boolean => madeFor(fields).followsTime;

function madeFor(fields: readonly Field[]): Made {
  const known = made.get(fields) ?? reshaperOf(fields);
  made.set(fields, known);
  return known;
}

function reshaperOf(fields: readonly Field[]): Made {
  const decoded = decodedReshaper(heldFields(fields));
  const order = computedOrder(fields);
  const computed = [...order.names, ...order.circles.flat()].map((name, at) => {
    const expr = fieldNamed(fields, name)?.expr ?? '';
    const isSound = at < order.names.length;
    const beside = fieldsBeside(fields, name);
    const { checked, evaluate } = makeExpression(expr, beside);
    return { name, evaluate: isSound ? evaluate : undefined, checked };
  });
  if (computed.length === 0) return { reshape: decoded, followsTime: false };
  return {
    followsTime: computed.some(
      ({ checked }) => checked !== undefined && readsContext(checked, 'now'),
    ),
    reshape(item, around) {
      let made = decoded?.(item) ?? item;
      for (const { name, evaluate } of computed)
        made = withOwn(made, name, evaluate?.(made, around) as Json | undefined);
      return made;
    },
  };
}

/** A computed property hides a value that the item itself has under its name. */
function withOwn(item: Item, name: string, value: Json | undefined): Item {
  // A computed name in a literal is an own key, also where it is `__proto__`.
  if (value !== undefined) return { ...item, [name]: value };
  if (!Object.hasOwn(item, name)) return item;
  const { [name]: _, ...others } = item;
  return others;
}

/** The fields that items hold, under their own names and decoded. */
function decodedReshaper(fields: readonly Field[]): Reshape | undefined {
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

/** Why the decoding of a field gives no value for one as it was read; undefined: it gives one, or there is none. */
export function whyNotDecoded(field: Field, raw: Json | undefined): string | undefined {
  if (field.decode === undefined || !isThere(raw)) return undefined;
  const made = decoder(field.decode);
  if (!made.ok) return made.error;
  const value = made.value(raw);
  return value.ok
    ? undefined
    : `${JSON.stringify(raw)} is not ${withArticle(field)}: ${value.error}`;
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
    const reshape = reshaper(type.fields);
    return reshape && ((raw) => (isRecord(raw) ? reshape(raw) : raw));
  }
  if (type.type === 'list') {
    const each = insideReader(type.of);
    return each && ((raw) => (Array.isArray(raw) ? raw.map((one) => each(one) ?? null) : raw));
  }
  return undefined;
}
