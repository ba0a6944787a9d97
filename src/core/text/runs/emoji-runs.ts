/** How Chromium tells emoji from text (Unicode Technical Standard 51, presentation). */
export type EmojiClass = 'text' | 'emoji' | 'emoji asked for' | 'text asked for';

export interface EmojiRun {
  readonly start: number;
  end: number;
  readonly kind: EmojiClass;
}

const mayHaveEmoji =
  /[\u200d\u20e3\ufe0f\u231a-\u2bff\u3030\u303d\u3297\u3299]|[\ud83c-\ud83e]|[\u{e0020}-\u{e007f}]/u;
const element = '(?:(?![0-9#*])\\p{Emoji}(?:\\p{EMod}|\\ufe0f\\u20e3?)?)';
const sequence = new RegExp(
  [
    '\\p{RI}\\p{RI}',
    '[0-9#*]\\ufe0f?\\u20e3',
    '(?![0-9#*])\\p{Emoji}[\\u{e0020}-\\u{e007e}]+\\u{e007f}',
    `${element}(?:\\u200d${element})*`,
  ].join('|'),
  'uy',
);
const isPresentedAsEmoji = /\p{Emoji_Presentation}/u;
const joins = /\u200d|\u20e3|\p{EMod}|\p{RI}\p{RI}|\u{e007f}/u;

/** The stretches of one class each; undefined: all of it is text. */
export function emojiRuns(text: string): readonly EmojiRun[] | undefined {
  if (!mayHaveEmoji.test(text)) return undefined;
  const runs: EmojiRun[] = [];
  const put = (start: number, end: number, kind: EmojiClass) => {
    const last = runs.at(-1);
    if (last?.kind === kind) last.end = end;
    else runs.push({ start, end, kind });
  };
  for (let at = 0; at < text.length; ) {
    sequence.lastIndex = at;
    const found = sequence.exec(text)?.[0];
    const length = (text.codePointAt(at) ?? 0) > 0xffff ? 2 : 1;
    let end = at + (found?.length ?? length);
    if (found === undefined) put(at, end, 'text');
    else if (text[end] === '\ufe0e' && found.length === length) {
      end += 1;
      put(at, end, 'text asked for');
    } else put(at, end, classOf(found, found.length > length));
    at = end;
  }
  return runs;
}

function classOf(found: string, hasSeveral: boolean): EmojiClass {
  if (found.includes('\ufe0f')) return 'emoji asked for';
  if (hasSeveral && joins.test(found)) return 'emoji';
  return isPresentedAsEmoji.test(found) ? 'emoji' : 'text';
}
