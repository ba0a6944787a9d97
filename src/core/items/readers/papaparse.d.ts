// The part of papaparse that the CSV reader uses. Its published types draw in those of Node,
// which the core must not see.
declare module 'papaparse' {
  export interface ParseError {
    readonly type: 'Quotes' | 'Delimiter' | 'FieldMismatch';
    readonly code: string;
    readonly row?: number;
  }
  export interface ParseResult {
    readonly data: string[][];
    readonly errors: readonly ParseError[];
    readonly meta: {
      readonly delimiter: string;
      readonly cursor: number;
      readonly truncated: boolean;
    };
  }
  export function parse(
    text: string,
    options: {
      readonly delimiter?: string;
      readonly preview?: number;
      readonly fastMode?: boolean;
    },
  ): ParseResult;
  const papaparse: { readonly parse: typeof parse };
  export default papaparse;
}
