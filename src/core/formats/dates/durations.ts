import { secondsOfDuration } from '../../base';
import type { DurationFormat } from '../format';
import { type Formatter, notA } from '../formatter';
import { listFormat, numberFormat } from '../intl';

const units = [
  { name: 'day', seconds: 86_400 },
  { name: 'hour', seconds: 3_600 },
  { name: 'minute', seconds: 60 },
  { name: 'second', seconds: 1 },
] as const;

const secondsOf = { seconds: 1, minutes: 60, hours: 3_600, milliseconds: 0.001 } as const;

/** Days, hours, minutes and seconds, those that are there; `digital`: 1:05:00. */
export function duration(
  { width = 'long', of = 'seconds' }: DurationFormat,
  locale: string,
): Formatter {
  return (value) => {
    const seconds =
      typeof value === 'number'
        ? value * secondsOf[of]
        : typeof value === 'string'
          ? secondsOfDuration(value)
          : Number.NaN;
    if (!Number.isFinite(seconds)) return notA('a duration', value);
    const whole = Math.round(Math.abs(seconds));
    const isNegative = seconds < 0 && whole > 0;
    const text = width === 'digital' ? digital(whole, locale) : inWords(whole, width, locale);
    return isNegative ? `−${text}` : text;
  };
}

function inWords(whole: number, width: 'long' | 'short' | 'narrow', locale: string): string {
  let rest = whole;
  const parts: string[] = [];
  for (const { name, seconds } of units) {
    const amount = Math.floor(rest / seconds);
    rest -= amount * seconds;
    const isLast = name === 'second' && parts.length === 0;
    if (amount > 0 || isLast)
      parts.push(
        numberFormat(locale, { style: 'unit', unit: name, unitDisplay: width }).format(amount),
      );
  }
  return listFormat(locale, { type: 'unit', style: width }).format(parts);
}

function digital(whole: number, locale: string): string {
  const hours = Math.floor(whole / 3_600);
  const two = numberFormat(locale, { minimumIntegerDigits: 2, useGrouping: false });
  const one = numberFormat(locale, { useGrouping: false });
  const minutes = Math.floor((whole % 3_600) / 60);
  const first = hours > 0 ? [one.format(hours), two.format(minutes)] : [one.format(minutes)];
  return [...first, two.format(whole % 60)].join(':');
}
