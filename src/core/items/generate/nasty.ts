import { type Json, ownValue } from '../../base';
import { type Field, heldFields, type ValueType } from '../../values';
import type { Item } from '../item';
import type { TypeShape } from '../schema';

/** A way for values to be hard to show; undefined: nothing to do for a value of that type. */
interface Nastiness {
  readonly name: string;
  value(type: ValueType): Json | undefined;
}

const longWord = 'Donaudampfschifffahrtselektrizitätenhauptbetriebswerkbauunterbeamten';
const longLine =
  'Handspun Shetland and silk, the very last of the autumn batch from the upper fold, kept in the dry for two winters, and only sold together with the pattern that was drawn for it';

const text = (value: string) => (type: ValueType) => (type.type === 'text' ? value : undefined);
const number = (value: number) => (type: ValueType) => {
  if (type.type === 'integer') return Math.trunc(value);
  return type.type === 'number' ? value : undefined;
};
const date = (day: string) => (type: ValueType) => {
  if (type.type === 'date') return day;
  if (type.type === 'datetime') return `${day}T23:59:59Z`;
  return type.type === 'time' ? '23:59:59' : undefined;
};

const nastinesses: readonly Nastiness[] = [
  { name: 'empty text', value: (type) => (type.type === 'list' ? [] : text('')(type)) },
  { name: 'only spaces', value: text('   ') },
  { name: 'one very long word', value: text(longWord) },
  { name: 'a very long line', value: text(longLine) },
  { name: 'line breaks', value: text('First line\nsecond line\n\nfourth') },
  { name: 'right to left', value: text('صوف ميرينو، غير مصبوغ (١٠٠ غرام)') },
  { name: 'both directions', value: text('Merino צמר 100 غرام wool') },
  { name: 'emoji with joins', value: text('👩🏽‍🌾🧶🏴󠁧󠁢󠁳󠁣󠁴󠁿👨‍👩‍👧‍👦 Z͑ͫ̓a͋l̊g͒o') },
  { name: 'markup', value: text('<b onclick="x">&amp; {{name}} ${price}</b>') },
  { name: 'zero', value: number(0) },
  { name: 'negative', value: number(-1_234.5) },
  { name: 'huge', value: number(9_007_199_254_740_991) },
  { name: 'tiny', value: number(0.000_000_1) },
  { name: 'far past', value: date('0001-01-01') },
  { name: 'far future', value: date('9999-12-31') },
];

/**
 * A few items for each type, each hard to show in a way; then one with every optional field
 * missing and one with null in it. `example`: an item of the type, for all that stays ordinary.
 */
export function nastyItems(
  types: readonly TypeShape[],
  exampleOf: (type: TypeShape) => Item,
  own: { readonly key: readonly string[]; readonly discriminator: string | null },
): Item[] {
  return types.flatMap((type) => {
    const example = exampleOf(type);
    const isOwn = (field: Field) =>
      own.key.includes(field.name) || field.name === own.discriminator;
    const free = heldFields(type.fields).filter((field) => !isOwn(field));
    const optional = free.filter((field) => !field.required);
    const made = nastinesses.flatMap((nastiness) => {
      const values = free.flatMap((field) => {
        const value = nastyValue(nastiness, field);
        return value === undefined ? [] : [[nameOf(field), value] as const];
      });
      return values.length === 0 ? [] : [{ what: nastiness.name, item: changed(example, values) }];
    });
    const bare = optional.map((field) => [nameOf(field), undefined] as const);
    const nulled = optional.map((field) => [nameOf(field), null] as const);
    const all =
      optional.length === 0
        ? made
        : [
            ...made,
            { what: 'every optional field missing', item: changed(example, bare) },
            { what: 'null in every optional field', item: changed(example, nulled) },
          ];
    return all.map(({ what, item }) => keyed(item, own.key, `nasty ${type.name}: ${what}`));
  });
}

const nameOf = (field: Field): string => field.from ?? field.name;

/** What has to be decoded keeps its own form, except where plain ISO text is that form. */
function nastyValue(nastiness: Nastiness, field: Field): Json | undefined {
  if (field.type === 'record') {
    const inner = field.fields.flatMap((each) => {
      const value = nastyValue(nastiness, each);
      return value === undefined ? [] : [[nameOf(each), value] as const];
    });
    return inner.length === 0 ? undefined : Object.fromEntries(inner);
  }
  const { decode } = field;
  const isIso = decode !== undefined && 'pattern' in decode && decode.pattern === 'yyyy-MM-dd';
  return decode === undefined || isIso ? nastiness.value(field) : undefined;
}

function changed(example: Item, values: readonly (readonly [string, Json | undefined])[]): Item {
  const byName = new Map(values);
  const kept = Object.entries(example).flatMap(([name, old]): [string, Json][] => {
    if (!byName.has(name)) return old === undefined ? [] : [[name, old]];
    const value = byName.get(name);
    byName.delete(name);
    if (value === undefined) return [];
    const isInside = typeof value === 'object' && !Array.isArray(value) && value !== null;
    const isOld = typeof old === 'object' && !Array.isArray(old) && old !== null;
    return [[name, isInside && isOld ? { ...old, ...value } : value]];
  });
  const added = [...byName].flatMap(([name, value]): [string, Json][] =>
    value === undefined ? [] : [[name, value]],
  );
  return Object.fromEntries([...kept, ...added]);
}

/** The key says what is nasty about the item, where it is a text. */
function keyed(item: Item, key: readonly string[], what: string): Item {
  const [first] = key;
  if (first === undefined || typeof ownValue(item, first) !== 'string') return item;
  return changed(item, [[first, what]]);
}
