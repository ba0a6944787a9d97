import * as yup from 'yup';
import { isLocale } from '../formats';
import { textStyleNames } from '../templates';
import { scalarNames } from '../values';
import { formatVersion } from './project';
import { formatSchema } from './schema-formats';

const id = () =>
  yup
    .string()
    .required()
    .max(60)
    .matches(/^[a-z][a-z0-9-]*$/, '${path} must be lower case letters, digits and hyphens');
const idOrNull = () =>
  yup.lazy((value: unknown) => (value === null ? yup.mixed().nullable().defined() : id()));
const words = () => yup.string().defined().max(10_000);
const px = () => yup.number().required().min(0).max(2_000);
const share = () => yup.number().required().moreThan(0).max(1_000);

const same = () => yup.object({ name: words(), sameAs: words() });
const kept = () =>
  yup.object({
    name: words(),
    mediaType: yup
      .string()
      .required()
      .matches(/^image\/(?:svg\+xml|png|jpeg|webp|gif|avif)$/),
    base64: yup
      .string()
      .required()
      .matches(/^[A-Za-z0-9+/]*={0,2}$/, '${path} must be base64'),
  });

/** An array whose elements differ in what tells them apart. */
function listOf<T extends yup.Schema | yup.Lazy<unknown>>(element: T, tellsApart: 'id' | 'name') {
  return yup
    .array()
    .of(element)
    .required()
    .max(5_000)
    .test('told-apart', '${path} names two things alike', (things) => {
      const names = (things ?? []).map(
        (thing: Record<string, unknown> | undefined) => thing?.[tellsApart],
      );
      return new Set(names).size === names.length;
    });
}

const propertyOf = (value: unknown, name: string): unknown =>
  typeof value === 'object' && value !== null && Object.hasOwn(value, name)
    ? Object.getOwnPropertyDescriptor(value, name)?.value
    : undefined;

const lazyByType = (): yup.Lazy<unknown> =>
  yup.lazy((value: unknown) => {
    const type = propertyOf(value, 'type');
    const shape = {
      type: yup
        .string()
        .required()
        .oneOf([...scalarNames, 'record', 'list']),
      ...(type === 'record' && { fields: fieldList() }),
      ...(type === 'list' && { of: lazyByType() }),
    };
    return yup.object(shape).required();
  });

const fieldList = (): yup.Schema =>
  yup
    .array()
    .of(
      yup.lazy((value: unknown) => {
        const type = propertyOf(value, 'type');
        return yup.object({
          name: words(),
          required: yup.boolean().required(),
          from: yup.string().max(10_000),
          given: yup.string().oneOf(['person', 'schema']),
          decode: decoding(),
          expr: yup.string().max(10_000),
          type: yup
            .string()
            .required()
            .oneOf([...scalarNames, 'record', 'list']),
          ...(type === 'record' && { fields: fieldList() }),
          ...(type === 'list' && { of: lazyByType() }),
        });
      }),
    )
    .required()
    .max(5_000);

const decoding = () =>
  yup.lazy((value: unknown) => {
    if (value === undefined) return yup.mixed().optional();
    if (propertyOf(value, 'pattern') !== undefined)
      return yup.object({ pattern: words().max(200), locale: yup.string().max(40) }).required();
    if (propertyOf(value, 'epoch') !== undefined)
      return yup.object({ epoch: yup.string().required().oneOf(['seconds', 'milliseconds']) });
    if (propertyOf(value, 'decimal') !== undefined)
      return yup.object({ decimal: yup.string().required().oneOf([',', '.']) });
    const listed = () => yup.array().of(words()).required().max(50);
    return yup.object({ yes: listed(), no: listed() }).required();
  });

const key = () =>
  yup.lazy((value: unknown) =>
    Array.isArray(value) ? yup.array().of(words()).min(1).max(20) : words().nullable(),
  );

