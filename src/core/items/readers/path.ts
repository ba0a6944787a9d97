import { type Finding, failed, type Json, ok, type Result } from '../../base';
import { itemFindings } from '../findings';
import { asItem, type Item } from '../item';

/** The items that a JSONPath (RFC 9535) selects. A path to a list itself means its elements. */
export async function itemsAtPath(
  root: Json,
  at: string,
  file: string,
): Promise<Result<readonly Item[], Finding>> {
  const { JSONPathError, query } = await import('json-p3');
  let values: readonly unknown[];
  try {
    // The package types a document as `unknown` values; ours came from JSON.parse.
    values = query(at, root as never).values();
  } catch (error) {
    if (!(error instanceof JSONPathError)) throw error;
    return failed(itemFindings.pathInvalid(file, at, error.message));
  }
  const found = values as readonly Json[];
  const only = found.length === 1 ? found[0] : undefined;
  const elements = Array.isArray(only) ? only : found;
  if (elements.length === 0) {
    return failed(itemFindings.pathFindsNothing(file, at, 'No value stands there.'));
  }
  return ok(elements.map(asItem));
}
