import type { Span } from '../findings';

export type ArithmeticOperator = '+' | '-' | '*' | '/' | '%' | '**';
export type CompareOperator = '===' | '!==' | '<' | '<=' | '>' | '>=';
export type LogicalOperator = '&&' | '||' | '??';

/** An expression as it was written, before names are looked up. Spans refer to its text. */
export type Expr = Span &
  (
    | { readonly kind: 'literal'; readonly value: string | number | boolean | null }
    | { readonly kind: 'name'; readonly name: string }
    | { readonly kind: 'member'; readonly of: Expr; readonly name: string; readonly step: Span }
    | { readonly kind: 'index'; readonly of: Expr; readonly at: Expr }
    | {
        readonly kind: 'template';
        readonly texts: readonly string[];
        readonly holes: readonly Expr[];
      }
    | { readonly kind: 'not' | 'negate'; readonly of: Expr }
    | {
        readonly kind: 'arithmetic';
        readonly operator: ArithmeticOperator;
        readonly left: Expr;
        readonly right: Expr;
      }
    | {
        readonly kind: 'compare';
        readonly operator: CompareOperator;
        readonly left: Expr;
        readonly right: Expr;
      }
    | {
        readonly kind: 'logical';
        readonly operator: LogicalOperator;
        readonly left: Expr;
        readonly right: Expr;
      }
    | {
        readonly kind: 'conditional';
        readonly test: Expr;
        readonly whenTrue: Expr;
        readonly otherwise: Expr;
      }
    | { readonly kind: 'list'; readonly elements: readonly Expr[] }
    /** A function of the table by its whole name, `Math.round`, or a method of the value `of`. */
    | {
        readonly kind: 'call';
        readonly of: Expr | undefined;
        readonly name: string;
        readonly nameSpan: Span;
        readonly args: readonly Argument[];
      }
    /** The item of another source that has a key. */
    | {
        readonly kind: 'lookup';
        readonly source: string;
        readonly sourceSpan: Span;
        readonly key: Expr;
      }
    /** A value as a format of the project writes it. */
    | {
        readonly kind: 'format';
        readonly of: Expr;
        readonly format: string;
        readonly formatSpan: Span;
      }
  );

/** `x => x.price`: stands only where a function or method takes it. */
export type Arrow = Span & {
  readonly kind: 'arrow';
  readonly params: readonly string[];
  readonly body: Expr;
};

export type Argument = Expr | Arrow;

/** What an expression is made of, in the order of its text. */
export function childrenOf(expr: Argument): readonly Argument[] {
  switch (expr.kind) {
    case 'literal':
    case 'name':
      return [];
    case 'member':
    case 'not':
    case 'negate':
    case 'format':
      return [expr.of];
    case 'index':
      return [expr.of, expr.at];
    case 'template':
      return expr.holes;
    case 'arithmetic':
    case 'compare':
    case 'logical':
      return [expr.left, expr.right];
    case 'conditional':
      return [expr.test, expr.whenTrue, expr.otherwise];
    case 'list':
      return expr.elements;
    case 'call':
      return expr.of === undefined ? expr.args : [expr.of, ...expr.args];
    case 'lookup':
      return [expr.key];
    case 'arrow':
      return [expr.body];
  }
}
