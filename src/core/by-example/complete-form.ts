import { type NamedFormat, numberText, pluralCategory } from '../formats';
import { fold, folded, typedOf } from './fold';
import { inPattern, number } from './forms';

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
  const variant = ` ${form} {{${inPattern(typedNumber(words, form, locale), number)}}}`;
  return { ...format, message: format.message.slice(0, at) + variant + format.message.slice(at) };
}

/** The typed words with a sign in the place of the number that they were asked for. */
function typedNumber(words: string, form: string, locale: string): string {
  const own = fold(words);
  const asked = folded(numberText(locale, numberOf(form, locale)));
  const from = own.text.indexOf(asked);
  if (from < 0) return own.typed;
  const to = from + asked.length;
  const after = typedOf(own, { from: to, to: own.text.length });
  return typedOf(own, { from: 0, to: from }) + number + after;
}
