import { canNameActions } from '../../actions';
import type { Bound } from '../bound';
import { type Constant, isContent, type Property } from '../property';
import { isName } from './declare';
import type { Declared } from './kind';
import type { Size } from './size';

/** What somebody wrote to set a property: “padding 12”, “lines all”, “colour when stock < 5 madder”. */
export interface Setting {
  readonly property: string;
  readonly declared: Property;
  /** What was written after its name; what it begins with where nothing was. */
  readonly value: Constant | Bound | undefined;
  /** What was written is no value of it. */
  readonly isUnread: boolean;
}

/** The names of what a property takes of the project; undefined: it takes nothing of it. */
export type NamesOf = (declared: Property) => readonly string[] | undefined;

/** All settings that the words may mean, those that they name in full first. */
export function settingsIn(typed: string, properties: Declared, namesOf: NamesOf): Setting[] {
  const tokens = typed.trim().split(/\s+/).filter(Boolean);
  const found = new Map<string, Setting & { readonly isWhole: boolean }>();
  for (let count = tokens.length; count >= 0; count -= 1) {
    const name = tokens.slice(0, count).join(' ').toLowerCase();
    const rest = tokens.slice(count).join(' ');
    // All that has no name yet may be meant; what follows is not its value.
    if (count === 0 && tokens.length > 0) break;
    for (const [property, declared] of Object.entries(properties)) {
      if (found.has(property) || !beginsWith(declared.words, property, name)) continue;
      const value =
        rest === '' ? (declared.first ?? declared.default) : valueIn(rest, declared, namesOf);
      const isWhole = declared.words.toLowerCase() === name;
      const isUnread = rest !== '' && value === undefined;
      found.set(property, { property, declared, value, isUnread, isWhole });
    }
  }
  return [...found.values()]
    .sort((one, other) => Number(other.isWhole) - Number(one.isWhole))
    .map(({ isWhole: _, ...setting }) => setting);
}

/** By the beginning of its words, of any one of them, or of its name in the file. */
const beginsWith = (words: string, property: string, name: string): boolean =>
  [words, property, ...words.split(' ')].some((each) => each.toLowerCase().startsWith(name));

function valueIn(
  written: string,
  declared: Property,
  namesOf: NamesOf,
): Constant | Bound | undefined {
  const bound = declared.isBindable ? boundIn(written, declared, namesOf) : undefined;
  return bound ?? constantIn(written, declared, namesOf);
}

function boundIn(written: string, declared: Property, namesOf: NamesOf): Bound | undefined {
  if (declared.kind === 'list') return { expr: written };
  if (written.startsWith('=')) {
    const expr = written.slice(1).trim();
    return expr === '' ? undefined : { expr };
  }
  const [, condition, result] = /^when\s+(.+)\s+(\S+)$/i.exec(written) ?? [];
  if (condition === undefined || result === undefined) return undefined;
  const value = isContent(declared) ? result : constantIn(result, declared, namesOf);
  const [yes, no] = [literal(value), literal(declared.default) ?? 'null'];
  return yes === undefined ? undefined : { expr: `${condition} ? ${yes} : ${no}` };
}

/** A constant as an expression says it; undefined: it can't. */
function literal(value: Constant | undefined): string | undefined {
  if (typeof value === 'object' && 'fixed' in value) return String(value.fixed);
  return value === undefined || typeof value === 'object' ? undefined : JSON.stringify(value);
}

function constantIn(written: string, declared: Property, namesOf: NamesOf): Constant | undefined {
  const word = written.toLowerCase();
  const number = /^-?\d+(?:\.\d+)?(?:\s*px)?$/.test(word) ? Number.parseFloat(word) : undefined;
  const within = (min: number, max: number) =>
    number !== undefined && number >= min && number <= max ? number : undefined;
  switch (declared.kind) {
    case 'text':
    case 'picture':
    case 'language':
      return written;
    case 'actions':
      return canNameActions(word, declared.max) ? word : undefined;
    case 'address':
    case 'list':
      return undefined;
    case 'name':
      return isName(written) ? written : undefined;
    case 'number':
      return within(declared.min, declared.max) ?? stepIn(word, declared, namesOf);
    case 'condition':
      return word === 'yes' || word === 'true' ? true : word === 'no' ? false : undefined;
    case 'word':
      return declared.among.find((each) => each.toLowerCase().startsWith(word));
    case 'style':
      return namesOf(declared)?.find((each) => each.toLowerCase().startsWith(word));
    case 'colour':
      return /^#[0-9a-f]{6}$/i.test(word)
        ? word
        : namesOf(declared)?.find((each) => each.toLowerCase().startsWith(word));
    case 'lines':
      return word === 'all' ? 'all' : within(1, declared.max);
    case 'radius':
      return 'circle'.startsWith(word) ? 'circle' : within(0, declared.max);
    case 'size':
      return sizeIn(word, number, declared.among);
    case 'padding':
      return paddingIn(written) ?? stepIn(word, declared, namesOf);
  }
}

function sizeIn(
  word: string,
  number: number | undefined,
  among: readonly ('fit' | 'share' | 'fixed')[],
): Size | undefined {
  if (number !== undefined)
    return number >= 0 && among.includes('fixed') ? { fixed: number } : undefined;
  if (word === 'fit') return among.includes('fit') ? 'fit' : undefined;
  const [, parts] = /^share(?:\s+(\d+))?$/.exec(word) ?? [];
  return word.startsWith('share') && among.includes('share')
    ? { share: Math.max(1, Number(parts ?? 1)) }
    : undefined;
}

const stepIn = (word: string, declared: Property, namesOf: NamesOf): string | undefined =>
  namesOf(declared)?.find((each) => each.toLowerCase().startsWith(word));

/** One length for all sides, or one for the ends of each axis: above and below, then beside. */
function paddingIn(written: string): Constant | undefined {
  const lengths = written.split(/[\s,]+/).map(Number);
  const [down, across = down] = lengths;
  if (lengths.length > 2 || lengths.some((each) => !(each >= 0 && each <= 200))) return undefined;
  return down === undefined || across === undefined
    ? undefined
    : { start: across, end: across, top: down, bottom: down };
}
