import ChevronDown from 'lucide-react/icons/chevron-down';
import ChevronRight from 'lucide-react/icons/chevron-right';
import { useState } from 'react';
import { count, isRecord, ownValue } from '../../../core/base';
import type { Item } from '../../../core/items';
import { type Field, pathText, shown } from '../../../core/values';
import { Heading } from '../../shared/controls/controls';
import { markOf, TypeMark } from '../../shared/controls/typed';
import { refused } from '../../shared/session/editing';
import { useSession } from '../../shared/session/session';
import { dragValue } from './bench/dragging/carrying';
import { shownInstead } from './commands/binding';
import { makeAndSelect } from './commands/does';
import { pathsShown, type Selection } from './selection';

/** The values of the item at hand, by name; each can be dragged onto a part, or pressed for the selected one. */
export function ValuesList({ selection }: { readonly selection: Selection }) {
  const item = useSession((session) => session.atHand?.value);
  const used = new Set(pathsShown(selection).map((path) => path.join('.')));
  const [max, setMost] = useState(fieldsAtOnce);
  const [words, setWords] = useState('');
  const fields = selection.type?.fields ?? [];
  const wanted = fields.filter(({ name }) => name.toLowerCase().includes(words.toLowerCase()));
  // What feeds a part is in the list, however long that is: its thread ends there.
  const shownFields = wanted.filter(({ name }, at) => at < max || isUsedFrom(used, name));
  return (
    <section
      aria-label="Values"
      className="flex min-h-40 flex-1 flex-col overflow-y-auto py-1 ps-3"
    >
      <Heading>Values of this {selection.type?.name ?? 'item'}</Heading>
      {fields.length > fieldsAtOnce && (
        <input
          aria-label="Find a value by its name"
          placeholder="find a value"
          className="mb-1 h-7 w-full rounded-md border border-rule bg-paper px-2 text-sm"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      )}
      <ul>
        {shownFields.map((field) => (
          <ValueLine
            key={field.name}
            field={field}
            path={[field.name]}
            item={item}
            used={used}
            selection={selection}
          />
        ))}
      </ul>
      {shownFields.length < wanted.length && (
        <button
          type="button"
          className="py-1 text-start text-sm underline"
          onClick={() => setMost(max + fieldsAtOnce)}
        >
          {count(wanted.length - shownFields.length, 'more value')}
        </button>
      )}
    </section>
  );
}

const fieldsAtOnce = 100;

const isUsedFrom = (used: ReadonlySet<string>, name: string): boolean =>
  [...used].some((path) => path === name || path.startsWith(`${name}.`));

interface ValueLineProps {
  readonly field: Field;
  readonly path: readonly string[];
  readonly item: Item | undefined;
  readonly used: ReadonlySet<string>;
  readonly selection: Selection;
}

function ValueLine({ field, path, item, used, selection }: ValueLineProps) {
  const id = path.join('.');
  const isUsedInside = [...used].some((each) => each.startsWith(`${id}.`));
  const [isOpen, setOpen] = useState(isUsedInside);
  const value = item === undefined ? undefined : (ownValue(item, field.name) ?? undefined);
  const inside = field.type === 'record' ? field.fields : [];
  const isUsed = used.has(id) || (isUsedInside && !isOpen);
  const { colour } = markOf(field);
  return (
    <li>
      <div
        className="flex h-6 items-center gap-1.5 pe-2.5"
        style={{ paddingInlineStart: (path.length - 1) * 14 }}
      >
        {inside.length > 0 ? (
          <button
            type="button"
            aria-expanded={isOpen}
            aria-label={`Values inside ${field.name}`}
            onClick={() => setOpen(!isOpen)}
          >
            {isOpen ? <ChevronDown size={12} /> : <ChevronRight size={12} />}
          </button>
        ) : (
          <TypeMark type={field} />
        )}
        <button
          type="button"
          title={`${field.type}. Press to bind the selected part, or drag onto a part or into a gap.`}
          className="flex min-w-0 flex-1 touch-pan-y items-center gap-2 rounded-sm text-start hover:bg-chosen"
          onPointerDown={(event) => {
            if (event.button === 0) dragValue(event, selection, path, pathText(path));
          }}
          onClick={() => (inside.length > 0 ? setOpen(!isOpen) : bindSelected(selection, path))}
        >
          <span className="shrink-0">{field.name}</span>
          {inside.length === 0 && (
            <span
              className={`truncate text-sm ${value === undefined ? 'text-madder italic' : 'text-ash'}`}
            >
              {shown(value).replace(/^"|"$/g, '')}
            </span>
          )}
        </button>
        <svg
          width="9"
          height="9"
          className="ms-auto shrink-0"
          data-thread-from={id}
          aria-label={isUsed ? 'used' : 'unused'}
          role="img"
        >
          <circle
            cx="4.5"
            cy="4.5"
            r="3.5"
            fill={isUsed ? colour : 'none'}
            stroke={colour}
            strokeWidth="1.4"
          />
        </svg>
      </div>
      {isOpen && inside.length > 0 && (
        <ul>
          {inside.map((each) => (
            <ValueLine
              key={each.name}
              field={each}
              path={[...path, each.name]}
              item={isRecord(value) ? value : undefined}
              used={used}
              selection={selection}
            />
          ))}
        </ul>
      )}
    </li>
  );
}

function bindSelected(selection: Selection, path: readonly string[]): void {
  const edit = shownInstead(selection, selection.part, { expr: pathText(path) });
  if (typeof edit === 'string') refused(`Bind to ${pathText(path)}`, edit);
  else makeAndSelect(selection, edit);
}
