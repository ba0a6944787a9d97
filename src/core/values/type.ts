/**
 * The names of types that have no inside. Dates and their kin are ISO 8601 texts, colours CSS
 * texts, images names or addresses. `unknown` is what no single type covers.
 */
export type ScalarName =
  | 'text'
  | 'number'
  | 'integer'
  | 'boolean'
  | 'date'
  | 'time'
  | 'datetime'
  | 'duration'
  | 'colour'
  | 'image'
  | 'link'
  | 'unknown';

/** What a value is. The same shape stands in the project file. */
export type ValueType =
  | { readonly type: ScalarName }
  | { readonly type: 'record'; readonly fields: readonly Field[] }
  | { readonly type: 'list'; readonly of: ValueType };

/** How long something takes, as it may be written. */
export const durationForms = [
  'iso',
  'clock',
  'milliseconds',
  'seconds',
  'minutes',
  'hours',
] as const;

/** How a value as it was read becomes one of the field's type. */
export type Decoding = HowDecoded & {
  /** Texts that stand for no value, as they are written. */
  readonly none?: readonly string[];
};

type HowDecoded =
  /** Text by a Unicode date pattern (UTS 35); `locale` for the names of months, English if not given. */
  | { readonly pattern: string; readonly locale?: string }
  /** A count since 1970, in UTC. */
  | { readonly epoch: 'seconds' | 'milliseconds' }
  /** How long something takes: a text of ISO 8601, a count, or as a clock shows it (`4:30`, `1:04:30`). */
  | { readonly duration: (typeof durationForms)[number] }
  /**
   * The decimal sign of numbers that are texts; other signs between digits group them, brackets
   * around one make it negative. `unit`: a sign beside each, by `%` a hundredth is meant. `whole`:
   * each is an integer.
   */
  | { readonly decimal: ',' | '.'; readonly whole?: true; readonly unit?: string }
  /** Words that mean true and false, in any case. */
  | { readonly yes: readonly string[]; readonly no: readonly string[] };

/**
 * What a schema says of values beside their type, as they come: kept for whoever gets the schema
 * from here. Standard: JSON Schema 2020-12, validation and metadata.
 */
export interface SaidBySchema {
  readonly enum?: readonly (string | number | boolean | null)[];
  readonly format?: string;
  readonly pattern?: string;
  readonly description?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly multipleOf?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
}

/** So many values a schema may list for a field. */
export const maxListed = 1_000;

/** A named value of an item or a record; `required`: every item has it. */
export type Field = ValueType & {
  readonly name: string;
  readonly required: boolean;
  /** What the field is called where the items come from, if that is another name. */
  readonly from?: string;
  readonly decode?: Decoding;
  readonly said?: SaidBySchema;
  /** Who said what it is, where that was not found from the items: it stays when other items come. */
  readonly given?: 'person' | 'schema';
  /** A computed property: how it follows from the fields before it. The items do not hold it. */
  readonly expr?: string;
};

export const scalarNames: readonly ScalarName[] = [
  'text',
  'number',
  'integer',
  'boolean',
  'date',
  'time',
  'datetime',
  'duration',
  'colour',
  'image',
  'link',
  'unknown',
];

/** `text`, `list of text`, `record`: as people read it. */
export function typeInWords(type: ValueType): string {
  return type.type === 'list' ? `list of ${typeInWords(type.of)}` : type.type;
}

/** Whether a label can show it without a format. */
export function isShowable(type: ValueType): boolean {
  return type.type !== 'record' && type.type !== 'list' && type.type !== 'unknown';
}

export function fieldNamed(fields: readonly Field[], name: string): Field | undefined {
  return fields.find((field) => field.name === name);
}

/** The field that a path leads to, through records. */
export function fieldAtPath(fields: readonly Field[], path: readonly string[]): Field | undefined {
  const [first, ...rest] = path;
  const field = first === undefined ? undefined : fieldNamed(fields, first);
  if (field === undefined || rest.length === 0) return field;
  return field.type === 'record' ? fieldAtPath(field.fields, rest) : undefined;
}

/** The fields with the one at a path changed; with undefined it is taken out. */
export function fieldsChangedAt(
  fields: readonly Field[],
  [first, ...rest]: readonly string[],
  change: (field: Field) => Field | undefined,
): readonly Field[] {
  return fields.flatMap((field) => {
    if (field.name !== first) return [field];
    if (rest.length > 0) {
      return field.type === 'record'
        ? [{ ...field, fields: fieldsChangedAt(field.fields, rest, change) }]
        : [field];
    }
    const changed = change(field);
    return changed === undefined ? [] : [changed];
  });
}

/** The fields of several types together, each once; required if every type requires it. */
export function fieldsOfAll(types: readonly { readonly fields: readonly Field[] }[]): Field[] {
  const all: Field[] = [];
  for (const field of types.flatMap((type) => type.fields)) {
    if (fieldNamed(all, field.name) !== undefined) continue;
    const required = types.every((type) => fieldNamed(type.fields, field.name)?.required === true);
    all.push({ ...field, required });
  }
  return all;
}
