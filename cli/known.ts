import { atOnce, ownValue } from '../src/core/base';
import {
  type Inference,
  type Item,
  type ItemsRead,
  inferRead,
  isThere,
  reshaper,
  settledDecoding,
  type TypeShape,
  typeDecoded,
  typeValueOf,
} from '../src/core/items';
import type { Field } from '../src/core/values';

/** The items of a file with what is known of them; decodings that the values settle are taken. */
export interface KnownItems {
  readonly read: ItemsRead;
  readonly inference: Inference;
  readonly types: readonly (TypeShape & {
    readonly count: number;
    readonly items: readonly Item[];
  })[];
}

export function known(file: string, read: ItemsRead): KnownItems {
  const inference = atOnce(inferRead(read, file));
  const { discriminator } = inference;
  const types = inference.types.map((type) => {
    const items =
      discriminator === undefined
        ? read.items
        : read.items.filter((item) => typeValueOf(ownValue(item, discriminator)) === type.value);
    const fields = type.fields.map(({ missingCount: _, ...field }) => decoded(field, items));
    return {
      name: type.value ?? file.replace(/\.[a-z0-9]+$/i, ''),
      value: type.value ?? null,
      count: type.count,
      fields,
      items,
    };
  });
  return { read, inference, types };
}

/** The items after decoding, in the order of the file. */
export function decodedItems({ read, inference, types }: KnownItems): readonly Item[] {
  const byValue = new Map(types.map((type) => [type.value, reshaper(type.fields)]));
  const { discriminator } = inference;
  return read.items.map((item) => {
    const value =
      discriminator === undefined ? null : (typeValueOf(ownValue(item, discriminator)) ?? null);
    return byValue.get(value)?.(item) ?? item;
  });
}

function decoded(field: Field, items: readonly Item[]): Field {
  const values = items.map((item) => ownValue(item, field.name)).filter(isThere);
  const decoding = settledDecoding(field.name, values);
  const type = decoding === undefined ? undefined : typeDecoded(decoding);
  if (decoding === undefined || type === undefined) return field;
  const required = values.length === items.length && decoding.none === undefined;
  return { name: field.name, required, type, decode: decoding };
}
