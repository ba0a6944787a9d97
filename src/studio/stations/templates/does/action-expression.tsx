import { useCallback } from 'react';
import { type Environment, type Field, makeExpression } from '../../../../core/values';
import { CheckedExpression } from '../../../shared/expression/checked-expression';

interface ActionExpressionProps {
  readonly label: string;
  readonly fields: readonly Field[];
  readonly environment: Environment;
  /** A condition may be left out. */
  readonly use: 'any' | 'condition';
  readonly expr: string;
  /** Told of each that can be evaluated. */
  readonly onChange: (expr: string) => void;
}

/** An expression over the item that is acted on. */
export function ActionExpression({ use, ...props }: ActionExpressionProps) {
  const { fields, environment } = props;
  const findingsOf = useCallback(
    (text: string) => makeExpression(text, fields, use, environment).findings,
    [fields, use, environment],
  );
  return <CheckedExpression {...props} findingsOf={findingsOf} mayBeEmpty={use === 'condition'} />;
}
