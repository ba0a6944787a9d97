/** `Intl` objects (ECMA-402) are costly to make: each is made once for its locale and options. */
const maxMade = 500;

function keeper<T, O>(make: (locale: string, options: O) => T): (locale: string, options: O) => T {
  const made = new Map<string, T>();
  return (locale, options) => {
    const id = `${locale} ${JSON.stringify(options)}`;
    const known = made.get(id);
    if (known !== undefined) return known;
    const fresh = make(locale, options);
    if (made.size >= maxMade) made.clear();
    made.set(id, fresh);
    return fresh;
  };
}

export const numberFormat = keeper(
  (locale, options: Intl.NumberFormatOptions) => new Intl.NumberFormat(locale, options),
);
export const dateFormat = keeper(
  (locale, options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options),
);
export const relativeFormat = keeper(
  (locale, options: Intl.RelativeTimeFormatOptions) => new Intl.RelativeTimeFormat(locale, options),
);
export const listFormat = keeper(
  (locale, options: Intl.ListFormatOptions) => new Intl.ListFormat(locale, options),
);
export const pluralRules = keeper(
  (locale, options: Intl.PluralRulesOptions) => new Intl.PluralRules(locale, options),
);

/** A number as a locale writes it. */
export const numberText = (locale: string, value: number): string =>
  numberFormat(locale, {}).format(value);

export const pluralCategory = (locale: string, value: number): string =>
  pluralRules(locale, {}).select(value);

const categories = new Map<string, readonly string[]>();

/** The forms that whole numbers of an everyday size have. Standard: CLDR plural rules. */
export function pluralCategories(locale: string): readonly string[] {
  const known = categories.get(locale);
  if (known !== undefined) return known;
  const found = [...new Set(Array.from({ length: 201 }, (_, n) => pluralCategory(locale, n)))];
  categories.set(locale, found);
  return found;
}

/** Whether a text names a locale that `Intl` can take. Standard: BCP 47. */
export function isLocale(text: string): boolean {
  try {
    return Intl.getCanonicalLocales(text).length === 1;
  } catch {
    return false;
  }
}
