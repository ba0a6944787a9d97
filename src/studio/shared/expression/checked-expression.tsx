import { useEffect, useMemo, useState } from 'react';
import type { Finding } from '../../../core/base';
import type { ItemType } from '../../../core/project';
import type { Environment, Field } from '../../../core/values';
import { useSession } from '../session/session';
import { ExpressionEditor } from './expression-editor';
import { FindingLine } from './finding-line';
import { ReadsBetter } from './reads-better';

interface CheckedExpressionProps {
  readonly label: string;
  readonly fields: readonly Field[];
  /** Of the items that it is over. */
  readonly type?: ItemType | undefined;
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
  const { label, fields, type, environment, expr, findingsOf } = props;
  const { mayBeEmpty = false, onChange } = props;
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
      {type !== undefined && <ReadsBetter type={type} text={text} />}
    </>
  );
}
