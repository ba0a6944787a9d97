import { useEffect, useState } from 'react';
import { edits, type FieldPlace, type ItemType } from '../../../core/project';
import { computedOrder, fieldsBeside, makeExpression, shown } from '../../../core/values';
import { Button } from '../../shared/controls';
import { make } from '../../shared/editing';
import { goWithin } from '../../shared/route';
import { useSession } from '../../shared/session';

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
    <>
      <input
        aria-label="Expression"
        spellCheck={false}
        className={look}
        value={text}
        onChange={(event) => {
          const next = event.target.value;
          setText(next);
          if (makeExpression(next, beside, 'property').findings.length === 0)
            make(edits.compute(place, next, `compute ${place.type} ${place.path.join('.')}`));
        }}
        onBlur={() => text !== expr && make(edits.compute(place, text))}
      />
      <Result text={text} fields={beside} name={name} />
    </>
  );
}

/** What an expression gives for the item at hand, or what is wrong with it. */
function Result({
  text,
  fields,
  name,
}: {
  readonly text: string;
  readonly fields: ItemType['fields'];
  readonly name: string;
}) {
  const item = useSession((session) => session.atHand?.value);
  const { evaluate, findings } = makeExpression(text, fields, 'property');
  const [finding] = findings;
  const own = { name, expr: text, type: 'unknown', required: false } as const;
  const circle = computedOrder([...fields, own]).circles.find((names) => names.includes(name));
  if (circle !== undefined)
    return (
      <p className="text-sm text-madder" role="status">
        {[...circle, circle[0]].join(' → ')} read each other round in a circle.
      </p>
    );
  if (finding !== undefined)
    return (
      <p className="text-sm text-madder" role="status">
        {finding.message} <span className="text-ink">{finding.hint}</span>
      </p>
    );
  return (
    <p className="truncate text-sm text-ash">
      here {item === undefined ? 'nothing' : shown(evaluate?.(item))}
    </p>
  );
}

/** A new computed property for a type: its name, its expression, what that gives. */
export function NewComputed({ type }: { readonly type: ItemType }) {
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  if (!isOpen)
    return (
      <button
        type="button"
        className="py-0.5 text-sm text-woad underline"
        onClick={() => setOpen(true)}
      >
        Compute a property
      </button>
    );
  const add = () => {
    if (make(edits.addComputed(type.id, name, text)) !== undefined) return;
    setOpen(false);
    setName('');
    setText('');
    goWithin({ field: name.trim() }, 'replace');
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
      <input
        aria-label="Expression of the computed property"
        placeholder={'`${name}, ${grams} g`'}
        spellCheck={false}
        className={look}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      {text !== '' && <Result text={text} fields={type.fields} name={name.trim()} />}
      <span className="flex gap-1.5">
        <Button isMain isDisabled={name.trim() === '' || text.trim() === ''} onPress={add}>
          Add it
        </Button>
        <Button onPress={() => setOpen(false)}>Leave</Button>
      </span>
    </div>
  );
}
