import { type Finding, placeInWords } from '../src/core/base';

/** Wrong use or input that can't be read: one line on standard error, exit status 2. */
export class WrongUse extends Error {}

export function refuse(finding: Finding): never {
  throw new WrongUse(`${placeInWords(finding.place)}: ${finding.message} ${finding.hint}`);
}

/** What was noticed, on standard error, a line each. */
export function report(findings: readonly Finding[]): void {
  for (const { severity, place, message, hint } of findings)
    tellError(`${severity}: ${placeInWords(place)}: ${message} ${hint}`);
}

/** A line for people on standard error. */
export function tellError(words: string): void {
  process.stderr.write(`${visible(words)}\n`);
}

/**
 * What a terminal would obey (control characters, and those that turn the direction of writing
 * round) as escapes that people see. Standard: ECMA-48, C0 and C1; Unicode, bidi controls.
 */
const visible = (text: string): string => text.replace(obeyed, escaped);

// biome-ignore lint/suspicious/noControlCharactersInRegex: these are what must not pass
const obeyed = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u202a-\u202e\u2066-\u2069]/g;
const escaped = (char: string): string => `\\u${char.charCodeAt(0).toString(16).padStart(4, '0')}`;

const pieceChars = 65_536;
let waiting = '';

function put(text: string): void {
  waiting += `${text}\n`;
  if (waiting.length > pieceChars) flush();
}

/** Writes a line of text, in larger pieces: `flush` at the end. */
export const line = (text: string): void => put(visible(text));

/** The same for one JSON value; what is escaped in it is the same value. */
export function json(value: unknown, indent?: number): void {
  put(JSON.stringify(value, null, indent).replace(obeyed, escaped));
}

export function flush(): void {
  if (waiting !== '') process.stdout.write(waiting);
  waiting = '';
}

/** An option that needs another one is refused without it: it would do nothing, unsaid. */
export function needs(option: string, value: unknown, other: string, otherValue: unknown): void {
  if (value !== undefined && otherValue === undefined)
    throw new WrongUse(`${option} has no effect without ${other}.`);
}

/** Two options of which the second would do nothing. */
export function excludes(option: string, value: unknown, other: string, otherValue: unknown): void {
  if (value !== undefined && otherValue !== undefined)
    throw new WrongUse(`${other} has no effect with ${option}. Leave one of them out.`);
}
