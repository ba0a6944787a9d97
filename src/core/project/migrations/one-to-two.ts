import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import { contentIdOf } from '../../pictures';

/**
 * Version 2: a part says only what differs from its kind, sizes of images are sizes like any other,
 * corners are px or a circle; what pictures show stands beside them, by the ids of contents.
 */
export function oneToTwo(project: JsonRecord): JsonRecord {
  const contents = contentsOf(project);
  return {
    ...project,
    ...mapped(project, 'templates', template),
    ...mapped(project, 'pictures', (each) => picture(each, project)),
    ...(Object.keys(contents).length > 0 && { contents }),
    yarncard: 2,
  };
}

const picturesOf = (project: JsonRecord): readonly JsonRecord[] => {
  const pictures = ownValue(project, 'pictures');
  return Array.isArray(pictures) ? pictures.filter(isRecord) : [];
};

const contentsOf = (project: JsonRecord): JsonRecord =>
  Object.fromEntries(
    picturesOf(project).flatMap((each): [string, Json][] => {
      const base64 = ownValue(each, 'base64');
      return typeof base64 === 'string' ? [[contentIdOf(base64), base64]] : [];
    }),
  );

/** One that was said to be the same as another has the other's content. */
function picture(each: Json, project: JsonRecord): Json {
  if (!isRecord(each)) return each;
  const { base64, sameAs, ...rest } = each;
  const other = picturesOf(project).find(({ name }) => name === sameAs);
  const shown = base64 ?? (other && ownValue(other, 'base64'));
  const mediaType = each['mediaType'] ?? (other && ownValue(other, 'mediaType')) ?? 'image/png';
  return { ...rest, mediaType, content: typeof shown === 'string' ? contentIdOf(shown) : 'gone' };
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
