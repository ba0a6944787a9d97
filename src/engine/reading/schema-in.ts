import { type Finding, isRecord, type Json, type Result } from '../../core/base';
import { looksLikeSchema, readSchema, type SchemaRead } from '../../core/items';

const largestBytes = 5_000_000;

/** The types that a JSON Schema or an OpenAPI document declares; undefined: the text is neither. */
export async function schemaIn(
  file: Blob,
  name: string,
): Promise<Result<SchemaRead, Finding> | undefined> {
  if (file.size > largestBytes) return undefined;
  const head = await file.slice(0, 400).text();
  if (!/^\s*\{/.test(head)) return undefined;
  try {
    const document: Json = JSON.parse(await file.text());
    return isRecord(document) && looksLikeSchema(document) ? readSchema(document, name) : undefined;
  } catch {
    return undefined;
  }
}
