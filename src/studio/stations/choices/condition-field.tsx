import { useEffect, useMemo, useState } from 'react';
import type { Choice, List } from '../../../core/lists';
import {
  edits,
  environmentOf,
  fieldsOfChoice,
  type Project,
  typesOf,
  withId,
} from '../../../core/project';
import { makeExpression } from '../../../core/values';
import { ExpressionEditor } from '../../shared/expression/expression-editor';
import { FindingLine } from '../../shared/expression/finding-line';
import { ReadsBetter } from '../../shared/expression/reads-better';
import { make } from '../../shared/session/editing';
import { useSession } from '../../shared/session/session';

interface ConditionFieldProps {
  readonly project: Project;
  readonly list: List;
  readonly choice: Choice;
  readonly at: number;
}

/** The condition of a choice: what reads is asked of all items at once, with the count beside it. */
export function ConditionField({ project, list, choice, at }: ConditionFieldProps) {
  const when = choice.when ?? '';
  const [text, setText] = useState(when);
  const [isOpen, setOpen] = useState(false);
  useEffect(() => setText(when), [when]);
  const item = useSession(({ atHand }) => atHand?.value);
  const world = useMemo(
    () => ({ fields: fieldsOfChoice(project, list, choice), environment: environmentOf(project) }),
    [project, list, choice],
  );
  const findings = useMemo(
    () =>
      text.trim() === ''
        ? []
        : makeExpression(text, world.fields, 'condition', world.environment).findings,
    [text, world],
  );
  const [finding] = findings;
  const type = withId(project.types, choice.type ?? '') ?? typesOf(project, list.source)[0];
  const write = (next: string) => {
    setText(next);
    const own = choice.type === undefined ? {} : { type: choice.type };
    const isSound =
      next.trim() === '' ||
      makeExpression(next, world.fields, 'condition', world.environment).findings.length === 0;
    if (isSound)
      make(
        edits.ask(
          { list: list.id, at },
          next.trim() === '' ? own : { ...own, when: next },
          `condition ${list.id} ${at}`,
        ),
      );
  };
  if (!isOpen && when === '')
    return (
      <button
        type="button"
        className="mt-1 text-sm text-woad underline"
        onClick={() => setOpen(true)}
      >
        + condition
      </button>
    );
  return (
    <div className="mt-1 w-64">
      <ExpressionEditor
        label={`Condition of choice ${at + 1}`}
        text={text}
        world={{ ...world, item }}
        findings={findings}
        onChange={write}
        onLeave={() => {
          setText(when);
          setOpen(false);
        }}
        onRename={() => undefined}
      />
      {finding !== undefined && <FindingLine finding={finding} text={text} onMend={write} />}
      {type !== undefined && <ReadsBetter type={type} text={text} />}
    </div>
  );
}
