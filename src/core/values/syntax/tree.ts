import type { Span } from '../findings';

/** An expression as it was written, before names are looked up. Spans refer to its text. */
export type Expr =
  | (Span & { readonly kind: 'literal'; readonly value: string | number | boolean | null })
  | (Span & { readonly kind: 'name'; readonly name: string })
  | (Span & {
      readonly kind: 'member';
      readonly of: Expr;
      readonly name: string;
      readonly step: Span;
    })
  | (Span & {
      readonly kind: 'template';
      readonly texts: readonly string[];
      readonly holes: readonly Expr[];
    })
  | (Span & { readonly kind: 'fallback'; readonly left: Expr; readonly right: Expr })
  /** The item of another source that has a key. */
  | (Span & {
      readonly kind: 'lookup';
      readonly source: string;
      readonly sourceSpan: Span;
      readonly key: Expr;
    });
