import { piecesOf } from '../../base';

/** A letter that means something else than its writer thinks, in words, with what to write. */
export interface Slip {
  readonly message: string;
  readonly instead: string;
}

/** The slips that every date pattern invites (UTS 35): minutes for months, week-years, lost halves of the day. */
export function slipsIn(pattern: string): Slip[] {
  const fields = [...piecesOf(pattern)].flatMap((piece) => ('literal' in piece ? [] : [piece]));
  const has = (letter: string) => fields.some((field) => field.letter === letter);
  const hasHour = has('H') || has('h') || has('K') || has('k');
  const hasMonth = has('M') || has('L');
  const slips: Slip[] = [];
  const swap = (from: string, to: string) =>
    pattern.replace(new RegExp(`'[^']*'|${from}+`, 'g'), (text) =>
      text.startsWith("'") ? text : to.repeat(text.length),
    );
  if (has('m') && !hasHour) {
    slips.push({ message: 'm reads minutes, not months.', instead: swap('m', 'M') });
  }
  if (hasMonth && hasHour && !has('m') && /[HhKk]+[:.]?M/.test(pattern)) {
    const instead = pattern.replace(
      /([HhKk]+[:.]?)(M+)/,
      (_, hour: string, month: string) => hour + 'm'.repeat(month.length),
    );
    slips.push({ message: 'M reads months, not minutes.', instead });
  }
  if (has('Y')) {
    slips.push({
      message: 'Y is the year of the week, which differs around New Year.',
      instead: swap('Y', 'y'),
    });
  }
  if (has('D')) {
    slips.push({
      message: 'D counts the days of the year, not of the month.',
      instead: swap('D', 'd'),
    });
  }
  if ((has('h') || has('K')) && !(has('a') || has('b'))) {
    slips.push({
      message:
        'h counts to 12 and the pattern has no am or pm (a): afternoons would read as mornings.',
      instead: swap('[hK]', 'H'),
    });
  }
  if (has('S') && !has('s')) {
    slips.push({ message: 'S reads fractions of a second.', instead: swap('S', 's') });
  }
  return slips;
}
