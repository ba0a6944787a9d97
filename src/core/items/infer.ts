import { count, type Finding, type Turns } from '../base';
import type { Field } from '../values';
import { likelyDiscriminator } from './discriminator';
import { itemFindings } from './findings';
import type { Item, Key } from './item';
import { findKey } from './likely-key';
import type { ItemsRead } from './readers/reader';
import { kindsInWords, type ShapeStat, type Shapes, shapesOf, wholeOf } from './shape';

export interface TypeFound {
  /** The discriminating field's value; undefined where there is one type only. */
  readonly value: string | undefined;
  readonly count: number;
  readonly fields: readonly FieldFound[];
}

/** A field with its evidence over all items of the type. */
export type FieldFound = Field & { readonly missingCount: number };

export interface Inference {
  readonly types: readonly TypeFound[];
  /** The field that tells the types apart. */
  readonly discriminator: string | undefined;
  readonly key: NonNullable<Key> | undefined;
  /** The key, if it was seen to tell all items apart. */
  readonly unique: string | undefined;
  readonly findings: readonly Finding[];
}

/**
 * What the items are, from all of them. `source` is only for the findings' words. `gathered`: what
 * the reader has counted already, which serves if it foresaw what tells the types apart. `chosen`:
 * what a person said that tells them apart; null: nothing does.
 */
export function* infer(
  items: readonly Item[],
  source: string,
  gathered?: Shapes,
  chosen?: string | null,
): Turns<Inference> {
  const discriminator = chosen === undefined ? likelyDiscriminator(items) : (chosen ?? undefined);
  const isForeseen = gathered !== undefined && gathered.discriminator === discriminator;
  const { byValue } = isForeseen ? gathered : yield* shapesOf(items, discriminator);
  const types = [...byValue].map(([value, shape]) => ({
    value,
    count: shape.itemCount,
    fields: fieldsFound(shape),
  }));
  const whole = wholeOf([...byValue.values()]);
  const { key, isUnique, findings } = findKey(items, whole, source);
  const limit = [...byValue.values()].map((shape) => shape.limit()).find((each) => each);
  const tooMany = limit === undefined ? [] : [itemFindings.fieldsTooMany(source, limit)];
  const mixed = whole.fields
    .filter((field) => field.stat.isMixed())
    .map((field) => itemFindings.fieldMixed(source, field.name, kindsInWords(field.stat, count)));
  const unique = isUnique && typeof key === 'string' ? key : undefined;
  return { types, discriminator, key, unique, findings: [...tooMany, ...findings, ...mixed] };
}

/** The same of a document; where it has no items yet, what they would have. */
export function* inferRead(
  { items, columns = [], gathered }: Pick<ItemsRead, 'items' | 'columns' | 'gathered'>,
  source: string,
): Turns<Inference> {
  if (items.length > 0) return yield* infer(items, source, gathered);
  const fields = columns.map(
    (name): FieldFound => ({ name, type: 'text', required: false, missingCount: 0 }),
  );
  const type: TypeFound = { value: undefined, count: 0, fields };
  const none = { discriminator: undefined, key: undefined, unique: undefined };
  return { types: [type], ...none, findings: [] };
}

function fieldsFound(shape: ShapeStat): FieldFound[] {
  return shape.fields.map(({ name, stat }) => ({
    name,
    required: stat.presentCount === shape.itemCount,
    missingCount: shape.itemCount - stat.presentCount,
    ...stat.type(),
  }));
}
