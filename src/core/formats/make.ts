import { date, relative } from './dates/dates';
import { duration } from './dates/durations';
import type { Format } from './format';
import type { Formatter } from './formatter';
import { message } from './message/message';
import { bytes, money, number, percent, unit } from './numbers';
import { list, text, yesNo } from './words';

const maxMade = 1_000;
const made = new Map<string, Formatter>();

/** A format made ready for a locale: once, so that what it remembers outlives an edit elsewhere. */
export function makeFormatter(format: Format, locale: string): Formatter {
  const id = `${locale} ${JSON.stringify(format)}`;
  const known = made.get(id);
  if (known !== undefined) return known;
  const fresh = formatterOf(format, locale);
  if (made.size >= maxMade) made.clear();
  made.set(id, fresh);
  return fresh;
}

function formatterOf(format: Format, locale: string): Formatter {
  switch (format.as) {
    case 'number':
      return number(format, locale);
    case 'percent':
      return percent(format, locale);
    case 'money':
      return money(format, locale);
    case 'unit':
      return unit(format, locale);
    case 'bytes':
      return bytes(format, locale);
    case 'date':
      return date(format, locale);
    case 'relative':
      return relative(format, locale);
    case 'duration':
      return duration(format, locale);
    case 'list':
      return list(format, locale);
    case 'yesNo':
      return yesNo(format);
    case 'text':
      return text(format, locale);
    case 'message':
      return message(format, locale);
  }
}
