import type { Json, JsonRecord } from '../../base';
import type { Evaluate, RowContext, Value } from '../../values';

/** What expressions see in the place of an item; undefined: it stands for an element that is not there. */
export type RecordOf = (item: JsonRecord, context?: RowContext) => JsonRecord | undefined;

/** Where among the elements something stands: at one of them, or in place of those that are too many. */
export type ElementAt = number | 'rest';

/** How many elements are more than there is room for, as expressions for the rest read it. */
export const restName = 'rest';

/** All slots of an item are asked for one after the other: what is the same for them is made once. */
function onceForEach<T>(
  make: (item: JsonRecord, context: RowContext | undefined) => T,
): (item: JsonRecord, context?: RowContext) => T {
  let known: { item: JsonRecord; context: RowContext | undefined; made: T } | undefined;
  return (item, context) => {
    if (known?.item !== item || known.context !== context)
      known = { item, context, made: make(item, context) };
    return known.made;
  };
}

/** The inputs of a shared part, fed by expressions that see what is around it. */
export const inputsRecord = (
  outer: RecordOf,
  fed: readonly (readonly [name: string, evaluate: Evaluate | undefined])[],
): RecordOf =>
  onceForEach((item, context) => {
    const around = outer(item, context);
    if (around === undefined) return undefined;
    return inputsOf(fed.map(([name, evaluate]) => [name, evaluate?.(around, context)]));
  });

function inputsOf(values: readonly (readonly [name: string, Value])[]): JsonRecord {
  const given: [string, Json][] = [];
  for (const [name, value] of values) if (value !== undefined) given.push([name, value]);
  return Object.fromEntries(given);
}

/** The elements that a stack stands for: by position, what is around with one of them beside its fields. */
export function elementRecords(
  outer: RecordOf,
  over: Evaluate | undefined,
  { as, max }: { readonly as: string; readonly max: number },
): (at: ElementAt) => RecordOf {
  const elements = onceForEach((item, context) => {
    const around = outer(item, context);
    if (around === undefined) return undefined;
    const given = over?.(around, context);
    const records = new Map<ElementAt, JsonRecord | undefined>();
    return { around, list: Array.isArray(given) ? given : [], records };
  });
  const made = (around: JsonRecord, list: readonly Json[], at: ElementAt) => {
    const element = at === 'rest' ? undefined : list[at];
    if (at !== 'rest') return element === undefined ? undefined : { ...around, [as]: element };
    const rest = list.length - max;
    return rest > 0 ? { ...around, [restName]: rest } : undefined;
  };
  return (at) => (item, context) => {
    const own = elements(item, context);
    if (own === undefined) return undefined;
    if (!own.records.has(at)) own.records.set(at, made(own.around, own.list, at));
    return own.records.get(at);
  };
}
