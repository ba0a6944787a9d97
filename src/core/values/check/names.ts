/** Whether a name can be written in an expression as it is, without quotes. */
export const isPlainName = (name: string): boolean =>
  /^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(name) && !reserved.has(name);

const reserved = new Set(
  (
    'break case catch class const continue debugger default delete do else export extends false finally for function if ' +
    'import in instanceof new null return super switch this throw true try typeof undefined var void while with item ' +
    'await enum implements interface let package private protected public static yield'
  ).split(' '),
);

/** The expression that reads a path: `maker.town`, or `item["first name"]` where a name needs quotes. */
export function pathText(path: readonly string[]): string {
  const [first, ...rest] = path;
  if (first === undefined) return 'item';
  const start = isPlainName(first) ? first : `item[${JSON.stringify(first)}]`;
  return rest.reduce(
    (text, step) => text + (isPlainName(step) ? `.${step}` : `[${JSON.stringify(step)}]`),
    start,
  );
}

export const listed = (names: readonly string[]): string =>
  names.length === 0 ? 'none' : names.slice(0, 8).join(', ') + (names.length > 8 ? ' …' : '');

export const writable = (name: string | undefined): string | undefined =>
  name !== undefined && isPlainName(name) ? name : undefined;
