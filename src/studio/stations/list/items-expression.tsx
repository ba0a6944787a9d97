import { useEffect, useMemo, useState } from 'react';
import type { List } from '../../../core/lists';
import { type Project, sortExpression, typesOfList } from '../../../core/project';
import { emptyEnvironment, fieldsOfAll } from '../../../core/values';
import { ExpressionEditor } from '../../shared/expression/expression-editor';
import { FindingLine } from '../../shared/expression/finding-line';
import { useSession } from '../../shared/session/session';

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
  const [text, setText] = useState(expr);
  useEffect(() => setText(expr), [expr]);
  const item = useSession(({ atHand }) => atHand?.value);
  const fields = useMemo(() => fieldsOfAll(typesOfList(project, list)), [project, list]);
  const findings = useMemo(
    () => sortExpression(project, list, text).findings,
    [project, list, text],
  );
  const [finding] = findings;
  const write = (next: string) => {
    setText(next);
    const isWhole = next.trim() !== '' && sortExpression(project, list, next).findings.length === 0;
    if (isWhole) onChange(next);
  };
  return (
    <>
      <ExpressionEditor
        label={label}
        text={text}
        world={{ fields, environment: emptyEnvironment, item }}
        findings={findings}
        onChange={write}
        onLeave={() => setText(expr)}
        onRename={() => undefined}
      />
      {finding !== undefined && <FindingLine finding={finding} text={text} onMend={write} />}
    </>
  );
}
