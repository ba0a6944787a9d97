/**
 * What a value from outside must be like, as plain data. `T` is the type of a value that is so: a
 * record's members are held against its type by the compiler, so that neither can go without the
 * other.
 */
export interface Shape<out T> {
  readonly node: Node;
  /** Only the compiler knows it: no shape has it. */
  readonly of?: T;
}

export type JsonKind = 'text' | 'number' | 'boolean' | 'null' | 'list' | 'record';

export type Node =
  | {
      readonly is: 'text';
      readonly minChars: number;
      readonly maxChars: number;
      readonly pattern?: Pattern;
      readonly test?: Test;
    }
  | {
      readonly is: 'number';
      readonly min?: number;
      readonly moreThan?: number;
      readonly max?: number;
      readonly isInteger: boolean;
    }
  | { readonly is: 'boolean' }
  /** One of these and nothing else. */
  | { readonly is: 'one of'; readonly values: readonly (string | number | boolean | null)[] }
  | {
      readonly is: 'list';
      readonly of: Node;
      readonly min: number;
      readonly max: number;
      /** A member by which no two elements are alike. */
      readonly tellsApart?: string;
    }
  | { readonly is: 'record'; readonly members: Readonly<Record<string, MemberNode>> }
  /** A record with any keys. */
  | { readonly is: 'map'; readonly of: Node }
  | { readonly is: 'by kind'; readonly cases: Partial<Readonly<Record<JsonKind, Node>>> }
  /** The first whose key a record has; otherwise, and for what is no record, the last. */
  | {
      readonly is: 'by key';
      readonly cases: readonly (readonly [key: string, Node])[];
      readonly otherwise: Node;
    }
  | {
      readonly is: 'by member';
      readonly member: string;
      readonly cases: Readonly<Record<string, Node>>;
    }
  /** A shape with a name, which may contain itself, but not deeper than so many times. */
  | {
      readonly is: 'named';
      readonly name: string;
      readonly node: () => Node;
      readonly maxDepth: number;
    };

export interface MemberNode {
  readonly node: Node;
  readonly isOptional: boolean;
}

/** `words`: what a text that does not match must be, for people. */
export interface Pattern {
  readonly source: string;
  readonly words: string;
}

/** What no pattern can say. */
export interface Test {
  readonly name: string;
  readonly words: string;
  passes(text: string): boolean;
}

/** A member that a record may go without. */
export interface Optional<out T> {
  readonly optional: Shape<T>;
}

/** A shape for each property of a type, optional for those that are. */
export type Members<T> = {
  readonly [K in keyof T]-?: undefined extends T[K]
    ? Optional<Exclude<T[K], undefined>>
    : Shape<T[K]>;
};

export type AnyMembers = Readonly<Record<string, Shape<unknown> | Optional<unknown>>>;

export const optional = <T>(shape: Shape<T>): Optional<T> => ({ optional: shape });

export const text = (
  maxChars = 10_000,
  more: {
    readonly minChars?: number;
    readonly pattern?: readonly [source: string, words: string];
    readonly test?: Test;
  } = {},
): Shape<string> => ({
  node: {
    is: 'text',
    minChars: more.minChars ?? 0,
    maxChars,
    ...(more.pattern && { pattern: { source: more.pattern[0], words: more.pattern[1] } }),
    ...(more.test && { test: more.test }),
  },
});

/** What things are referred to by. */
export const id = (): Shape<string> =>
  text(60, {
    minChars: 1,
    pattern: ['^[a-z][a-z0-9-]*$', 'be lower case letters, digits and hyphens'],
  });

/** A number within bounds, of which `moreThan` is not allowed itself. */
export const number = (
  bounds: {
    readonly min?: number;
    readonly moreThan?: number;
    readonly max?: number;
    readonly isInteger?: boolean;
  } = {},
): Shape<number> => ({ node: { is: 'number', isInteger: false, ...bounds } });

export const boolean = (): Shape<boolean> => ({ node: { is: 'boolean' } });

export const oneOf = <const T extends string | number | boolean | null>(
  values: readonly T[],
): Shape<T> => ({ node: { is: 'one of', values } });

export const list = <T>(
  of: Shape<T>,
  more: { readonly min?: number; readonly max?: number; readonly tellsApart?: string } = {},
): Shape<readonly T[]> => ({ node: { is: 'list', of: of.node, min: 0, max: 5_000, ...more } });

/** Other keys than these are allowed, and kept. */
export const record = <T extends object>(members: Members<T>): Shape<T> => recordOf(members);

/** A record whose members are not known to the compiler one by one. */
export const recordOf = (members: AnyMembers): Shape<never> => ({
  node: {
    is: 'record',
    members: Object.fromEntries(
      Object.entries(members).map(([name, member]): [string, MemberNode] => [
        name,
        'optional' in member
          ? { node: member.optional.node, isOptional: true }
          : { node: member.node, isOptional: false },
      ]),
    ),
  },
});

export const mapOf = <T>(of: Shape<T>): Shape<Readonly<Record<string, T>>> => ({
  node: { is: 'map', of: of.node },
});

export const byKind = <T>(cases: Partial<Readonly<Record<JsonKind, Shape<T>>>>): Shape<T> => ({
  node: {
    is: 'by kind',
    cases: Object.fromEntries(Object.entries(cases).map(([kind, { node }]) => [kind, node])),
  },
});

export const byKey = <T>(
  cases: readonly (readonly [key: string, Shape<T>])[],
  otherwise: Shape<T>,
): Shape<T> => ({
  node: {
    is: 'by key',
    cases: cases.map(([key, { node }]) => [key, node] as const),
    otherwise: otherwise.node,
  },
});

export const byMember = <T>(
  member: string,
  cases: Readonly<Record<string, Shape<T>>>,
): Shape<T> => ({
  node: {
    is: 'by member',
    member,
    cases: Object.fromEntries(Object.entries(cases).map(([value, { node }]) => [value, node])),
  },
});

export const named = <T>(name: string, shape: () => Shape<T>, maxDepth = 500): Shape<T> => ({
  node: { is: 'named', name, node: () => shape().node, maxDepth },
});

export const nullable = <T>(shape: Shape<T>): Shape<T | null> => ({
  node: {
    is: 'by kind',
    cases: { null: { is: 'one of', values: [null] }, ...byItsKind(shape.node) },
  },
});

/** A node under the kinds that its values are of. */
function byItsKind(node: Node): Partial<Record<JsonKind, Node>> {
  switch (node.is) {
    case 'by kind':
      return node.cases;
    case 'list':
    case 'record':
    case 'text':
    case 'number':
    case 'boolean':
      return { [node.is]: node };
    case 'one of':
      return { text: node, number: node, boolean: node };
    case 'named':
      return byItsKind(node.node());
    case 'map':
    case 'by key':
    case 'by member':
      return { record: node };
  }
}

/** The kind of a value of JSON; undefined: it is none. */
export function kindOf(value: unknown): JsonKind | undefined {
  if (value === null) return 'null';
  if (Array.isArray(value)) return 'list';
  switch (typeof value) {
    case 'string':
      return 'text';
    case 'number':
      return 'number';
    case 'boolean':
      return 'boolean';
    case 'object':
      return 'record';
    default:
      return undefined;
  }
}
