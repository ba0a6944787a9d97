import { type JsonRecord, ownValue } from '../../base';
import { maxListed, type SaidBySchema } from '../../values';

const texts = ['pattern', 'description'] as const;
const numbers = [
  ...(['minimum', 'maximum', 'exclusiveMinimum', 'exclusiveMaximum', 'multipleOf'] as const),
  ...(['minLength', 'maxLength', 'minItems', 'maxItems'] as const),
];
const longest = 2_000;

/** What a schema says of values beside their type, if anything. `typeFormats`: formats that are types here. */
export function saidBy(
  schema: JsonRecord,
  typeFormats: ReadonlySet<string>,
): SaidBySchema | undefined {
  const said: { -readonly [K in keyof SaidBySchema]: SaidBySchema[K] } = {};
  const listed = ownValue(schema, 'enum');
  if (Array.isArray(listed) && listed.length <= maxListed && listed.every(isPlain))
    said.enum = listed;
  const format = ownValue(schema, 'format');
  if (typeof format === 'string' && !typeFormats.has(format)) said.format = format.slice(0, 100);
  for (const name of texts) {
    const value = ownValue(schema, name);
    if (typeof value === 'string' && value.length <= longest) said[name] = value;
  }
  for (const name of numbers) {
    const value = ownValue(schema, name);
    if (typeof value === 'number') said[name] = value;
  }
  return Object.keys(said).length === 0 ? undefined : said;
}

const isPlain = (value: unknown): value is string | number | boolean | null =>
  typeof value === 'string' ? value.length <= longest : value === null || typeof value !== 'object';
