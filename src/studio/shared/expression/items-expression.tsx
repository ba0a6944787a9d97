import { useCallback, useMemo } from 'react';
import type { List } from '../../../core/lists';
import { type Project, sortExpression, typesOfList } from '../../../core/project';
import { emptyEnvironment, fieldsOfAll } from '../../../core/values';
import { CheckedExpression } from './checked-expression';

interface ItemsExpressionProps {
  readonly project: Project;
  readonly list: List;
  readonly label: string;
  readonly expr: string;
  /** Told of each that can be evaluated. */
  readonly onChange: (expr: string) => void;
}

/** An expression over the items of a list, before they stand anywhere in it: what they are sorted or put together by. */
export function ItemsExpression({ project, list, label, expr, onChange }: ItemsExpressionProps) {
  const fields = useMemo(() => fieldsOfAll(typesOfList(project, list)), [project, list]);
  const findingsOf = useCallback(
    (text: string) => sortExpression(project, list, text).findings,
    [project, list],
  );
  return (
    <CheckedExpression
      {...{ label, fields, expr, findingsOf, onChange }}
      type={typesOfList(project, list)[0]}
      environment={emptyEnvironment}
    />
  );
}
