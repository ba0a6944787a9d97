import type { Finding, Mend } from '../base';

/** A stretch of an expression's text: offsets in UTF-16 units, `to` exclusive. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

const error = (code: string, span: Span, message: string, hint: string, mend?: Mend): Finding => ({
  code,
  severity: 'error',
  place: { in: 'expression', from: span.from, to: span.to },
  message,
  hint,
  ...(mend && { mend }),
});

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

  syntax: (span: Span, wrong: string) =>
    error(
      'expression-syntax',
      span,
      `This is not an expression: ${wrong}.`,
      'Check quotes, brackets and dots.',
    ),

  notInLanguage: (span: Span, what: string, instead: string) =>
    error('expression-not-in-language', span, `${what} cannot be used here.`, instead),

  unknownName: (span: Span, name: string, near: string | undefined, known: string) =>
    error(
      'name-unknown',
      span,
      `There is no field "${name}".`,
      near === undefined ? `The fields are ${known}.` : `Did you mean ${near}?`,
      near === undefined ? undefined : { label: `Write ${near}`, ...span, text: near },
    ),

  noSuchStep: (span: Span, record: string, name: string, near: string | undefined, known: string) =>
    error(
      'step-unknown',
      span,
      `${record} has no field "${name}".`,
      near === undefined ? `It has ${known}.` : `Did you mean ${near}?`,
      near === undefined ? undefined : { label: `Write ${near}`, ...span, text: near },
    ),

  noSuchSource: (span: Span, source: string, near: string | undefined, known: string) =>
    error(
      'source-unknown',
      span,
      `There is no source "${source}" to look into.`,
      near === undefined ? `The sources are ${known}.` : `Did you mean ${near}?`,
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

  notARecord: (span: Span, what: string, type: string) =>
    error(
      'step-into-value',
      span,
      `${what} is ${type}, so there is nothing to go into.`,
      `Take the last step away to use ${what} itself.`,
      { label: `Use ${what}`, from: span.from - 1, to: span.to, text: '' },
    ),

  notShowable: (span: Span, what: string, type: string, steps: readonly string[]) =>
    error(
      'not-showable',
      span,
      `${what} is a ${type}, which has no text of its own.`,
      steps.length === 0
        ? 'Choose another value.'
        : `Choose a value inside it: ${steps.join(', ')}.`,
    ),
} as const;
