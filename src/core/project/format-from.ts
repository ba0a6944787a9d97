import { failed, type Json, ok, type Result } from '../base';
import type { Format } from '../formats';
import { formatSchema } from './schema-formats';

/** A format as a project file has it, but for its name; the error says what is wrong with it. */
export function formatFrom(json: Json): Result<Format, string> {
  const named =
    typeof json === 'object' && json !== null && !Array.isArray(json)
      ? { id: 'format', name: '', ...json }
      : json;
  try {
    // What was held against the schema is a format.
    return ok(formatSchema().validateSync(named, { strict: true }) as Format);
  } catch (error) {
    return failed(error instanceof Error ? error.message : String(error));
  }
}
