import { useEffect, useMemo, useState } from 'react';
import type { Finding } from '../../../core/base';
import type { Environment, Field } from '../../../core/values';
import { useSession } from '../session/session';
import { ExpressionEditor } from './expression-editor';
import { FindingLine } from './finding-line';

interface CheckedExpressionProps {
  readonly label: string;
  readonly fields: readonly Field[];
  readonly environment: Environment;
  readonly expr: string;
  /** What is wrong with a text; what the function hangs on makes another of it. */
  readonly findingsOf: (text: string) => readonly Finding[];
  /** Without words nothing is said, and nothing is wrong. */
  readonly mayBeEmpty?: boolean;
  /** Told of each that can be evaluated. */
  readonly onChange: (expr: string) => void;
}

/** An expression over the item at hand: what is wrong with it is said beneath, and it is not taken. */
export function CheckedExpression(props: CheckedExpressionProps) {
  const { label, fields, environment, expr, findingsOf, mayBeEmpty = false, onChange } = props;
  const [text, setText] = useState(expr);
  useEffect(() => setText(expr), [expr]);
  const item = useSession(({ atHand }) => atHand?.value);
  const findings = useMemo(
    () => (mayBeEmpty && text.trim() === '' ? [] : findingsOf(text)),
    [findingsOf, text, mayBeEmpty],
  );
  const [finding] = findings;
  const write = (next: string) => {
    setText(next);
    const isEmpty = next.trim() === '';
    if (isEmpty ? mayBeEmpty : findingsOf(next).length === 0) onChange(isEmpty ? '' : next);
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
