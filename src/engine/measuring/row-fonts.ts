import { type Slice, SliceChain } from '../../core/text';

const first = 'Row';
/** The scripts' own families, in the order of their packages. */
const scripts = [
  'Row Emoji',
  'Row Arabic',
  'Row Hebrew',
  'Row Thai',
  'Row Bengali',
  'Row Tamil',
  'Row Telugu',
  'Row Georgian',
  'Row Armenian',
  'Row Ethiopic',
  'Row Khmer',
];
const japanese = 'Row Japanese';
const korean = 'Row Korean';
const simplified = 'Row Chinese simplified';
const traditional = 'Row Chinese traditional';
/** Draws all that the others lack as a box: nothing falls to a font of the machine. */
const last = 'Row Box';

/** Han characters are written otherwise from region to region: the label's language says whose come first. */
function regional(language: string): readonly string[] {
  if (/^ko\b/.test(language)) return [korean, japanese, simplified, traditional];
  if (/^zh\b.*\b(Hant|TW|HK|MO)\b/.test(language))
    return [traditional, simplified, japanese, korean];
  if (/^zh\b/.test(language)) return [simplified, traditional, japanese, korean];
  return [japanese, simplified, traditional, korean];
}

/** The families that a row's text is drawn with, first one first: in style sheets as in measures. */
export const familiesFor = (language: string): readonly string[] => [
  first,
  ...scripts,
  ...regional(language),
  last,
];

/** The chain of a language from the slices that are at hand, after a font of the project's own. */
export const chainFor = (
  language: string,
  slices: ReadonlyMap<string, readonly Slice[]>,
  own?: Slice,
): SliceChain =>
  new SliceChain([
    ...(own === undefined ? [] : [own]),
    ...familiesFor(language).flatMap((family) => slices.get(family) ?? []),
  ]);
