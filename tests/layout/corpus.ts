/** Words of all scripts that rows are drawn in, from what the engine's own locale data says. */
import { seededRandom } from '../../src/core/base';

const languages: Readonly<Record<string, readonly string[]>> = {
  latin: ['en', 'de', 'fr', 'pl', 'tr', 'cs', 'sv', 'es', 'hu'],
  cyrillic: ['ru', 'uk', 'bg'],
  greek: ['el'],
  vietnamese: ['vi'],
  arabic: ['ar', 'fa', 'ur'],
  hebrew: ['he'],
  devanagari: ['hi', 'ne'],
  bengali: ['bn', 'as'],
  tamil: ['ta'],
  telugu: ['te'],
  thai: ['th'],
  khmer: ['km'],
  georgian: ['ka'],
  armenian: ['hy'],
  ethiopic: ['am'],
  japanese: ['ja'],
  korean: ['ko'],
  'simplified Chinese': ['zh-Hans'],
  'traditional Chinese': ['zh-Hant'],
};

const withoutSpaces = new Set(['japanese', 'simplified Chinese', 'traditional Chinese']);
const halfSpaced = new Set(['thai', 'khmer']);

const letters = Array.from({ length: 26 }, (_, at) => String.fromCharCode(65 + at));
const regions = letters.flatMap((one) => letters.map((other) => one + other));
const currencies = 'USD EUR JPY GBP CHF SEK PLN TRY UAH INR THB VND ILS KRW CNY BRL'.split(' ');

const more: Readonly<Record<string, readonly string[]>> = {
  latin: [
    ...['AVATAR', 'Tokyo', 'Wave', 'fi', 'office', 'ffl', '"Ta"', 'Yo,', '1,234.56', '$19.99'],
    ...[
      '2026-11-24',
      '10:45',
      '50%',
      '#123',
      '(a)',
      '[b]',
      'e-mail',
      'don’t',
      '“quoted”',
      '—',
      '…',
    ],
    ...[
      'x²',
      '½',
      'né',
      'x̣́',
      'a/b',
      'no\u00a0break',
      'Straße',
      'well-known',
      'a-1',
      '-5',
      'what?no',
    ],
  ],
  arabic: ['مي‌خواهم', 'الله', 'مُحَمَّدٌ', '١٢٣', '123', '(عربي)', '٪50', 'ـــ', '؟'],
  hebrew: ['שָׁלוֹם', 'שלום־עולם', '123', '(עברית)', 'ב-50%'],
  devanagari: ['क्‍ष', 'र्‍य', 'श्री', 'कर्ता', '१२३', '।', 'ॐ'],
  thai: ['น้ำ', 'กำ', '๑๒๓', 'ๆ'],
  japanese: ['「引用」', 'テスト、', '株式会社', 'ー', 'っ', '（注）', 'ＡＢＣ', 'が（', '１２３'],
  korean: ['한국어,', '(주)', '“인용”', 'ㄱㄴㄷ', '2026년'],
  'simplified Chinese': ['中文，', '“引号”', '（注）', '《书名》', '测试。', '……', '——'],
  'traditional Chinese': ['中文，', '「引號」', '（註）', '測試。', 'ㄅㄆㄇ'],
};

function wordsOf(kind: string, tags: readonly string[]): readonly string[] {
  const words = new Set(more[kind] ?? []);
  const add = (text: string | undefined) => {
    for (const word of (text ?? '').replaceAll('\u202f', ' ').split(' ')) if (word) words.add(word);
  };
  for (const tag of tags) {
    const region = new Intl.DisplayNames([tag], { type: 'region', fallback: 'none' });
    const currency = new Intl.DisplayNames([tag], { type: 'currency', fallback: 'none' });
    for (const code of regions) add(region.of(code));
    for (const code of currencies) add(currency.of(code));
    for (let month = 0; month < 12; month += 1) {
      const date = new Date(Date.UTC(2026, month, 1 + 2 * month, month));
      add(new Intl.DateTimeFormat(tag, { dateStyle: 'full', timeStyle: 'short' }).format(date));
    }
    const money = new Intl.NumberFormat(tag, { style: 'currency', currency: 'EUR' });
    for (const amount of [1.5, 1234.56, -99]) add(money.format(amount));
  }
  return [...words];
}

const words = Object.fromEntries(
  Object.entries(languages).map(([kind, tags]) => [kind, wordsOf(kind, tags)]),
);

export const scripts = [...Object.keys(languages), 'mixed'];

/** A repeatable maker of texts: a script's words, or those of all mixed. */
export function textMaker(seed: number): (script: string, wordCount: number) => string {
  const random = seededRandom(seed);
  const pick = <T>(among: readonly T[]): T => among[Math.floor(random() * among.length)] as T;
  return (script, wordCount) => {
    let text = '';
    for (let at = 0; at < wordCount; at += 1) {
      const kind = script === 'mixed' ? pick(Object.keys(languages)) : script;
      const isJoined =
        (withoutSpaces.has(kind) && random() < 0.7) || (halfSpaced.has(kind) && random() < 0.6);
      text += (at === 0 || isJoined ? '' : ' ') + pick(words[kind] ?? ['']);
    }
    return text;
  };
}
