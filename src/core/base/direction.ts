export type TextDirection = 'ltr' | 'rtl';

/** ISO 15924 tags of scripts that run from right to left. */
const toTheLeft = new Set(['Adlm', 'Arab', 'Hebr', 'Nkoo', 'Rohg', 'Syrc', 'Thaa']);

/** Where rows of a locale begin; `locale`: a BCP 47 tag. */
export function directionOf(locale: string): TextDirection {
  const { script } = new Intl.Locale(locale).maximize();
  return script !== undefined && toTheLeft.has(script) ? 'rtl' : 'ltr';
}