const address = () =>
  yup
    .string()
    .required()
    .matches(/^https?:\/\//, '${path} must begin with https:// or http://');

const follow = () =>
  yup.lazy((value: unknown) => {
    if (value === undefined) return yup.mixed().optional();
    const isPushed = propertyOf(value, 'events') !== undefined;
    return isPushed
      ? yup.object({ events: address() })
      : yup.object({ everySeconds: yup.number().required().min(1).max(86_400) }).required();
  });

const origin = () =>
  yup
    .object({
      file: words(),
      format: yup.string().required().oneOf(['json', 'ndjson', 'csv', 'sqlite', 'typed']),
      at: words(),
      pages: yup
        .object({ next: yup.string().max(1_000), parameter: yup.string().max(200) })
        .default(undefined),
      follow: follow(),
    })
    .required();

const binding = () =>
  yup.lazy((value: unknown) =>
    typeof value === 'string'
      ? words()
      : yup
          .object({
            expr: words(),
            format: yup.string().max(60),
            else: standIn(),
            once: yup.boolean().oneOf([true]),
          })
          .required(),
  );

const standIn = () =>
  yup.lazy((value: unknown) => {
    if (value === null) return yup.mixed().nullable();
    return typeof value === 'object' ? yup.object({ expr: words() }) : yup.string().max(10_000);
  });

const size = () =>
  yup.lazy((value: unknown) => {
    if (typeof value === 'string') return yup.string().required().oneOf(['fit']);
    const isFixed = propertyOf(value, 'fixed') !== undefined;
    return isFixed ? yup.object({ fixed: px() }) : yup.object({ share: share() }).required();
  });

const label = () =>
  yup.object({
    part: yup.string().required().oneOf(['label']),
    id: id(),
    text: binding(),
    link: yup.lazy((value: unknown) => (value === undefined ? yup.mixed().optional() : binding())),
    style: yup.string().required().oneOf(textStyleNames),
    width: size(),
    align: yup.string().oneOf(['start', 'centre', 'end']),
  });

const image = () =>
  yup.object({
    part: yup.string().required().oneOf(['image']),
    id: id(),
    picture: binding(),
    widthPx: px(),
    heightPx: px(),
    shape: yup.string().required().oneOf(['square', 'rounded', 'circle']),
    fit: yup.string().required().oneOf(['contain', 'cover']),
  });

const stack = (depth: number): yup.Schema =>
  yup
    .object({
      part: yup.string().required().oneOf(['stack']),
      id: id(),
      direction: yup.string().required().oneOf(['across', 'down']),
      gap: px(),
      padding: yup.object({ start: px(), end: px(), top: px(), bottom: px() }).default(undefined),
      align: yup.string().required().oneOf(['start', 'centre', 'end', 'stretch']),
      width: size(),
      children: yup
        .array()
        .of(yup.lazy((value: unknown) => partSchema(value, depth + 1)))
        .required()
        .max(200),
    })
    .required();

const deepestPart = 40;

function partSchema(value: unknown, depth: number): yup.Schema {
  if (depth > deepestPart) return yup.mixed().test('depth', '${path} nests too deep', () => false);
  const part = propertyOf(value, 'part');
  if (part === 'label') return label();
  if (part === 'image') return image();
  if (part === 'stack') return stack(depth);
  return yup
    .object({ part: yup.string().required().oneOf(['label', 'image', 'stack']) })
    .required();
}

const arrangement = () =>
  yup.lazy((value: unknown) =>
    yup
      .object({
        kind: yup.string().required().oneOf(['list', 'grid']),
        gap: px(),
        edge: px(),
        ...(propertyOf(value, 'kind') === 'grid'
          ? { columns: yup.number().required().integer().min(1).max(50) }
          : { separators: yup.boolean().required() }),
      })
      .required(),
  );

/** What a project file must be like. Keys that are not named here are allowed and kept. */
export const projectSchema = yup.object({
  yarncard: yup.number().required().oneOf([formatVersion]),
  name: yup.string().required().max(200),
  sources: listOf(
    yup.object({
      id: id(),
      name: words(),
      from: origin(),
      key: key(),
      discriminator: words().nullable(),
      sets: yup
        .array()
        .of(yup.object({ id: id(), name: words() }))
        .max(200),
    }),
    'id',
  ),
  types: listOf(
    yup.object({
      id: id(),
      name: words(),
      source: id(),
      value: words().nullable(),
      fields: fieldList(),
      leftOut: yup.array().of(words()).max(5_000),
    }),
    'id',
  ),
  templates: listOf(yup.object({ id: id(), name: words(), type: id(), row: stack(0) }), 'id'),
  lists: listOf(
    yup.object({
      id: id(),
      name: words(),
      source: id(),
      choices: yup
        .array()
        .of(yup.object({ type: id(), template: idOrNull() }))
        .required(),
      otherwise: idOrNull(),
      arrangement: arrangement(),
    }),
    'id',
  ),
  formats: yup.array().of(formatSchema()).max(500),
  locales: yup
    .array()
    .of(yup.string().required().test('locale', '${path} must name a locale', isLocale))
    .min(1)
    .max(100),
  pictures: listOf(
    yup.lazy((value: unknown) => (propertyOf(value, 'sameAs') === undefined ? kept() : same())),
    'name',
  ),
});
