const iso =
  /^([+-])?P(?:(\d+(?:[.,]\d+)?)W)?(?:(\d+(?:[.,]\d+)?)D)?(?:T(?:(\d+(?:[.,]\d+)?)H)?(?:(\d+(?:[.,]\d+)?)M)?(?:(\d+(?:[.,]\d+)?)S)?)?$/;

/** Seconds of a duration of weeks, days, hours, minutes and seconds; NaN: it is none. Standard: ISO 8601, durations. */
export function secondsOfDuration(text: string): number {
  const match = iso.exec(text);
  if (match === null || !/\d/.test(text)) return Number.NaN;
  const [, sign, ...amounts] = match;
  const sizes = [604_800, 86_400, 3_600, 60, 1];
  const sum = sizes.reduce(
    (total, size, at) => total + Number((amounts[at] ?? '0').replace(',', '.')) * size,
    0,
  );
  return sign === '-' ? -sum : sum;
}

/** A finite number of seconds as such a text, of days, hours, minutes and seconds to the millisecond. */
export function durationOfSeconds(seconds: number): string {
  const whole = Math.abs(Math.round(seconds * 1_000) / 1_000);
  const minutes = Math.floor(whole / 60);
  const [days, hours] = [Math.floor(minutes / 1_440), Math.floor(minutes / 60) % 24];
  const rest = Number((whole - minutes * 60).toFixed(3));
  const part = (amount: number, letter: string) => (amount === 0 ? '' : `${amount}${letter}`);
  const time = part(hours, 'H') + part(minutes % 60, 'M') + part(rest, 'S');
  const text = part(days, 'D') + (time === '' ? '' : `T${time}`);
  return `${seconds < 0 && whole > 0 ? '-' : ''}P${text === '' ? 'T0S' : text}`;
}
