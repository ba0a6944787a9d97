import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';

/**
 * Version 2: a part says only what differs from its kind, sizes of pictures are sizes like any
 * other, and corners are px or a circle.
 */
export function oneToTwo(project: JsonRecord): JsonRecord {
  return { ...project, ...mapped(project, 'templates', template), yarncard: 2 };
}

const template = (each: Json): Json =>
  isRecord(each) && isRecord(ownValue(each, 'row'))
    ? { ...each, row: part(each['row'] ?? null) }
    : each;

function part(each: Json): Json {
  if (!isRecord(each)) return each;
  return ownValue(each, 'part') === 'image'
    ? image(each)
    : { ...each, ...mapped(each, 'children', part) };
}

const radii: Readonly<Record<string, Json>> = { rounded: 6, circle: 'circle' };

/** Members stay in their places, so that a file's difference is what changed. */
const image = (each: JsonRecord): JsonRecord =>
  Object.fromEntries(
    Object.entries(each).flatMap(([name, value]): [string, Json][] => {
      if (name === 'widthPx') return [['width', { fixed: value ?? null }]];
      if (name === 'heightPx') return [['height', { fixed: value ?? null }]];
      if (name !== 'shape') return [[name, value ?? null]];
      const radius = typeof value === 'string' ? ownValue(radii, value) : value;
      return radius === undefined ? [] : [['radius', radius]];
    }),
  );

function mapped(of: JsonRecord, name: string, change: (each: Json) => Json): JsonRecord {
  const list = ownValue(of, name);
  return Array.isArray(list) ? { [name]: list.map(change) } : {};
}
