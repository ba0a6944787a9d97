import type { Finding } from '../base';
import { families, itemOptions, type NamedFormat } from '../formats';
import {
  type Environment,
  type Expression,
  emptyEnvironment,
  type Field,
  type KnownFormat,
  makeExpression,
} from '../values';
import { type Bound, isBound } from './bound';
import { bindingFindings } from './findings';
import type { Tokens } from './tokens';

/** What bindings are held against, and how their values are written. */
export interface BindingScope {
  readonly fields: readonly Field[];
  readonly sources: Environment['sources'];
  readonly formats: readonly NamedFormat[];
  readonly tokens: Tokens;
  /** Whether a name leads to a picture. */
  readonly hasPicture: (name: string) => boolean;
  readonly locale: string;
}

export interface CheckedBinding {
  readonly expression: Expression | undefined;
  readonly format: NamedFormat | undefined;
  /** Options of the format that follow from the item. */
  readonly options: readonly (readonly [name: string, expression: Expression])[];
  /** Where another expression stands in. */
  readonly standIn: Expression | undefined;
  readonly findings: readonly Finding[];
}

/** All that expressions reach beside the item, to be held against it: formats that write nothing. */
export const environmentToCheck = ({
  sources,
  formats,
}: Pick<BindingScope, 'sources' | 'formats'>): Environment => ({
  sources,
  formats: new Map(formats.map((each) => [each.id, knownFormat(each, undefined)])),
});

export function knownFormat({ as }: NamedFormat, write: KnownFormat['write']): KnownFormat {
  const { takes, words } = families[as];
  return { takes, words, write };
}

export const optionsIn = (
  format: NamedFormat | undefined,
  fields: readonly Field[],
  sources: Environment['sources'],
): CheckedBinding['options'] =>
  itemOptions(format).map(([name, expr]) => {
    const environment = { sources, formats: emptyEnvironment.formats };
    return [name, makeExpression(expr, fields, 'text', environment)] as const;
  });

/** Reads the binding of words and says what is wrong with it. */
export function checkWords(
  binding: string | Bound,
  scope: BindingScope,
  environment = environmentToCheck(scope),
): CheckedBinding {
  if (!isBound(binding)) return noExpression;
  const { fields, sources, formats } = scope;
  const format = formats.find((each) => each.id === binding.format);
  const use = format === undefined ? 'text' : 'any';
  const expression = makeExpression(binding.expr, fields, use, environment);
  const standIn = standInOf(binding, (expr) => makeExpression(expr, fields, use, environment));
  const options = optionsIn(format, fields, sources);
  const wrongOptions = options.flatMap(([name, { findings }]) =>
    format === undefined ? [] : findings.map((each) => bindingFindings.option(format, name, each)),
  );
  return {
    expression,
    format,
    options,
    standIn,
    findings: [
      ...expression.findings,
      ...formatFindings(binding, expression, format, formats),
      ...wrongOptions,
      ...(standIn?.findings ?? []).map(bindingFindings.standIn),
    ],
  };
}

export const standInOf = (
  { else: standIn }: Bound,
  read: (expr: string) => Expression,
): Expression | undefined =>
  typeof standIn === 'object' && standIn !== null ? read(standIn.expr) : undefined;

function formatFindings(
  binding: Bound,
  { checked }: Expression,
  format: NamedFormat | undefined,
  formats: readonly NamedFormat[],
): readonly Finding[] {
  if (format === undefined)
    return binding.format === undefined
      ? []
      : [bindingFindings.formatUnknown(binding.format, formats)];
  return checked === undefined || families[format.as].takes(checked.type)
    ? []
    : [bindingFindings.formatUnfit(format, checked.type)];
}

export const noExpression: CheckedBinding = {
  expression: undefined,
  format: undefined,
  options: [],
  standIn: undefined,
  findings: [],
};
