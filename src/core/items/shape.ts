import { isRecord, type Json, ownReader, type Turns } from '../base';
import type { Field, ValueType } from '../values';
import type { Item } from './item';
import { typeValueOf } from './item';

const itemsATurn = 4_000;

type Kind = 'text' | 'integer' | 'number' | 'boolean' | 'record' | 'list';

/** What stands in one place (a field, an element of a list), counted over all items. */
export class ValueStat {
  presentCount = 0;
  readonly kindCounts: Record<Kind, number> = {
    text: 0,
    integer: 0,
    number: 0,
    boolean: 0,
    record: 0,
    list: 0,
  };
  private readonly inside = new ShapeStat();
  private element: ValueStat | undefined;

  add(value: Json | undefined): void {
    if (value === null || value === undefined) return;
    this.presentCount += 1;
    if (typeof value === 'string') this.kindCounts.text += 1;
    else if (typeof value === 'number')
      this.kindCounts[Number.isSafeInteger(value) ? 'integer' : 'number'] += 1;
    else if (typeof value === 'boolean') this.kindCounts.boolean += 1;
    else if (isRecord(value)) {
      this.kindCounts.record += 1;
      this.inside.add(value);
    } else {
      this.kindCounts.list += 1;
      this.element ??= new ValueStat();
      for (const each of value) this.element.add(each);
    }
  }

  addCounts(other: ValueStat): void {
    this.presentCount += other.presentCount;
    for (const kind of other.kinds()) this.kindCounts[kind] += other.kindCounts[kind];
  }

  kinds(): readonly Kind[] {
    const kinds: Kind[] = ['text', 'integer', 'number', 'boolean', 'record', 'list'];
    return kinds.filter((kind) => this.kindCounts[kind] > 0);
  }

  limit(): ReturnType<ShapeStat['limit']> {
    return this.inside.limit() ?? this.element?.limit();
  }

  isMixed(): boolean {
    const kinds = this.kinds();
    return kinds.length > 1 && !kinds.every(isNumeric);
  }

  type(): ValueType {
    const kinds = this.kinds();
    const only = kinds[0];
    if (only === undefined) return { type: 'unknown' };
    if (kinds.length === 1) {
      if (only === 'record') return { type: 'record', fields: this.inside.toFields() };
      if (only === 'list') return { type: 'list', of: this.element?.type() ?? { type: 'unknown' } };
      return { type: only };
    }
    if (kinds.every(isNumeric)) return { type: 'number' };
    // Plain values of several kinds can all be read as text; records and lists among them can't.
    return kinds.includes('record') || kinds.includes('list')
      ? { type: 'unknown' }
      : { type: 'text' };
  }
}

const isNumeric = (kind: Kind): boolean => kind === 'integer' || kind === 'number';

/** Fields of one record that are told apart, and how long their names may be: more is no shape. */
const maxFields = 2_000;
const longestName = 1_000;

/** The fields of many records, in the order in which they were first met. */
export class ShapeStat {
  itemCount = 0;
  /** The first field that was one too many. */
  private pastLimit: string | undefined;
  readonly fields: { readonly name: string; readonly stat: ValueStat }[] = [];
  private readonly byName = new Map<string, ValueStat>();

  add(item: Item): void {
    this.itemCount += 1;
    let position = 0;
    for (const name in item) {
      // Most items have their fields in the same order, which saves the look-up.
      const guess = this.fields[position];
      const stat = guess !== undefined && guess.name === name ? guess.stat : this.statOf(name);
      stat.add(item[name]);
      position += 1;
    }
  }

  /** What stands inside records and lists is not added up. */
  addCounts(other: ShapeStat): void {
    this.itemCount += other.itemCount;
    for (const { name, stat } of other.fields) this.statOf(name).addCounts(stat);
  }

  /** The first field that is not told apart, here or inside a record, and how many are; undefined: all are. */
  limit(): { readonly name: string; readonly kept: number } | undefined {
    if (this.pastLimit !== undefined) return { name: this.pastLimit, kept: this.fields.length };
    for (const { stat } of this.fields) {
      const inside = stat.limit();
      if (inside !== undefined) return inside;
    }
    return undefined;
  }

  toFields(): Field[] {
    return this.fields.map(({ name, stat }) => ({
      name,
      required: stat.presentCount === this.itemCount,
      ...stat.type(),
    }));
  }

  private statOf(name: string): ValueStat {
    const known = this.byName.get(name);
    if (known !== undefined) return known;
    const stat = new ValueStat();
    if (this.fields.length === maxFields || name.length > longestName) {
      this.pastLimit ??= name.slice(0, 40);
      return stat;
    }
    this.byName.set(name, stat);
    this.fields.push({ name, stat });
    return stat;
  }
}

/** The shapes of items: one for each value of the field that tells types apart, or one for all. */
export class Shapes {
  readonly byValue = new Map<string | undefined, ShapeStat>();

  private readonly read: (item: Item) => Json | undefined;

  constructor(readonly discriminator: string | undefined) {
    this.read = discriminator === undefined ? () => undefined : ownReader(discriminator);
  }

  add(item: Item): void {
    const group = this.discriminator === undefined ? undefined : typeValueOf(this.read(item));
    let shape = this.byValue.get(group);
    if (shape === undefined) {
      shape = new ShapeStat();
      this.byValue.set(group, shape);
    }
    shape.add(item);
  }
}

export function* shapesOf(
  items: readonly Item[],
  discriminator: string | undefined,
): Turns<Shapes> {
  const shapes = new Shapes(discriminator);
  for (let i = 0; i < items.length; i += 1) {
    const item = items[i];
    if (item !== undefined) shapes.add(item);
    if (i % itemsATurn === itemsATurn - 1) yield i / items.length;
  }
  return shapes;
}

/** The top-level fields of all shapes together. */
export function wholeOf(shapes: readonly ShapeStat[]): ShapeStat {
  const [only] = shapes;
  if (shapes.length === 1 && only !== undefined) return only;
  const whole = new ShapeStat();
  for (const shape of shapes) whole.addCounts(shape);
  return whole;
}

/** `3 texts, 1 list`: for the finding about a mixed field. */
export function kindsInWords(stat: ValueStat, count: (n: number, one: string) => string): string {
  return stat
    .kinds()
    .map((kind) => count(stat.kindCounts[kind], kind))
    .join(', ');
}
