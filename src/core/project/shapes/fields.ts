import {
  boolean,
  byKey,
  byKind,
  byMember,
  list,
  type Members,
  named,
  number,
  oneOf,
  optional,
  record,
  type Shape,
  text,
} from '../../shape';
import {
  type Decoding,
  durationForms,
  type Field,
  maxListed,
  type SaidBySchema,
  type ScalarName,
  scalarNames,
  type ValueType,
} from '../../values';

type Scalar = { readonly type: ScalarName };
type OfRecord = Extract<ValueType, { readonly type: 'record' }>;
type OfList = Extract<ValueType, { readonly type: 'list' }>;
/** What a field says of itself beside its type. */
type Said = Omit<Field, 'type' | 'fields' | 'of'>;

const words = () => list(text(), { max: 50 });

const none = optional(words());

const decodingShape: Shape<Decoding> = byKey<Decoding>(
  [
    [
      'pattern',
      record<Extract<Decoding, { readonly pattern: string }>>({
        pattern: text(200),
        locale: optional(text(40)),
        none,
      }),
    ],
    [
      'epoch',
      record<Extract<Decoding, { readonly epoch: string }>>({
        epoch: oneOf(['seconds', 'milliseconds']),
        none,
      }),
    ],
    [
      'duration',
      record<Extract<Decoding, { readonly duration: string }>>({
        duration: oneOf(durationForms),
        none,
      }),
    ],
    [
      'decimal',
      record<Extract<Decoding, { readonly decimal: string }>>({
        decimal: oneOf([',', '.']),
        whole: optional(oneOf([true])),
        unit: optional(text(20)),
        none,
      }),
    ],
  ],
  record<Extract<Decoding, { readonly yes: unknown }>>({ yes: words(), no: words(), none }),
);

const listed = byKind<string | number | boolean | null>({
  null: oneOf([null]),
  boolean: boolean(),
  number: number(),
  text: text(),
});

const bound = optional(number());

const saidShape: Shape<SaidBySchema> = record<SaidBySchema>({
  enum: optional(list(listed, { max: maxListed })),
  format: optional(text(100)),
  pattern: optional(text(2_000)),
  description: optional(text(2_000)),
  ...{ minimum: bound, maximum: bound, exclusiveMinimum: bound, exclusiveMaximum: bound },
  ...{ multipleOf: bound, minLength: bound, maxLength: bound, minItems: bound, maxItems: bound },
});

const said: Members<Said> = {
  name: text(),
  required: boolean(),
  from: optional(text()),
  decode: optional(decodingShape),
  said: optional(saidShape),
  given: optional(oneOf(['person', 'schema'])),
  expr: optional(text()),
};

const typeShape: Shape<ValueType> = named('type', () =>
  byMember<ValueType>('type', {
    ...byScalar((type) => record<Scalar>({ type })),
    record: record<OfRecord>({ type: oneOf(['record']), fields: fieldsShape }),
    list: record<OfList>({ type: oneOf(['list']), of: typeShape }),
  }),
);

const fieldShape: Shape<Field> = named('field', () =>
  byMember<Field>('type', {
    ...byScalar((type) => record<Scalar & Said>({ ...said, type })),
    record: record<OfRecord & Said>({ ...said, type: oneOf(['record']), fields: fieldsShape }),
    list: record<OfList & Said>({ ...said, type: oneOf(['list']), of: typeShape }),
  }),
);

export const fieldsShape: Shape<readonly Field[]> = list(fieldShape);

const byScalar = <T>(shape: (type: Shape<ScalarName>) => Shape<T>): Record<string, Shape<T>> =>
  Object.fromEntries(scalarNames.map((name) => [name, shape(oneOf([name]))]));
