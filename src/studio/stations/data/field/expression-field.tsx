import { Suspense, useEffect, useMemo, useState } from 'react';
import type { Finding } from '../../../../core/base';
import { edits, type FieldPlace, type ItemType } from '../../../../core/project';
import {
  computedOrder,
  emptyEnvironment,
  fieldsBeside,
  makeExpression,
  pathAt,
  plainText,
  shown,
} from '../../../../core/values';
import { Button } from '../../../shared/controls/controls';
import { onDemand } from '../../../shared/controls/on-demand';
import { ExpressionEditor } from '../../../shared/expression/expression-editor';
import { FindingLine } from '../../../shared/expression/finding-line';
import { ReadsBetter } from '../../../shared/expression/reads-better';
import { RenameHere } from '../../../shared/expression/rename-here';
import { SpreadLine } from '../../../shared/expression/spread-line';
import { useSpread } from '../../../shared/expression/use-spread';
import { make } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';
import { useSession } from '../../../shared/session/session';
import { columnIdOf } from '../table/columns';

const ExamplePanel = onDemand(() => import('../../../shared/by-example/example-panel'));

const look = 'h-7 w-full rounded-md border border-rule bg-paper px-2 font-mono text-sm';

interface ExpressionFieldProps {
  readonly place: FieldPlace;
  readonly type: ItemType;
  readonly expr: string;
}

/** The expression of a computed property: every keystroke that reads is in the column at once. */
export function ExpressionField({ place, type, expr }: ExpressionFieldProps) {
  const [text, setText] = useState(expr);
  useEffect(() => setText(expr), [expr]);
  const name = place.path[0] ?? '';
  const beside = fieldsBeside(type.fields, name);
  return (
    <PropertyExpression
      label="Expression"
      {...{ type, text, name }}
      fields={beside}
      onChange={(next) => {
        setText(next);
        if (makeExpression(next, beside, 'property').findings.length === 0)
          make(edits.compute(place, next, `compute ${place.type} ${place.path.join('.')}`));
      }}
      onLeave={() => text !== expr && make(edits.compute(place, text))}
    />
  );
}

interface PropertyExpressionProps {
  readonly label: string;
  readonly type: ItemType;
  readonly fields: ItemType['fields'];
  readonly name: string;
  readonly text: string;
  /** Not a field yet, of which the evidence would tell the ends. */
  readonly isNew?: true;
  readonly onChange: (text: string) => void;
  readonly onLeave: () => void;
}

/** The editor, and what the expression gives for the item at hand, or what is wrong with it. */
function PropertyExpression({
  label,
  type,
  fields,
  name,
  text,
  isNew,
  onChange,
  onLeave,
}: PropertyExpressionProps) {
  const item = useSession(({ atHand }) => (atHand?.type === type.id ? atHand.value : undefined));
  const [renaming, setRenaming] = useState<readonly string[]>();
  const { evaluate, findings } = useMemo(
    () => makeExpression(text, fields, 'property'),
    [text, fields],
  );
  const own = { name, expr: text, type: 'unknown', required: false } as const;
  const circle = computedOrder([...fields, own]).circles.find((names) => names.includes(name));
  const [finding] = text === '' ? [] : findings;
  const isSound = text !== '' && finding === undefined && circle === undefined;
  const spread = useSpread(
    isSound && isNew ? { type: type.id, expr: text, without: name } : undefined,
  );
  const shownNow = (item === undefined ? undefined : plainText(evaluate?.(item))) ?? '';
  return (
    <>
      <ExpressionEditor
        label={label}
        text={text}
        world={{ fields, environment: emptyEnvironment, item }}
        findings={text === '' ? noFindings : findings}
        onChange={onChange}
        onLeave={onLeave}
        onRename={(offset) => setRenaming(pathAt(text, offset))}
      />
      {circle !== undefined && (
        <p className="text-sm text-madder" role="status">
          {[...circle, circle[0]].join(' → ')} read each other round in a circle.
        </p>
      )}
      {circle === undefined && finding !== undefined && (
        <FindingLine finding={finding} text={text} onMend={onChange} />
      )}
      <ReadsBetter type={type} text={text} />
      {isSound && (
        <div>
          <p className="truncate text-sm text-ash">
            {item === undefined
              ? `the item at hand is no ${type.name}`
              : `here ${shown(evaluate?.(item))}`}
          </p>
          {spread !== undefined && (
            <SpreadLine
              spread={spread}
              words={(end, ends) => shown(ends[end].value ?? undefined)}
            />
          )}
        </div>
      )}
      {renaming !== undefined && (
        <RenameHere type={type} path={renaming} onDone={() => setRenaming(undefined)} />
      )}
      <ByExample {...{ type, name }} now={shownNow} onTake={onChange} />
    </>
  );
}

interface ByExampleProps {
  readonly type: ItemType;
  readonly name: string;
  readonly now: string;
  readonly onTake: (expr: string) => void;
}

/** The words that the property should be for the item at hand, and the expressions that give them. */
function ByExample({ type, name, now, onTake }: ByExampleProps) {
  const [isOpen, setOpen] = useState(false);
  const item = useSession((session) =>
    session.atHand?.type === type.id ? session.atHand.item : undefined,
  );
  if (item === undefined) return null;
  if (!isOpen)
    return (
      <button
        type="button"
        className="py-0.5 text-sm text-woad underline"
        onClick={() => setOpen(true)}
      >
        By example
      </button>
    );
  const take = (expr: string | undefined, words: string) => {
    setOpen(false);
    onTake(expr ?? JSON.stringify(words));
  };
  return (
    <Suspense fallback={null}>
      <ExamplePanel
        {...{ type, item, now }}
        isPlainOnly
        {...(name !== '' && { without: name })}
        onTake={({ expr, words }) => take(expr, words)}
      />
    </Suspense>
  );
}

const noFindings: readonly Finding[] = [];

/** A new computed property for a type: its name, its expression, what that gives. */
export function NewComputed({ type }: { readonly type: ItemType }) {
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  if (!isOpen) return <Button onPress={() => setOpen(true)}>Compute a property</Button>;
  const add = () => {
    if (make(edits.addComputed(type.id, name, text)) !== undefined) return;
    setOpen(false);
    setName('');
    setText('');
    goWithin({ field: columnIdOf([name.trim()]) }, 'replace');
  };
  return (
    <div className="space-y-1 pb-2">
      <input
        // biome-ignore lint/a11y/noAutofocus: it was just asked for
        autoFocus
        aria-label="Name of the computed property"
        placeholder="its name"
        className={look}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <PropertyExpression
        label="Expression of the computed property"
        {...{ type, text }}
        isNew
        fields={type.fields}
        name={name.trim()}
        onChange={setText}
        onLeave={() => {}}
      />
      <span className="flex gap-1.5">
        <Button isMain isDisabled={name.trim() === '' || text.trim() === ''} onPress={add}>
          Add it
        </Button>
        <Button onPress={() => setOpen(false)}>Leave</Button>
      </span>
    </div>
  );
}
