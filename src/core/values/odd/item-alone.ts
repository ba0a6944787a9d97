import type { Finding } from '../../base';
import type { Checked } from '../check/checked';
import { pathText } from '../check/names';
import { valueFindings } from '../findings';
import { type Field, isShowable } from '../type';

const keyNames = /^(?:id|key|code|no|number|uuid|sku|slug)$/i;
const titleNames = /^(?:title|name|label|headline|subject|caption)$|name$|title$/i;

/** The fields that a person would know an item by: what tells it from others, and what it is called. */
export function namingFields(fields: readonly Field[]): readonly Field[] {
  const plain = fields.filter(isShowable);
  const key = plain.find(({ name }) => keyNames.test(name));
  const title =
    plain.find(({ name, type }) => type === 'text' && titleNames.test(name)) ??
    plain.find((field) => field.type === 'text' && field !== key);
  return [...new Set([key, title].flatMap((field) => field ?? []))];
}

/** The whole item where words are wanted, as these fields; undefined: it has none that has words. */
export function itemAsWords(
  { from, to }: Checked & { kind: 'item' },
  fields: readonly Field[],
): Checked | undefined {
  const span = { from, to, mayBeMissing: false } as const;
  const named = namingFields(fields).map((field): Checked => {
    const { name, required } = field;
    return { ...span, kind: 'field', name, type: field, mayBeMissing: !required };
  });
  if (named.length === 0) return undefined;
  const text = { type: 'text' } as const;
  const between: Checked = { ...span, kind: 'literal', value: ' · ', type: text };
  const args = [between, ...named];
  return {
    ...span,
    kind: 'call',
    name: 'joined',
    on: undefined,
    args,
    type: text,
    mayBeMissing: true,
  };
}

/** `item` and nothing else: it is told what shows, with the way to one field. */
export function itemAlone(text: string, fields: readonly Field[]): readonly Finding[] {
  if (text.trim() !== 'item') return [];
  const named = namingFields(fields);
  const one = named.at(-1);
  if (one === undefined) return [];
  const span = { from: 0, to: text.length };
  return [
    valueFindings.itemAlone(
      span,
      named.map(({ name }) => name),
      pathText([one.name]),
    ),
  ];
}
