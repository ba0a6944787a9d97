import { type Finding, isRecord, type Json, type Result } from '../../core/base';
import { looksLikeSchema, readSchema, type SchemaRead } from '../../core/items';

export const largestSchemaBytes = 5_000_000;
const signs = /"(?:\$schema|openapi)"\s*:|"type"\s*:\s*"object"/;

/** The types that a JSON Schema or an OpenAPI document declares; undefined: the text is neither. */
export async function schemaIn(
  file: Blob,
  name: string,
): Promise<Result<SchemaRead, Finding> | undefined> {
  if (file.size > largestSchemaBytes) return undefined;
  // Most documents are told apart by their beginning, without being parsed once more.
  const head = await file.slice(0, 64_000).text();
  if (!/^\s*\{/.test(head) || !signs.test(head)) return undefined;
  try {
    const document: Json = JSON.parse(await file.text());
    return isRecord(document) && looksLikeSchema(document) ? readSchema(document, name) : undefined;
  } catch {
    return undefined;
  }
}
