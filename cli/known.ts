import { atOnce, ownValue } from '../src/core/base';
import {
  type BetterReading,
  betterReading,
  fieldReadSo,
  type Inference,
  type Item,
  type ItemsRead,
  inferRead,
  isReadAsFound,
  isThere,
  pathsReadAsFound,
  reshaper,
  settledWay,
  type TypeShape,
  typeValueOf,
  valueAt,
} from '../src/core/items';
import { fieldAtPath, fieldsChangedAt } from '../src/core/values';

/** The items of a file with what is known of them. */
export interface KnownItems {
  readonly read: ItemsRead;
  readonly inference: Inference;
  readonly types: readonly KnownType[];
  /** Fields that would be more than texts or counts if they were read otherwise. */
  readonly better: readonly BetterReading[];
}

type KnownType = TypeShape & { readonly count: number; readonly items: readonly Item[] };

/** Fields are what the application takes them for when the same file is brought to it. */
export function known(file: string, read: ItemsRead): KnownItems {
  const inference = atOnce(inferRead(read, file));
  const { discriminator } = inference;
  const types = inference.types.map((type) => ({
    name: type.value ?? file.replace(/\.[a-z0-9]+$/i, ''),
    value: type.value ?? null,
    count: type.count,
    fields: type.fields.map(({ missingCount: _, ...field }) => field),
    items:
      discriminator === undefined
        ? read.items
        : read.items.filter((item) => typeValueOf(ownValue(item, discriminator)) === type.value),
  }));
  return { read, inference, types, better: betterReadings(types) };
}

function betterReadings(types: readonly KnownType[]): BetterReading[] {
  return pathsReadAsFound(types).flatMap((path) => {
    const owners = types.filter(({ fields }) => fieldAtPath(fields, path) !== undefined);
    const { type } = fieldAtPath(owners[0]?.fields ?? [], path) ?? {};
    const scalar = type === 'record' || type === 'list' ? undefined : type;
    const items = owners.flatMap((type) => type.items);
    const found = betterReading(path, scalar, {
      itemCount: items.length,
      *of(every) {
        for (let at = 0; at < items.length; at += every) {
          const value = valueAt(items[at] ?? {}, path);
          if (isThere(value)) yield value;
        }
      },
    });
    return found ?? [];
  });
}

/** All that reads better and can mean one thing only read so, as the application does by a press. */
export function readSo(all: KnownItems): KnownItems {
  const settled = all.better.flatMap((reading) => {
    const decoding = settledWay(reading);
    return decoding === undefined ? [] : [{ path: reading.path, decoding }];
  });
  const types = all.types.map((type) => {
    const fields = settled.reduce(
      (fields, { path, decoding }) =>
        fieldsChangedAt(fields, path, (field) =>
          isReadAsFound(field) ? fieldReadSo(field, decoding) : field,
        ),
      type.fields,
    );
    return { ...type, fields };
  });
  return { ...all, types, better: all.better.filter((each) => settledWay(each) === undefined) };
}

/** The items as their types want them, in the order of the file. */
export function decodedItems({ read, inference, types }: KnownItems): readonly Item[] {
  const byValue = new Map(types.map((type) => [type.value, reshaper(type.fields)]));
  const { discriminator } = inference;
  return read.items.map((item) => {
    const value =
      discriminator === undefined ? null : (typeValueOf(ownValue(item, discriminator)) ?? null);
    return byValue.get(value)?.(item) ?? item;
  });
}
