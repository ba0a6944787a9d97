import type { Format } from './format';

/** The options of a format that follow from the item, each with its expression. */
export function itemOptions(
  format: Format | undefined,
): readonly (readonly [name: string, expr: string])[] {
  if (format === undefined) return [];
  const options = [
    ['currency', format.as === 'money' ? format.currency : undefined],
    ['unit', format.as === 'unit' ? format.unit : undefined],
    ['zone', format.as === 'date' ? format.zone : undefined],
  ] as const;
  return options.flatMap(([name, option]) =>
    typeof option === 'object' ? [[name, option.expr] as const] : [],
  );
}
