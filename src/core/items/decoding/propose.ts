import { type Json, keepsDigits } from '../../base';
import type { Decoding } from '../../values';
import { decoder, isThere } from './decode';

/** A decoding that fits the values, and how many of them. */
export interface Proposal {
  readonly decoding: Decoding;
  readonly fits: number;
  readonly of: number;
}

const patterns = [
  'yyyy-MM-dd',
  "yyyy-MM-dd'T'HH:mm:ssX",
  "yyyy-MM-dd'T'HH:mm:ss.SSSX",
  "yyyy-MM-dd'T'HH:mm:ss",
  "yyyy-MM-dd'T'HH:mmX",
  "yyyy-MM-dd'T'HH:mm",
  'yyyy-MM-dd HH:mm:ss',
  'yyyy-MM-dd HH:mm',
  'yyyy/MM/dd',
  'yyyyMMdd',
  'dd.MM.yyyy',
  'd.M.yyyy',
  'dd/MM/yyyy',
  'd/M/yyyy',
  'MM/dd/yyyy',
  'M/d/yyyy',
  'dd-MM-yyyy',
  'd.M.yy',
  'd/M/yy',
  'M/d/yy',
  'd MMM yyyy',
  'd MMM yy',
  'd. MMMM yyyy',
  'MMM d, yyyy',
  'EEE, d MMM yyyy',
  'EEE, d MMM yyyy HH:mm:ss Z',
  'dd.MM.yyyy HH:mm',
  'dd/MM/yyyy HH:mm',
  'M/d/yyyy h:mm a',
  'HH:mm',
  'HH:mm:ss',
  'h:mm a',
];
const localised = /MMM|EEE/;
const locales = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pt', 'sv'];

const yesAndNo: readonly (readonly [readonly string[], readonly string[]])[] = [
  [
    ['yes', 'y'],
    ['no', 'n'],
  ],
  [
    ['true', 't'],
    ['false', 'f'],
  ],
  [['on'], ['off']],
  [
    ['ja', 'j'],
    ['nein', 'nee', 'n'],
  ],
  [
    ['oui', 'o'],
    ['non', 'n'],
  ],
  [
    ['sí', 'si', 's'],
    ['no', 'n'],
  ],
];

/** The share of all values that must fit; the rest is then counted and listed. */
const minShare = 0.6;
const maxTried = 400;

/** Decodings that fit a field's values, the best first; several where the values do not settle it. */
export function proposeDecodings(name: string, values: readonly Json[]): Proposal[] {
  const sample = values.filter(isThere).slice(0, maxTried);
  if (sample.length === 0) return [];
  if (sample.every((value) => typeof value === 'number')) return epochs(name, sample);
  const texts = sample.filter((value) => typeof value === 'string');
  if (texts.length < sample.length) return [];
  const proposals = [...candidates(name, texts)]
    .map((decoding) => tried(decoding, texts))
    .filter(({ fits, of }) => fits >= minShare * of);
  const max = Math.max(...proposals.map((each) => each.fits));
  return proposals.filter((each) => each.fits === max).slice(0, 4);
}

/** The decoding that fits all values, unless another one does too and reads them otherwise. */
export function settledDecoding(name: string, values: readonly Json[]): Decoding | undefined {
  const [first, ...others] = proposeDecodings(name, values);
  if (first === undefined) return undefined;
  const there = values.filter(isThere);
  const wanted = decodedAll(first.decoding, there);
  if (wanted === undefined) return undefined;
  const isTheSame = ({ decoding }: Proposal) => {
    const other = decodedAll(decoding, there);
    return other === undefined || wanted.every((value, at) => value === other[at]);
  };
  return others.every(isTheSame) ? first.decoding : undefined;
}

/** The values decoded; undefined where one of them can't be. */
function decodedAll(decoding: Decoding, values: readonly Json[]): Json[] | undefined {
  const made = decoder(decoding);
  const decoded: Json[] = [];
  for (const raw of values) {
    const value = made.ok ? made.value(raw) : made;
    if (!value.ok) return undefined;
    decoded.push(value.value);
  }
  return decoded;
}

function* candidates(name: string, texts: readonly string[]): Generator<Decoding> {
  const some = texts.filter((text) => /\d/.test(text)).slice(0, 40);
  if (some.length > 0) {
    for (const pattern of patterns) {
      for (const locale of localised.test(pattern) ? locales : [undefined]) {
        const decoding = { pattern, ...(locale !== undefined && locale !== 'en' && { locale }) };
        if (tried(decoding, some).fits >= minShare * some.length) yield decoding;
      }
    }
    yield* epochs(name, texts.map(Number)).map((each) => each.decoding);
    // Where one of them would lose a digit, they are names made of digits.
    if (texts.every((text) => keepsDigits(text.replace(/[^\d.]/g, '')))) {
      if (texts.some((text) => /\d,\d/.test(text))) yield { decimal: ',' };
      if (texts.every((text) => !/^[-+]?0\d/.test(text))) yield { decimal: '.' };
    }
  }
  const words = new Set(texts.map((text) => text.trim().toLowerCase()));
  if (words.size > 4) return;
  for (const [yes, no] of yesAndNo) {
    const isOfBoth = yes.some((word) => words.has(word)) && no.some((word) => words.has(word));
    if (isOfBoth) yield { yes, no };
  }
}

/** Whole numbers of a size that dates around now have, in a field whose name speaks of time. */
function epochs(name: string, values: readonly Json[]): Proposal[] {
  if (!/date|time|stamp|epoch|(?:^|[_ a-z])(?:at|on|since|until)$/i.test(name)) return [];
  const isWithin = (min: number, max: number) =>
    values.every((value) => typeof value === 'number' && value >= min && value <= max);
  const all = { fits: values.length, of: values.length };
  if (isWithin(3e8, 5e9)) return [{ decoding: { epoch: 'seconds' }, ...all }];
  return isWithin(3e11, 5e12) ? [{ decoding: { epoch: 'milliseconds' }, ...all }] : [];
}

function tried(decoding: Decoding, values: readonly Json[]): Proposal {
  const made = decoder(decoding);
  const fits = made.ok ? values.filter((value) => made.value(value).ok).length : 0;
  return { decoding, fits, of: values.length };
}
