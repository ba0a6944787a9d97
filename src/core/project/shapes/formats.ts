import type { Format, NamedFormat, Option } from '../../formats';
import {
  boolean,
  byKind,
  byMember,
  type Members,
  number,
  oneOf,
  optional,
  record,
  type Shape,
  text,
} from '../../shape';

/** What every format has beside what its family knows. */
type Of<F extends Format['as']> = Extract<NamedFormat, { readonly as: F }>;

const named = { id: text(60, { minChars: 1 }), name: text(200) };
const width = () => optional(oneOf(['long', 'short', 'narrow']));
const style = () => optional(oneOf(['full', 'long', 'medium', 'short']));
const digits = () => optional(number({ isInteger: true, min: 0, max: 20 }));

const option = (): Shape<Option> =>
  byKind<Option>({
    text: text(100),
    record: record<{ readonly expr: string }>({ expr: text(10_000, { minChars: 1 }) }),
  });

const numbers = {
  minDigits: digits(),
  maxDigits: digits(),
  grouping: optional(boolean()),
  sign: optional(oneOf(['auto', 'always', 'exceptZero', 'never'])),
};

const family = <F extends Format['as']>(
  as: F,
  members: Omit<Members<Of<F>>, 'as' | 'id' | 'name'>,
) => ({ as: oneOf([as]), ...named, ...members }) as const;

/** What a format of each family may say beside its name. */
const families = {
  number: record<Of<'number'>>(
    family('number', { ...numbers, compact: optional(oneOf(['short', 'long'])) }),
  ),
  percent: record<Of<'percent'>>(family('percent', { ...numbers, of: optional(oneOf([1, 100])) })),
  money: record<Of<'money'>>(
    family('money', {
      ...numbers,
      currency: option(),
      display: optional(oneOf(['symbol', 'narrowSymbol', 'code', 'name'])),
    }),
  ),
  unit: record<Of<'unit'>>(family('unit', { ...numbers, unit: option(), width: width() })),
  bytes: record<Of<'bytes'>>(family('bytes', { of: optional(oneOf([1024])) })),
  date: record<Of<'date'>>(
    family('date', {
      date: style(),
      time: style(),
      pattern: optional(text(200)),
      zone: optional(option()),
    }),
  ),
  relative: record<Of<'relative'>>(
    family('relative', { width: width(), unit: optional(oneOf(['day'])) }),
  ),
  duration: record<Of<'duration'>>(
    family('duration', {
      width: optional(oneOf(['long', 'short', 'narrow', 'digital'])),
      of: optional(oneOf(['seconds', 'minutes', 'hours', 'milliseconds'])),
    }),
  ),
  list: record<Of<'list'>>(
    family('list', { join: optional(oneOf(['and', 'or', 'unit'])), width: width() }),
  ),
  yesNo: record<Of<'yesNo'>>(family('yesNo', { yes: text(200), no: text(200) })),
  text: record<Of<'text'>>(
    family('text', {
      change: oneOf(['upper', 'lower', 'sentence', 'title', 'trim', 'initials']),
    }),
  ),
  message: record<Of<'message'>>(family('message', { message: text() })),
} satisfies { readonly [F in Format['as']]: Shape<Of<F>> };

export const formatShape: Shape<NamedFormat> = byMember<NamedFormat>('as', families);
