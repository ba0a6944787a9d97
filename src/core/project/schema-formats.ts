import * as yup from 'yup';
import { families } from '../formats';

const oneOf = (...all: readonly string[]) => yup.string().oneOf([...all]);
const width = () => oneOf('long', 'short', 'narrow');
const style = () => oneOf('full', 'long', 'medium', 'short');
const digits = () => yup.number().integer().min(0).max(20);

const option = () =>
  yup.lazy((value: unknown) =>
    typeof value === 'object' && value !== null
      ? yup.object({ expr: yup.string().required().max(10_000) })
      : yup.string().max(100),
  );

const numbers = {
  minDigits: digits(),
  maxDigits: digits(),
  grouping: yup.boolean(),
  sign: oneOf('auto', 'always', 'exceptZero', 'never'),
};

/** By family, what a format may say beside its name. */
const shapes: Readonly<
  Record<keyof typeof families, Record<string, yup.Schema | yup.Lazy<unknown>>>
> = {
  number: { ...numbers, compact: oneOf('short', 'long') },
  percent: { ...numbers, of: yup.number().oneOf([1, 100]) },
  money: {
    ...numbers,
    currency: option(),
    display: oneOf('symbol', 'narrowSymbol', 'code', 'name'),
  },
  unit: { ...numbers, unit: option(), width: width() },
  bytes: {},
  date: { date: style(), time: style(), pattern: yup.string().max(200), zone: option() },
  relative: { width: width() },
  duration: {
    width: oneOf('long', 'short', 'narrow', 'digital'),
    of: oneOf('seconds', 'minutes', 'hours', 'milliseconds'),
  },
  list: { join: oneOf('and', 'or', 'unit'), width: width() },
  yesNo: { yes: yup.string().defined().max(200), no: yup.string().defined().max(200) },
  text: {
    change: yup
      .string()
      .required()
      .oneOf(['upper', 'lower', 'sentence', 'title', 'trim', 'initials']),
  },
  message: { message: yup.string().defined().max(10_000) },
};

const isFamily = (name: unknown): name is keyof typeof families =>
  typeof name === 'string' && Object.hasOwn(families, name);

export const formatSchema = () =>
  yup.lazy((value: unknown) => {
    const as =
      typeof value === 'object' && value !== null
        ? Object.getOwnPropertyDescriptor(value, 'as')?.value
        : undefined;
    return yup
      .object({
        id: yup.string().required().max(60),
        name: yup.string().defined().max(200),
        as: yup.string().required().oneOf(Object.keys(families)),
        ...(isFamily(as) ? shapes[as] : {}),
      })
      .required();
  });
