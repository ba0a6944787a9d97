/** The names of types that have no inside. `unknown` is what no single type covers. */
export type ScalarName = 'text' | 'number' | 'integer' | 'boolean' | 'unknown';

/** What a value is. The same shape stands in the project file. */
export type ValueType =
  | { readonly type: ScalarName }
  | { readonly type: 'record'; readonly fields: readonly Field[] }
  | { readonly type: 'list'; readonly of: ValueType };

/** A named value of an item or a record; `required`: every item has it. */
export type Field = ValueType & { readonly name: string; readonly required: boolean };

export const scalarNames: readonly ScalarName[] = [
  'text',
  'number',
  'integer',
  'boolean',
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
