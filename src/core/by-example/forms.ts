import { type Format, pluralCategories, pluralCategory } from '../formats';
import { type Field, kindOf } from '../values';
import { isBoundary, typedOf } from './fold';
import type { Read } from './occurrences';
import type { Source } from './sources';
import { number, pluralWriting } from './writings/plural-writing';
import { byFormat, type Hole, holeId, holeOf, openForm, type Writing } from './writings/writing';

/**
 * Words that change with a value: the forms of a plural, the two words of a boolean. Each example
 * shows one form; what no example shows is open.
 */
export interface FormPiece {
  readonly hole: Hole;
  /** Where the form of each example ends. */
  readonly ends: readonly number[];
  /** The longest of its forms. */
  readonly words: string;
}

interface Shown {
  readonly to: number;
  /** Folded: forms are compared by it. */
  readonly form: string;
  readonly typed: string;
  readonly key: string;
}

/** What of one source may be shown in each example, by where it begins. */
export interface FormSource {
  readonly source: Source;
  readonly byExample: readonly ((from: number) => readonly Shown[])[];
}

const maxWords = 3;
const costs = { boolean: 1, openBoolean: 3 } as const;

/** The sources whose forms may stand in the examples. */
export function formSources(
  reads: readonly Read[],
  sources: readonly Source[],
  locale: string,
): readonly FormSource[] {
  return sources.flatMap((source): FormSource[] => {
    const values = reads.map(({ example }) => source.evaluate(example.item, example.context));
    if (source.type.type === 'boolean' && values.every((value) => typeof value === 'boolean'))
      return [
        {
          source,
          byExample: reads.map((read, at) => booleanForms(read, values[at] === true, reads.length)),
        },
      ];
    if (kindOf(source.type) !== 'number' || pluralCategories(locale).length < 2) return [];
    if (!values.every((value) => typeof value === 'number' && Number.isInteger(value))) return [];
    const id = holeId(source, JSON.stringify({ as: 'number' }));
    const spans = reads.map((read) => read.holes.get(id)?.spans);
    if (spans.every((each) => each === undefined)) return [];
    return [
      {
        source,
        byExample: reads.map((read, at) =>
          pluralForms(read, Number(values[at]), spans[at], { locale, exampleCount: reads.length }),
        ),
      },
    ];
  });
}

function booleanForms({ words }: Read, value: boolean, exampleCount: number) {
  const { text } = words;
  return (from: number): Shown[] => {
    if (!isBoundary(text, from)) return [];
    const none = exampleCount > 1 ? [{ to: from, form: '', typed: '', key: String(value) }] : [];
    const own = wordEnds(text, from).map((to) => ({
      to,
      form: text.slice(from, to),
      typed: typedOf(words, { from, to }),
      key: String(value),
    }));
    return [...none, ...own];
  };
}

function pluralForms(
  { words }: Read,
  value: number,
  spans: ReadonlyMap<number, readonly number[]> | undefined,
  { locale, exampleCount }: { readonly locale: string; readonly exampleCount: number },
) {
  const { text } = words;
  const category = pluralCategory(locale, value);
  return (from: number): Shown[] => {
    const withNumber = (spans?.get(from) ?? []).flatMap((end) => {
      const after = text[end] === ' ' ? end + 1 : end;
      const ends = wordEnds(text, after).slice(0, 2);
      return ends.map((to) => ({
        to,
        form: number + text.slice(end, to),
        typed: number + typedOf(words, { from: end, to }),
        key: category,
      }));
    });
    // No number is written for none and for one: "sold out", "a review".
    const isAlone = exampleCount > 1 && (value === 0 || value === 1) && isBoundary(text, from);
    const alone = isAlone
      ? wordEnds(text, from).map((to) => ({
          to,
          form: text.slice(from, to),
          typed: typedOf(words, { from, to }),
          key: String(value),
        }))
      : [];
    return [...withNumber, ...alone];
  };
}

/** Where the next few words end, letters only. */
export function wordEnds(text: string, from: number): number[] {
  const ends: number[] = [];
  let at = from;
  while (ends.length < maxWords) {
    const word = /^\p{L}[\p{L}\p{M}'-]*/u.exec(text.slice(at))?.[0];
    if (word === undefined) break;
    at += word.length;
    if (isBoundary(text, at) && !/[\p{Sc}\p{N}]/u.test(text[at] ?? '')) ends.push(at);
    if (text[at] !== ' ') break;
    at += 1;
  }
  return ends;
}

/** The forms that begin at these places and agree with each other. */
export function* formsAt(
  { source, byExample }: FormSource,
  places: readonly number[],
  locale: string,
  fields: readonly Field[],
): Generator<FormPiece, void> {
  let combined: (readonly Shown[])[] = [[]];
  for (const [at, shownAt] of byExample.entries()) {
    const shown = shownAt(places[at] ?? 0);
    combined = combined.flatMap((before) =>
      shown
        .filter((each) =>
          before.every((other) => (other.key === each.key) === (other.form === each.form)),
        )
        .map((each) => [...before, each]),
    );
    if (combined.length === 0) return;
  }
  for (const shown of combined) {
    const forms = new Map(shown.map(({ key, typed }) => [key, typed]));
    if ([...forms.values()].every((form) => form === '')) continue;
    const isPlural = source.type.type !== 'boolean';
    if (isPlural && ![...forms.values()].some((form) => form.includes(number))) continue;
    // Where all examples show one form only, more than one of them says that it is fixed, unless the
    // language has a habit for the other one.
    const isOfOne = shown.length > 1 && forms.size < 2;
    if (isOfOne && !isPlural) continue;
    if (forms.size > 1 && isTooWide([...forms.values()])) continue;
    const writing = isPlural
      ? pluralWriting(forms, locale, fields)
      : booleanWriting(forms, locale, fields);
    if (isOfOne && !areGuessed(writing)) continue;
    const words = [...forms.values()].reduce((a, b) => (b.length > a.length ? b : a), '');
    yield {
      hole: holeOf(source, writing),
      ends: shown.map(({ to }) => to),
      words: words.replace(number, ''),
    };
  }
}

const areGuessed = ({ open }: Writing): boolean =>
  open?.forms.every((form) => Object.hasOwn(open.guesses, form)) ?? true;

/** Words that all forms begin or end with are no part of them. */
function isTooWide(forms: readonly string[]): boolean {
  const same = (pick: (form: string) => string | undefined) =>
    new Set(forms.map(pick)).size === 1 && pick(forms[0] ?? '') !== undefined;
  return (
    same((form) => /^[\p{L}'-]+(?= )/u.exec(form)?.[0]) ||
    same((form) => / [\p{L}'-]+$/u.exec(form)?.[0])
  );
}

function booleanWriting(
  forms: ReadonlyMap<string, string>,
  locale: string,
  fields: readonly Field[],
): Writing {
  const [yes, no] = [forms.get('true'), forms.get('false')];
  const isOpen = yes === undefined || no === undefined;
  const format: Format = { as: 'yesNo', yes: yes ?? '', no: no ?? '' };
  const whole = byFormat(format, isOpen ? costs.openBoolean : costs.boolean, { locale, fields });
  if (!isOpen) return whole;
  return {
    ...whole,
    open: {
      forms: yes === undefined ? ['true'] : ['false'],
      guesses: {},
      isFor: (value) => value === (yes === undefined),
    },
    write: (value) => (value === true ? yes : no) ?? openForm,
  };
}
