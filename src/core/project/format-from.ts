import { failed, isRecord, type Json, ok, type Result } from '../base';
import type { Format } from '../formats';
import { holdTo } from '../shape';
import { formatShape } from './shapes/formats';

const hold = holdTo(formatShape);

/** A format as a project file has it, but for its name; the error says what is wrong with it. */
export function formatFrom(json: Json): Result<Format, string> {
  try {
    return ok(hold(isRecord(json) ? { id: 'format', name: '', ...json } : json, 'first'));
  } catch (error) {
    return failed(error instanceof Error ? error.message : String(error));
  }
}
