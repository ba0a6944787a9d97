import { type Finding, placeInWords } from '../src/core/base';

/** Wrong use or input that can't be read: one line on standard error, exit status 2. */
export class WrongUse extends Error {}

export function refuse(finding: Finding): never {
  throw new WrongUse(`${placeInWords(finding.place)}: ${finding.message} ${finding.hint}`);
}

/** What was noticed, on standard error, a line each. */
export function report(findings: readonly Finding[]): void {
  for (const { severity, place, message, hint } of findings) {
    process.stderr.write(`${severity}: ${placeInWords(place)}: ${message} ${hint}\n`);
  }
}

const pieceChars = 65_536;
let waiting = '';

/** Writes a line, in larger pieces: `flush` at the end. */
export function line(text: string): void {
  waiting += `${text}\n`;
  if (waiting.length > pieceChars) flush();
}

export function flush(): void {
  if (waiting !== '') process.stdout.write(waiting);
  waiting = '';
}
