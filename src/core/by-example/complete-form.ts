import { type NamedFormat, numberText } from '../formats';
import { fold, folded, typedOf } from './fold';
import { inPattern, number, numberOf } from './writings/plural-writing';

/** What `inPattern` gives. */
const pattern = String.raw`(?:\\.|\{\$value\}|[^\\{}])*`;

/** The format with words for a form that no example has shown, in the place of a guess if there is one. */
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
  const guess = new RegExp(` ${form} \\{\\{${pattern}\\}\\}`).exec(format.message)?.[0];
  const message =
    guess === undefined
      ? format.message.slice(0, at) + variant + format.message.slice(at)
      : format.message.replace(guess, () => variant);
  return { ...format, message };
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
