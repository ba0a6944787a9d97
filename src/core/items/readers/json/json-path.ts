import { failed, type Json, ok, type Result } from '../../../base';
import { maxDepth } from '../../json/scan';

/** A value of a document and the names and positions that lead to it. */
export interface JsonNode {
  readonly value: Json;
  readonly location: readonly (string | number)[];
  /** Its normalised path. Standard: RFC 9535, 2.7. */
  getPath(options: { readonly form: 'canonical' }): string;
}

/** What a JSONPath (RFC 9535) selects in a document, in order; the error says why the path is none. */
export async function queryJson(at: string, root: Json): Promise<Result<JsonNode[], string>> {
  const { FunctionExpressionType, JSONPathEnvironment, JSONPathError, Nothing } = await import(
    'json-p3'
  );
  const environment = new JSONPathEnvironment({ maxRecursionDepth: maxDepth + 1 });
  // The package counts UTF-16 units where the standard counts characters (2.4.4).
  environment.functionRegister.set('length', {
    argTypes: [FunctionExpressionType.ValueType],
    returnType: FunctionExpressionType.ValueType,
    call: (value: unknown) => lengthOf(value) ?? Nothing,
  });
  try {
    // The package types a document as `unknown` values; ours came from JSON.parse.
    return ok([...environment.query(at, root as never)] as unknown as JsonNode[]);
  } catch (error) {
    // The package passes what it finds on as arguments, of which there can't be too many.
    if (error instanceof RangeError) return failed('it selects too many values at once');
    if (!(error instanceof JSONPathError)) throw error;
    return failed(error.message);
  }
}

/** Why a text is no JSONPath; undefined: it is one. */
export async function pathFault(at: string): Promise<string | undefined> {
  if (!at.trimStart().startsWith('$')) return 'a path begins with $, the root of the document';
  const found = await queryJson(at, null);
  return found.ok ? undefined : found.error;
}

function lengthOf(value: unknown): number | undefined {
  if (typeof value === 'string') return [...value].length;
  if (Array.isArray(value)) return value.length;
  return typeof value === 'object' && value !== null ? Object.keys(value).length : undefined;
}
