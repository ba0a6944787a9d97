import { type Finding, placeInWords } from '../src/core/base';

/** What a command reads and writes: that of the process, or what a test puts in its place. */
export interface Terminal {
  readonly input: AsyncIterable<Uint8Array>;
  readonly print: (text: string) => void;
  readonly printError: (text: string) => void;
}

let terminal: Terminal;
let status: 0 | 1 | 2 = 0;

/** Runs a command in a terminal; gives its exit status. */
export async function within(place: Terminal, command: () => Promise<void>): Promise<0 | 1 | 2> {
  terminal = place;
  status = 0;
  waiting = '';
  await command();
  return status;
}

export const standardInput = (): AsyncIterable<Uint8Array> => terminal.input;

export const print = (text: string): void => terminal.print(text);

/** The exit status that the command will end with. */
export function endWith(next: 1 | 2): void {
  status = next;
}

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
  terminal.printError(`${visible(words)}\n`);
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
  if (waiting !== '') print(waiting);
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
