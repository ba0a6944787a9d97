import { text } from '../../shape';
import type { Field } from '../../values';
import { type Bound, isBound } from '../bound';
import type { Property } from '../property';
import { bindable, isName, rare, sharedName, size } from './declare';
import { ofEveryPart, type PartKind, type PartOf } from './kind';

const properties = {
  of: sharedName('shared part'),
  width: bindable(size('width', 'fit')),
  height: rare(bindable(size('height', 'fit'))),
  ...ofEveryPart,
};

/** What feeds the inputs of a shared part where it is used, by their names. */
export type Inputs = Readonly<Record<string, Bound>>;

export type SharedUseItself = PartOf<'shared', typeof properties> & { readonly inputs?: Inputs };

/** A part that is kept once in the project, where it is used: it fills the room that it has here. */
export const shared: PartKind<'shared', typeof properties> = {
  part: 'shared',
  about: 'A part that the project keeps once, with inputs of its own',
  shows: undefined,
  box: 'stack',
  holds: 'inputs',
  properties,
  sized: () => ({ direction: 'over', align: 'stretch' }),
};

const prefix = 'inputs.';

/** What the place of an input is called among the properties of a part. */
export const inputProperty = (name: string): string => prefix + name;

/** The input that a property of a shared part is; undefined: it is none. */
export function inputNamed(property: string): string | undefined {
  const name = property.startsWith(prefix) ? property.slice(prefix.length) : '';
  return isName(name) ? name : undefined;
}

/** An input as a property of the part that uses it; without a field: nothing is known of it. */
export const declaredInput = (name: string, field: Field | undefined): Property => ({
  kind: 'input',
  words: name,
  type: field ?? { type: 'unknown' },
  mayBeMissing: field?.required !== true,
  isBindable: true,
  isRequired: false,
  default: undefined,
  shape: text(),
});

/** Inputs with one of them fed otherwise; undefined: it is not fed any more. */
export function inputsWith(before: Inputs = {}, name: string, value: unknown): Inputs | undefined {
  const all = new Map(Object.entries(before));
  if (isBound(value)) all.set(name, value);
  else all.delete(name);
  return all.size === 0 ? undefined : Object.fromEntries(all);
}
