import { type FindBreaks, hasWordsWithoutSpaces, hyphens } from '../lines';
import { emojiRuns } from '../runs/emoji-runs';
import { isRtlPossible } from '../runs/runs';
import { isCommon, scriptRuns } from '../runs/scripts';

/** A word that is shaped by itself as it is in any text of its script. */
export interface Word {
  readonly text: string;
  /** ISO 15924 tag. */
  readonly script: string;
  /** Where it may be broken, ascending. */
  readonly breaks: readonly number[];
}

/** The numbers of a text's words: the first `count`. Filled anew by the next text. */
export interface WordNumbers {
  readonly words: Int32Array;
  readonly count: number;
}

/** What may stand in a text of any script: of ASCII, Latin-1, general punctuation, currencies. */
const shared = [
  [0x20, 0x7e],
  [0xa1, 0xbf],
  [0xd7, 0xd7],
  [0xf7, 0xf7],
  [0x2010, 0x2027],
  [0x2030, 0x205e],
  [0x20a0, 0x20c0],
  [0x2116, 0x2116],
]
  .flatMap(([from = 0, to = 0]) => Array.from({ length: to - from + 1 }, (_, at) => from + at))
  .filter(isCommon)
  .map((char) => `\\u{${char.toString(16)}}`)
  .join('');
/** Scripts whose words stand between spaces, each by itself, from left to right. */
const scripts = Object.entries({
  Latn: 'Latin',
  Cyrl: 'Cyrillic',
  Grek: 'Greek',
  Armn: 'Armenian',
  Geor: 'Georgian',
  Deva: 'Devanagari',
  Beng: 'Bengali',
  Taml: 'Tamil',
  Telu: 'Telugu',
  Ethi: 'Ethiopic',
}).map(([tag, name]) => ({
  tag,
  isAll: new RegExp(`^[${shared}\\p{Script=${name}}]*$`, 'u'),
}));
const isShared = new RegExp(`^[${shared}]*$`, 'u');
const scriptsOfWords = new Set(['Zyyy', ...scripts.map(({ tag }) => tag)]);
const beginsWithMark = /^\p{M}/u;
/** Joiners and what asks for a presentation act beyond a word. */
const hasControl =
  /[\u00a0\u00ad\u200b-\u200f\u2028-\u202e\u2060-\u2069\ufeff]|\p{Variation_Selector}|\u034f/u;
/** 100,000 take some 10 MB. */
const maxWords = 100_000;
/** What is longer is an address or a key, and hardly comes twice. */
const maxLetters = 40;
/** Longer texts are rare, and not worth a number for each word. */
const maxWordsInText = 2_000;
const none = -1;

/**
 * Words as numbers. Most rows are made of the same few thousand, and a text of words with spaces
 * between them, all of one script from left to right, is as wide as they are together.
 */
export class WordTable {
  private readonly words: Word[] = [];
  private readonly byScript = new Map<string, Map<string, number>>();
  private readonly numbers = new Int32Array(maxWordsInText);

  /** `hasFaces`: whether all is there that a word takes to be shaped. */
  constructor(
    private readonly findBreaks: FindBreaks,
    private readonly hasFaces: (text: string) => boolean,
  ) {}

  /** Whether it takes no more words. */
  get isFull(): boolean {
    return this.words.length >= maxWords;
  }

  wordAt(number: number): Word | undefined {
    return this.words[number];
  }

  /** The numbers of a paragraph without white space at its ends; undefined where it is not a sum of words. */
  numbersOf(text: string): WordNumbers | undefined {
    const script = scriptOf(text);
    if (script === undefined || !scriptsOfWords.has(script)) return undefined;
    const known = this.byScript.get(script) ?? new Map<string, number>();
    this.byScript.set(script, known);
    let count = 0;
    for (let start = 0; start < text.length; ) {
      const space = text.indexOf(' ', start);
      const end = space < 0 ? text.length : space;
      const word = text.slice(start, end);
      const number = known.get(word) ?? this.taken(word, script, known);
      if (number === none || count === maxWordsInText) return undefined;
      this.numbers[count] = number;
      count += 1;
      start = end + 1;
    }
    return { words: this.numbers, count };
  }

  private taken(word: string, script: string, known: Map<string, number>): number {
    // What is missing now may come.
    if (word.length > maxLetters || this.isFull || !this.hasFaces(word)) return none;
    const breaks = this.findBreaks(word);
    const number = isByItself(word, breaks) ? this.words.length : none;
    // One that is not by itself takes its place, too: there is room for so many and no more.
    this.words.push({ text: word, script, breaks });
    known.set(word, number);
    return number;
  }
}

const isByItself = (word: string, breaks: readonly number[]): boolean =>
  word !== '' &&
  !hasControl.test(word) &&
  !beginsWithMark.test(word) &&
  !isRtlPossible(word) &&
  !hasWordsWithoutSpaces.test(word) &&
  emojiRuns(word)?.every(({ kind }) => kind === 'text') !== false &&
  // A line that begins with a hyphen has other breaks.
  (breaks.length === 0 || ![0, ...breaks].some((at) => hyphens.has(word[at] ?? '')));

/** The one script that a text is of; undefined: there are several. */
function scriptOf(text: string): string | undefined {
  if (isShared.test(text)) return 'Zyyy';
  for (const { tag, isAll } of scripts) if (isAll.test(text)) return tag;
  const [first, second] = scriptRuns(text);
  return second === undefined ? first?.script : undefined;
}
