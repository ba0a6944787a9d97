import { numbers } from './writing';

export const nouns: Readonly<Record<string, readonly Readonly<Record<string, string>>[]>> = {
  'en-GB': [
    { one: 'review', other: 'reviews' },
    { one: 'skein', other: 'skeins' },
    { one: 'line', other: 'lines' },
  ],
  de: [
    { one: 'Bewertung', other: 'Bewertungen' },
    { one: 'Strang', other: 'Stränge' },
    { one: 'Zeile', other: 'Zeilen' },
  ],
  fr: [
    { one: 'commande', other: 'commandes', many: 'commandes' },
    { one: 'écheveau', other: 'écheveaux', many: 'écheveaux' },
    { one: 'ligne', other: 'lignes', many: 'lignes' },
  ],
  ar: [
    {
      zero: 'مراجعة',
      one: 'مراجعة',
      two: 'مراجعتان',
      few: 'مراجعات',
      many: 'مراجعة',
      other: 'مراجعة',
    },
  ],
  ja: [{ other: '件' }, { other: '玉' }],
};

/** What is counted is called so: reviews, lines; all else here is skeins. */
export const nounOf: Readonly<Record<string, number>> = { reviews: 0, reviewCount: 0, lines: 2 };

export const plural = (
  value: number,
  noun: Readonly<Record<string, string>>,
  locale: string,
): string => {
  const form = noun[new Intl.PluralRules(locale).select(value)] ?? noun['other'] ?? '';
  return `${numbers(value, locale)}${locale === 'ja' ? '' : ' '}${form}`;
};

export const labels: Readonly<Record<string, readonly string[]>> = {
  'en-GB': ['from', 'by', 'dyed', 'about', 'to', 'only', 'was', 'size', 'for', 'with'],
  de: ['von', 'gefärbt', 'etwa', 'nach', 'nur', 'früher', 'für', 'mit'],
  fr: ['de', 'teint', 'environ', 'vers', 'seulement', 'avant', 'pour', 'avec'],
  ar: ['من', 'صبغ', 'حوالي', 'إلى', 'فقط', 'مع'],
  ja: ['から', '約', '染め', 'まで'],
};

export const words: Readonly<Record<string, readonly (readonly [yes: string, no: string])[]>> = {
  'en-GB': [
    ['sold', 'for sale'],
    ['urgent', 'no hurry'],
    ['organic', 'not organic'],
  ],
  de: [
    ['verkauft', 'zu haben'],
    ['eilig', 'ohne Eile'],
  ],
  fr: [
    ['vendu', 'en vente'],
    ['urgent', 'sans hâte'],
  ],
  ar: [
    ['مباع', 'متاح'],
    ['عاجل', 'عادي'],
  ],
  ja: [
    ['完売', '在庫あり'],
    ['至急', '通常'],
  ],
};
