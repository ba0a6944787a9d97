import Plus from 'lucide-react/icons/plus';
import X from 'lucide-react/icons/x';
import { useState } from 'react';
import { count } from '../../../../core/base';
import { tokensOf } from '../../../../core/project';
import { namesOf, type Property } from '../../../../core/templates';
import {
  type Cases,
  type CaseValue,
  type Environment,
  type Field,
  fallsOn,
  makeExpression,
  textOfCases,
} from '../../../../core/values';
import { Button } from '../../../shared/controls/controls';
import { ExpressionEditor } from '../../../shared/expression/expression-editor';
import { FindingLine } from '../../../shared/expression/finding-line';
import { useSpread } from '../../../shared/expression/use-spread';
import { handItem } from '../../../shared/session/at-hand';
import { useSession } from '../../../shared/session/session';
import type { Selection } from '../selection';

interface CasesTableProps {
  readonly selection: Selection;
  readonly declared: Property;
  readonly fields: readonly Field[];
  readonly environment: Environment;
  readonly cases: Cases;
  /** Whether items fall on its lines as a whole: it does not stand for elements of a list. */
  readonly isCounted: boolean;
  readonly onChange: (text: string) => void;
}

/** A conditional expression as lines of *when → value*, each with how many items fall on it. */
export default function CasesTable(props: CasesTableProps) {
  const { cases: table, onChange } = props;
  const { cases, otherwise } = table;
  const write = (next: Partial<Cases>) => onChange(textOfCases({ ...table, ...next }));
  const [last] = cases.slice(-1);
  return (
    <fieldset aria-label="When" className="min-w-0 space-y-1">
      {cases.map(({ when, value }, line) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a line is what stands there
        <div key={line} className="grid grid-cols-[minmax(0,1fr)_auto_auto] items-start gap-1">
          <Condition
            {...props}
            line={line}
            when={when}
            onWrite={(next) => write({ cases: cases.with(line, { when: next, value }) })}
          />
          <Value
            {...props}
            label={`Value ${line + 1}`}
            value={value}
            onWrite={(next) => write({ cases: cases.with(line, { when, value: next }) })}
          />
          <Button
            label={`Take away line ${line + 1}`}
            onPress={() => write({ cases: cases.filter((_, at) => at !== line) })}
          >
            <X size={14} aria-hidden="true" />
          </Button>
        </div>
      ))}
      <div className="grid grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-1">
        <span className="text-ash">
          otherwise <Falls {...props} line={cases.length} />
        </span>
        <Value
          {...props}
          label="Value otherwise"
          value={otherwise}
          onWrite={(next) => write({ otherwise: next })}
        />
        <Button
          label="Another line"
          onPress={() =>
            write({ cases: [...cases, { when: 'false', value: last?.value ?? null }] })
          }
        >
          <Plus size={14} aria-hidden="true" />
        </Button>
      </div>
    </fieldset>
  );
}

interface ConditionProps extends CasesTableProps {
  readonly line: number;
  readonly when: string;
  readonly onWrite: (when: string) => void;
}

function Condition(props: ConditionProps) {
  const { line, when, fields, environment, onWrite } = props;
  const [text, setText] = useState(when);
  const [before, setBefore] = useState(when);
  if (before !== when) {
    setBefore(when);
    setText(when);
  }
  const item = useSession((session) => session.atHand?.value);
  const { findings } = makeExpression(text, fields, 'any', environment);
  const change = (next: string) => {
    setText(next);
    if (makeExpression(next, fields, 'any', environment).findings.length === 0) onWrite(next);
  };
  const [finding] = findings;
  return (
    <div className="min-w-0">
      <ExpressionEditor
        label={`When ${line + 1}`}
        text={text}
        world={{ fields, environment, item }}
        findings={findings}
        onChange={change}
        onLeave={() => undefined}
        onRename={() => undefined}
      />
      {finding === undefined ? (
        <Falls {...props} line={line} />
      ) : (
        <FindingLine finding={finding} text={text} onMend={change} />
      )}
    </div>
  );
}

/** How many items fall on a line; it leads to the first of them. */
function Falls({
  selection,
  cases,
  line,
  isCounted,
}: Pick<CasesTableProps, 'selection' | 'cases' | 'isCounted'> & { readonly line: number }) {
  const type = selection.template.type;
  const spread = useSpread(isCounted ? { type, expr: fallsOn(cases, line) } : undefined);
  const ends = spread?.ends;
  if (ends?.measure !== 'truth') return null;
  const words = count(ends.trueCount, 'item');
  return ends.firstTrue < 0 ? (
    <span className="text-sm text-ash">{words}</span>
  ) : (
    <button
      type="button"
      title="Have the first of them at hand"
      className="text-sm text-ash underline decoration-rule underline-offset-2"
      onClick={() => void handItem(ends.firstTrue)}
    >
      {words}
    </button>
  );
}

interface ValueProps extends Pick<CasesTableProps, 'selection' | 'declared'> {
  readonly label: string;
  readonly value: CaseValue;
  readonly onWrite: (value: CaseValue) => void;
}

const valueLook = 'h-7 w-24 rounded-md border border-rule bg-paper px-1.5';

/** What a line leads to: one of the names that the property knows, a number, words, or nothing. */
function Value({ selection, declared, label, value, onWrite }: ValueProps) {
  const names = choicesOf(declared, selection);
  const isKnown = value === null || (typeof value === 'string' && names?.includes(value));
  if (names !== undefined && (isKnown || typeof value === 'boolean'))
    return (
      <select
        aria-label={label}
        className={valueLook}
        value={String(value ?? '')}
        onChange={({ target }) => onWrite(chosen(target.value, declared))}
      >
        <option value="">as usual</option>
        {names.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
    );
  return (
    <input
      aria-label={label}
      className={valueLook}
      value={value === null ? '' : String(value)}
      placeholder="as usual"
      onChange={({ target }) => onWrite(written(target.value, value))}
    />
  );
}

function choicesOf(declared: Property, { project }: Selection): readonly string[] | undefined {
  if (declared.kind === 'word') return declared.among;
  if (declared.kind === 'condition') return ['true', 'false'];
  return namesOf(declared, tokensOf(project));
}

function chosen(name: string, { kind }: Property): CaseValue {
  if (name === '') return null;
  return kind === 'condition' ? name === 'true' : name;
}

/** A number where one stood, words otherwise. */
function written(text: string, before: CaseValue): CaseValue {
  if (text === '') return null;
  const number = Number(text);
  return typeof before !== 'string' && text.trim() !== '' && Number.isFinite(number)
    ? number
    : text;
}
