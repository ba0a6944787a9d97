import { clipped, type Finding, nearest, ownValue } from '../base';
import { families, type NamedFormat } from '../formats';
import { type ResultType, typeOfResult } from '../values';

const error = (code: string, message: string, hint: string): Finding => ({
  code,
  severity: 'error',
  place: { in: 'expression', from: 0, to: 0 },
  message: clipped(message),
  hint: clipped(hint),
});

const kindWords: Readonly<Record<string, string>> = {
  number: 'a number',
  boolean: 'true or false',
};

/** What can be wrong with how a value is written. */
export const bindingFindings = {
  formatUnknown: (id: string, formats: readonly NamedFormat[]) => {
    const near = nearest(
      id,
      formats.map((format) => format.id),
    );
    return error(
      'format-unknown',
      `The project has no format “${id}”.`,
      near === undefined ? 'Choose another one.' : `Did you mean ${near}?`,
    );
  },

  formatUnfit: ({ name, as }: NamedFormat, type: ResultType) =>
    error(
      'format-unfit',
      `The format “${name}” (${families[as].words}) cannot write ${typeOfResult(type)}.`,
      'Choose another format, or another value.',
    ),

  valueUnfit: (property: string, wanted: string, type: ResultType) =>
    error(
      'value-unfit',
      `The ${property} takes ${ownValue(kindWords, wanted) ?? wanted}; this gives ${typeOfResult(type)}.`,
      'Write an expression that gives such a value, or choose another property.',
    ),

  wordUnknown: (
    property: string,
    word: string,
    words: readonly string[],
    { from, to }: { readonly from: number; readonly to: number },
  ): Finding => ({
    code: 'word-unknown',
    severity: 'error',
    place: { in: 'expression', from, to },
    message: clipped(`The ${property} knows no “${word}”.`),
    hint: `It is one of ${words.join(', ')}.`,
  }),

  nameUnknown: (property: string, name: string, names: readonly string[]): Finding => {
    const near = nearest(name, names);
    return {
      code: 'look-unknown',
      severity: 'warning',
      place: { in: 'expression', from: 0, to: 0 },
      message: clipped(`The ${property} “${name}” is not among those of the project.`),
      hint:
        near === undefined
          ? 'It is drawn as if it were not said. Choose another one, or make one of that name.'
          : `Did you mean ${near}?`,
    };
  },

  nameMissing: (kind: string, id: string): Finding => ({
    code: 'name-missing',
    severity: 'warning',
    place: { in: 'expression', from: 0, to: 0 },
    message: clipped(`Who hears the row is not told what the ${kind} “${id}” is.`),
    hint: 'Say what it is read aloud as: words, or a value with words.',
  }),

  repeatNested: (id: string): Finding => ({
    code: 'repeat-nested',
    severity: 'warning',
    place: { in: 'expression', from: 0, to: 0 },
    message: clipped(`“${id}” is in a stack that is repeated itself: it stands once.`),
    hint: 'Repeat one of them, or make one list of both with an expression.',
  }),

  sharedUnknown: (of: string) =>
    error(
      'shared-unknown',
      `The project keeps no shared part “${of}”: nothing stands there.`,
      'Choose another one, or take it out.',
    ),

  sharedCircle: (circle: readonly string[]) =>
    error(
      'shared-circle',
      `Shared parts hold each other: ${circle.join(' in ')}. Nothing stands there.`,
      'Take one of them out of the other.',
    ),

  sharedTooMuch: (of: string) =>
    error(
      'shared-too-much',
      `With the parts of “${of}” the row has more than a row can have: they do not stand there.`,
      'Use fewer shared parts within each other.',
    ),

  inputMissing: (of: string, name: string): Finding => ({
    code: 'input-missing',
    severity: 'warning',
    place: { in: 'expression', from: 0, to: 0 },
    message: clipped(`Nothing feeds “${name}” of the shared part “${of}”.`),
    hint: 'Bind it to a value, or say that it may be missing.',
  }),

  inputUnknown: (of: string, name: string, known: readonly string[]): Finding => {
    const near = nearest(name, known);
    return {
      code: 'input-unknown',
      severity: 'warning',
      place: { in: 'expression', from: 0, to: 0 },
      message: clipped(`The shared part “${of}” has no input “${name}”.`),
      hint: near === undefined ? 'Take it away.' : `Did you mean ${near}?`,
    };
  },

  option: ({ name }: NamedFormat, option: string, { message, hint }: Finding) =>
    error('format-option', `The ${option} of the format “${name}”: ${message}`, hint),

  standIn: ({ message, hint }: Finding) => error('stand-in', `What stands in: ${message}`, hint),

  message: ({ name }: NamedFormat, wrong: string) =>
    error(
      'format-message',
      `The message of the format “${name}” cannot be used: ${wrong}.`,
      'It is written in Unicode MessageFormat 2: {$value :number} of {$name}.',
    ),
} as const;
