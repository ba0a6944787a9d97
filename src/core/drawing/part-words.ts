import {
  childrenOf,
  isBound,
  kindOfPart,
  type Part,
  type Property,
  propertyOf,
} from '../templates';

/** A part and what it says, for people. */
export interface PartInWords {
  readonly id: string;
  readonly kind: string;
  /** How deep in its row it stands. */
  readonly depth: number;
  readonly properties: readonly { readonly words: string; readonly value: string }[];
  /** Styles, colours and the like that it names. */
  readonly names: readonly string[];
}

/** The parts of a row, each before those in it. */
export const partsInWords = (row: Part): readonly PartInWords[] => [...inWords(row, 0)];

function* inWords(part: Part, depth: number): Generator<PartInWords> {
  const properties: { readonly words: string; readonly value: string }[] = [];
  const names: string[] = [];
  for (const [name, declared] of Object.entries(kindOfPart(part).properties)) {
    const own = propertyOf(part, name);
    const value = own ?? (declared.kind === 'style' ? declared.default : undefined);
    if (value === undefined) continue;
    if (typeof value === 'string' && isNamed(declared)) names.push(value);
    if (own !== undefined)
      properties.push({ words: declared.words, value: valueInWords(own, declared) });
  }
  yield { id: part.id, kind: part.part, depth, properties, names };
  for (const child of childrenOf(part)) yield* inWords(child, depth + 1);
}

const isNamed = ({ kind }: Property): boolean => kind === 'style' || kind === 'colour';

/** A constant as people say it, or what feeds the property. */
function valueInWords(value: unknown, declared: Property): string {
  if (isBound(value)) {
    const format = value.format === undefined ? '' : `, as ${value.format}`;
    const empty = value.emptyIsMissing ? ', also if empty' : '';
    return `= ${value.expr}${format}${standInWords(value.else)}${empty}`;
  }
  if (typeof value === 'string' && declared.kind === 'text') return `“${value}”`;
  if (typeof value !== 'object' || value === null)
    return declared.kind === 'number' && declared.unit === 'px' && typeof value === 'number'
      ? `${value} px`
      : String(value);
  return Object.entries(value)
    .map(([name, each]) => `${name} ${String(each)}`)
    .join(', ');
}

function standInWords(standIn: unknown): string {
  if (standIn === undefined) return '';
  if (standIn === null) return ', leaves without a value';
  return typeof standIn === 'string'
    ? `, else “${standIn}”`
    : `, else = ${Object.values(standIn).join()}`;
}
