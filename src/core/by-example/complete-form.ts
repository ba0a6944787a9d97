import { type NamedFormat, numberText, pluralCategory } from '../formats';
import { folded } from './fold';
import { inPattern } from './forms';

/** A small number of a plural category, to ask for its words by. */
export function numberOf(category: string, locale: string): number {
  for (let value = 0; value <= 200; value += 1)
    if (pluralCategory(locale, value) === category) return value;
  return 0;
}

/** The format with words for a form that no example has shown. */
export function completed(
  format: NamedFormat,
  form: string,
  words: string,
  locale: string,
): NamedFormat {
  if (format.as === 'yesNo')
    return form === 'true' ? { ...format, yes: words } : { ...format, no: words };
  if (format.as !== 'message') return format;
  const at = format.message.lastIndexOf(' * {{');
  if (at < 0) return format;
  const number = folded(numberText(locale, numberOf(form, locale)));
  const variant = ` ${form} {{${inPattern(folded(words), number)}}}`;
  return { ...format, message: format.message.slice(0, at) + variant + format.message.slice(at) };
}
