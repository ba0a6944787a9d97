import { isRecord, type JsonRecord } from '../../base';
import { mapOf, toJsonSchema } from '../../shape';
import { formatVersion } from '../project';
import { contentShape, projectShape } from '../shapes';

const itemsOfFile: JsonRecord = {
  type: 'array',
  items: {
    type: 'object',
    properties: { source: { type: 'string' }, set: { type: 'string' }, items: { type: 'array' } },
    required: ['source', 'items'],
  },
};

/** The JSON Schema of project files (draft 2020-12), made of what files are held against. */
export function projectFileSchema(): JsonRecord {
  const { properties, ...schema } = toJsonSchema(projectShape);
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: `A project of Yarn Card, version ${formatVersion}`,
    ...schema,
    properties: {
      ...(isRecord(properties) && properties),
      contents: toJsonSchema(mapOf(contentShape)),
      items: itemsOfFile,
    },
  };
}
