import { clipped, type Finding, type Mend } from '../base';
import type { FunctionEntry } from './functions';

/** A stretch of an expression's text: offsets in UTF-16 units, `to` exclusive. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

const error = (code: string, span: Span, message: string, hint: string): Finding => ({
  code,
  severity: 'error',
  place: { in: 'expression', from: span.from, to: span.to },
  message: clipped(message),
  hint: clipped(hint),
});

/** The same with what a press puts right, where that is known. */
const mended = (finding: Finding, mend: Mend | undefined): Finding =>
  mend === undefined ? finding : { ...finding, mend };

/** What there is instead: the nearest name, and all of them in words. */
interface Known {
  readonly near: string | undefined;
  readonly known: string;
}

/** Something of an expression as its author calls it, and its type with an article. */
interface Is {
  readonly what: string;
  readonly type: string;
}

/** Everything that can be wrong with an expression. */
export const valueFindings = {
  empty: () =>
    error(
      'expression-empty',
      { from: 0, to: 0 },
      'There is no expression yet.',
      'Write the name of a field.',
    ),

  tooLong: (length: number, limit: number) =>
    error(
      'expression-too-long',
      { from: limit, to: length },
      `The expression has ${length} characters; at most ${limit} are read.`,
      'Split it into parts.',
    ),

  tooDeep: (span: Span, limit: number) =>
    error(
      'expression-too-deep',
      span,
      `The expression nests more than ${limit} levels deep.`,
      'Write it with fewer brackets or steps.',
    ),

  numberLeadsWithZero: (span: Span, written: string) =>
    error(
      'number-leads-with-zero',
      span,
      `${written} begins with 0, which some programs read as another number.`,
      `Write ${written.replace(/^0+(?=\d)/, '')}, or "${written}" where it is a text.`,
    ),

  numberTooLong: (span: Span, written: string, held: string) =>
    error(
      'number-loses-digits',
      span,
      `${written.slice(0, 40)} has more digits than a number can hold: it would be ${held}.`,
      'Write it in quotes to keep every digit.',
    ),

  syntax: (span: Span, wrong: string) =>
    error(
      'expression-syntax',
      span,
      `This is not an expression: ${wrong}.`,
      'Check quotes, brackets and dots.',
    ),

  notInLanguage: (span: Span, what: string, instead: string, mend?: Mend) =>
    mended(
      error('expression-not-in-language', span, `${what} cannot be used here.`, instead),
      mend,
    ),

  unknownName: (span: Span, name: string, near: string | undefined, known: string) =>
    mended(
      error(
        'name-unknown',
        span,
        `There is no field "${name}".`,
        near === undefined ? `The fields are ${known}.` : `Did you mean ${near}?`,
      ),
      near === undefined ? undefined : { label: `Write ${near}`, ...span, text: near },
    ),

  noSuchStep: (span: Span, record: string, name: string, { near, known }: Known) =>
    mended(
      error(
        'step-unknown',
        span,
        `${record} has no field "${name}".`,
        near === undefined ? `It has ${known}.` : `Did you mean ${near}?`,
      ),
      near === undefined ? undefined : { label: `Write ${near}`, ...span, text: near },
    ),

  noSuchSource: (span: Span, source: string, near: string | undefined, known: string) =>
    mended(
      error(
        'source-unknown',
        span,
        `There is no source "${source}" to look into.`,
        near === undefined ? `The sources are ${known}.` : `Did you mean ${near}?`,
      ),
      near === undefined
        ? undefined
        : { label: `Write ${near}`, ...span, text: JSON.stringify(near) },
    ),

  sourceWithoutKey: (span: Span, source: string) =>
    error(
      'source-without-key',
      span,
      `The source "${source}" has no key, so no item of it can be found.`,
      'Choose its key in Data.',
    ),

  noSuchFormat: (span: Span, format: string, near: string | undefined, known: string) =>
    mended(
      error(
        'format-unknown',
        span,
        `There is no format "${format}".`,
        near !== undefined
          ? `Did you mean ${near}?`
          : known === ''
            ? 'The project has none yet: choose one under the value.'
            : `The formats are ${known}.`,
      ),
      near === undefined
        ? undefined
        : { label: `Write ${near}`, ...span, text: JSON.stringify(near) },
    ),

  formatUnfit: (span: Span, format: string, words: string, type: string) =>
    error(
      'format-unfit',
      span,
      `The format "${format}" (${words}) cannot write ${type}.`,
      'Choose another format, or another value.',
    ),

  formatInProperty: (span: Span) =>
    error(
      'format-in-property',
      span,
      'A computed property is the same for every reader, so it has no formats.',
      'Use the format where the property is shown.',
    ),

  /** `of`: what was gone into; `span`: the step. */
  notARecord: (span: Span, of: Span, { what, type }: Is) =>
    mended(
      error(
        'step-into-value',
        span,
        `${what} is ${type}, so there is nothing to go into.`,
        `Take the last step away to use ${what} itself.`,
      ),
      { label: `Use ${what}`, from: of.to, to: span.to, text: '' },
    ),

  notShowable: (span: Span, { what, type }: Is, steps: readonly string[], mend: Mend | undefined) =>
    mended(
      error(
        'not-showable',
        span,
        `${what} is ${type}, which has no text of its own.`,
        steps.length === 0
          ? 'Choose another value, or join, count or sum what is in it.'
          : `Choose a value inside it: ${steps.join(', ')}.`,
      ),
      mend,
    ),

  methodUncalled: (span: Span, name: string) =>
    mended(
      error('method-uncalled', span, `${name} is a method, which is called.`, `Write ${name}(…).`),
      {
        label: `Write ${name}()`,
        from: span.to,
        to: span.to,
        text: '()',
      },
    ),

  intoList: (span: Span, what: string, isOfRecords: boolean, name: string) =>
    mended(
      error(
        'step-into-list',
        span,
        `${what} is a list, so there is nothing called "${name}" in it.`,
        isOfRecords
          ? `Of one: ${what}[0].${name}. Of all: ${what}.map(x => x.${name}), or sum(${what}, x => x.${name}).`
          : `Of one: ${what}[0]. How many: ${what}.length.`,
      ),
      isOfRecords
        ? {
            label: 'Take the first',
            from: span.from - 1,
            to: span.from - 1,
            text: '[0]',
          }
        : undefined,
    ),

  stepComputed: (span: Span) =>
    error(
      'step-computed',
      span,
      'The step into a record must be a name.',
      'Write it as a.b, or a["b c"] where the name has spaces.',
    ),

  notAList: (span: Span, what: string, type: string) =>
    error(
      'not-a-list',
      span,
      `${what} is ${type}, not a list.`,
      'Only lists have positions in brackets; a text has at(position).',
    ),

  takes: (span: Span, { what, type }: Is, takes: string, mend?: Mend) =>
    mended(
      error(
        'wrong-type',
        span,
        `${what} takes ${takes}; this is ${type}.`,
        'Choose another value, or correct its type in Data.',
      ),
      mend,
    ),

  unlike: (span: Span, what: string, types: readonly string[], mend?: Mend) =>
    mended(
      error(
        'types-differ',
        span,
        `${what} are not of one kind: ${[...new Set(types)].join(' and ')}.`,
        'Put values of one kind there; to put words together, write `${a} ${b}`.',
      ),
      mend,
    ),

  notComparable: (span: Span, type: string, operator: string, mend?: Mend) =>
    mended(
      error(
        'not-comparable',
        span,
        `${type} cannot be compared with ${operator}.`,
        'Compare a value inside it, or how many there are.',
      ),
      mend,
    ),

  noCondition: (span: Span, what: string, type: string, mend?: Mend) =>
    mended(
      error(
        'not-a-condition',
        span,
        `${what} is ${type}, not true or false.`,
        'Compare it: x > 0, x === "…", or x !== null for whether it is there. For a stand-in, write x ?? "…".',
      ),
      mend,
    ),

  methodElsewhere: (span: Span, name: string, is: Is, on: readonly string[]) =>
    error(
      'method-elsewhere',
      span,
      `${is.what} is ${is.type}, which has no ${name}.`,
      `${name} is for a ${on.join(' or a ')}.`,
    ),

  wrongCount: (span: Span, entry: FunctionEntry) =>
    error(
      'arguments-wrong',
      span,
      `${entry.name} takes ${argumentsInWords(entry)}.`,
      `For example: ${entry.example[0]}`,
    ),

  elements: (span: Span, entry: FunctionEntry, type: string) =>
    error(
      'elements-wrong',
      span,
      `${entry.name} cannot use the elements of ${type} as they are.`,
      entry.name === 'toSorted'
        ? 'Say how: toSorted((a, b) => a - b).'
        : `Say what of them: ${entry.on === undefined ? `${entry.name}(list, x => x.…)` : `list.map(x => x.…).${entry.name}(…)`}.`,
    ),

  takesFunction: (span: Span, name: string, takes: 'keep' | 'make' | 'order') =>
    error(
      'function-wanted',
      span,
      `${name} takes a function of an element.`,
      takes === 'order' ? 'Write (a, b) => a - b.' : 'Write x => … with x for the element.',
    ),

  takesNoFunction: (span: Span, name: string) =>
    error('function-unwanted', span, `${name} takes no function there.`, 'Write a value.'),

  arrowParams: (span: Span, takes: 'keep' | 'make' | 'order') =>
    error(
      'function-parameters',
      span,
      takes === 'order'
        ? 'This function takes two elements.'
        : 'This function takes an element and its position.',
      takes === 'order' ? 'Write (a, b) => …' : 'Write x => … or (x, i) => …',
    ),

  itemAlone: (span: Span, shown: readonly string[], field: string): Finding => ({
    ...error(
      'item-alone',
      span,
      `This is the whole item: ${shown.join(' and ')} ${shown.length === 1 ? 'shows' : 'show'} for it.`,
      `Write ${field}.`,
    ),
    severity: 'warning',
    mend: { label: `Write ${field}`, ...span, text: field },
  }),

  looksLikeHole: (span: Span, template: string): Finding => ({
    ...error(
      'constant-like-hole',
      span,
      'These words stay as they are written: no value is put into them.',
      `Write ${template}, if a value is meant to stand there.`,
    ),
    severity: 'warning',
    mend: { label: clipped(`Write ${template}`), ...span, text: template },
  }),

  separatorsLeft: (span: Span, text: string): Finding => ({
    ...error(
      'separators-left',
      span,
      'Where one of these values is missing, the marks beside it stay.',
      `Write ${text}: it leaves them out.`,
    ),
    severity: 'note',
    mend: { label: clipped(`Write ${text}`), from: span.from, to: span.to, text },
  }),

  neverEqual: (span: Span, of: string, value: string, near: string | undefined): Finding => {
    const finding: Finding = {
      ...error(
        'comparison-never-equal',
        span,
        `${of} is ${JSON.stringify(value)} for no item.`,
        near === undefined ? 'Compare it with a value that items have.' : `Did you mean ${near}?`,
      ),
      severity: 'warning',
    };
    if (near === undefined) return finding;
    const text = JSON.stringify(near);
    return { ...finding, mend: { label: clipped(`Write ${text}`), ...span, text } };
  },

  noPlace: (span: Span, name: string) =>
    error(
      'place-unknown',
      span,
      `${name} is known only where an item stands in a list, not for the item itself.`,
      'Use it in a template.',
    ),
} as const;

function argumentsInWords({ params, repeats }: FunctionEntry): string {
  if (params.length === 0) return 'nothing in its brackets';
  const words = params.map(({ name, optional }) => (optional ? `${name} if wanted` : name));
  return words.join(', ') + (repeats ? ', and more of them' : '');
}
