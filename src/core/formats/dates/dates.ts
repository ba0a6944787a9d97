import { instantOf } from '../../values';
import type { DateFormat, RelativeFormat } from '../format';
import { type Formatter, NoText, notA } from '../formatter';
import { dateFormat, relativeFormat } from '../intl';
import { rememberTexts } from '../memo';
import { datePattern } from './date-pattern';

const timeOnly = /^\d\d:\d\d(?::\d\d(?:\.\d+)?)?$/;

/** Milliseconds of a date, a moment or a time of a day; NaN: it is none of them. */
const momentOf = (text: string): number =>
  timeOnly.test(text) ? Date.parse(`1970-01-01T${text}Z`) : instantOf(text);

/** Only a moment is another one elsewhere: a date and a time without a zone stay as they are. */
const hasZone = (text: string): boolean => /T.*(?:Z|[+-]\d\d:?\d\d)$/.test(text);

export function date(format: DateFormat, locale: string): Formatter {
  const { zone } = format;
  const fixed = typeof zone === 'string' ? zone : undefined;
  const made = new Map<string, Formatter>();
  return (value, around) => {
    const own = zone === undefined ? 'UTC' : (fixed ?? around.options['zone']);
    if (own === undefined) return new NoText('the zone is missing');
    let write = made.get(own);
    if (write === undefined) {
      write = inZone(format, locale, own);
      if (made.size < 1_000) made.set(own, write);
    }
    return write(value, around);
  };
}

function inZone(format: DateFormat, locale: string, zone: string): Formatter {
  try {
    dateFormat('en', { timeZone: zone });
  } catch {
    return () => new NoText(`“${zone}” is no time zone`);
  }
  const write = writer(format, locale);
  if (write instanceof NoText) return () => write;
  const text = rememberTexts((value) => {
    const at = momentOf(value);
    return Number.isNaN(at)
      ? notA('a date or time', value)
      : write(at, hasZone(value) ? zone : 'UTC');
  });
  return (value) => (typeof value === 'string' ? text(value) : notA('a date or time', value));
}

function writer(
  { date, time, pattern }: DateFormat,
  locale: string,
): ((milliseconds: number, zone: string) => string) | NoText {
  if (pattern !== undefined) {
    const made = datePattern(pattern, locale);
    return made.ok ? (at, zone) => made.value.write(at, zone) : new NoText(made.error);
  }
  const isBare = date === undefined && time === undefined;
  const styles = {
    ...((date !== undefined || isBare) && { dateStyle: date ?? 'medium' }),
    ...(time !== undefined && { timeStyle: time }),
  } as const;
  return (at, zone) => dateFormat(locale, { ...styles, timeZone: zone }).format(at);
}

const steps = [
  { unit: 'second', ms: 1_000, below: 45_000 },
  { unit: 'minute', ms: 60_000, below: 45 * 60_000 },
  { unit: 'hour', ms: 3_600_000, below: 22 * 3_600_000 },
  { unit: 'day', ms: 86_400_000, below: 7 * 86_400_000 },
  { unit: 'week', ms: 7 * 86_400_000, below: 30 * 86_400_000 },
  { unit: 'month', ms: 30.436875 * 86_400_000, below: 335 * 86_400_000 },
  { unit: 'year', ms: 365.2425 * 86_400_000, below: Number.POSITIVE_INFINITY },
] as const;

/** Days as a calendar counts them, whatever the hour. */
const daysFrom = (now: string, value: string): number =>
  Math.round((instantOf(value.slice(0, 10)) - instantOf(now.slice(0, 10))) / 86_400_000);

/** How far a date is from now, in the largest unit that fits; dates without a time in days at least. */
export function relative(
  { width = 'long', unit: given }: RelativeFormat,
  locale: string,
): Formatter {
  const intl = relativeFormat(locale, { numeric: 'auto', style: width });
  return (value, { now }) => {
    if (now === undefined) return new NoText('the time is not known here');
    const at = typeof value === 'string' ? instantOf(value) : Number.NaN;
    if (typeof value !== 'string' || Number.isNaN(at)) return notA('a date', value);
    if (given === 'day') return intl.format(daysFrom(now, value), given);
    const isDay = value.length === 10;
    const distance = at - instantOf(isDay ? now.slice(0, 10) : now);
    const step = steps.find(
      ({ unit, below }) =>
        Math.abs(distance) < below && !(isDay && ['second', 'minute', 'hour'].includes(unit)),
    );
    const { unit, ms } = step ?? steps[6];
    return intl.format(Math.round(distance / ms), unit);
  };
}
