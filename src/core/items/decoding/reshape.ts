import type { Json } from '../../base';
import {
  computedOrder,
  type Field,
  fieldNamed,
  fieldsBeside,
  heldFields,
  makeExpression,
  type RowContext,
  readsContext,
  withArticle,
} from '../../values';
import type { Item } from '../item';
import { decoder, isThere } from './decode';
import { heldReshaper, withOwn } from './held';

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
  const decoded = heldReshaper(heldFields(fields));
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
