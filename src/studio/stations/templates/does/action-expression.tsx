import { useEffect, useMemo, useState } from 'react';
import { type Environment, type Field, makeExpression } from '../../../../core/values';
import { ExpressionEditor } from '../../../shared/expression/expression-editor';
import { FindingLine } from '../../../shared/expression/finding-line';
import { useSession } from '../../../shared/session/session';

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
export function ActionExpression(props: ActionExpressionProps) {
  const { label, fields, environment, use, expr, onChange } = props;
  const [text, setText] = useState(expr);
  useEffect(() => setText(expr), [expr]);
  const item = useSession(({ atHand }) => atHand?.value);
  const isLeftOut = use === 'condition' && text.trim() === '';
  const findings = useMemo(
    () => (isLeftOut ? [] : makeExpression(text, fields, use, environment).findings),
    [text, fields, use, environment, isLeftOut],
  );
  const [finding] = findings;
  const write = (next: string) => {
    setText(next);
    const isEmpty = next.trim() === '';
    if (isEmpty && use === 'condition') onChange('');
    const isWhole =
      !isEmpty && makeExpression(next, fields, use, environment).findings.length === 0;
    if (isWhole) onChange(next);
  };
  return (
    <>
      <ExpressionEditor
        label={label}
        text={text}
        world={{ fields, environment, item }}
        findings={findings}
        onChange={write}
        onLeave={() => setText(expr)}
        onRename={() => undefined}
      />
      {finding !== undefined && <FindingLine finding={finding} text={text} onMend={write} />}
    </>
  );
}
