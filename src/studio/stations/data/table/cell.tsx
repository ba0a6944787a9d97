import { Popover } from '@base-ui/react/popover';
import { useRef } from 'react';
import { isRecord, type Json, ownValue } from '../../../../core/base';
import { valueAt } from '../../../../core/items';
import type { TableRow } from '../../../../engine';
import { isSamePath, nestedInWords } from './columns';

const look = 'truncate border-b border-rule px-2';

interface CellProps {
  readonly value: Json | undefined;
  /** Only a field of the item's own type can be missing. */
  readonly isOwn: boolean;
  /** What is there instead of the value, where it could not be read. */
  readonly unread?: Json | undefined;
  /** Names within a record of what could not be read there. */
  readonly unreadWithin?: readonly string[];
  /** Set in the table of items: which cell it is, and how it is met. */
  readonly grid?: GridCell | undefined;
}

/** A cell that keys go to. */
export interface GridCell {
  readonly row: number;
  readonly column: number;
  readonly isActive: boolean;
  /** What is typed in it, from the first letter on; undefined: nothing is. */
  readonly typed: string | undefined;
  readonly onTyped: (text: string | undefined, next: Next) => void;
}

/** Where the keys go after a value was typed. */
export type Next = 'here' | 'below' | 'after' | 'before' | 'elsewhere';

/** One value of an item; a missing one is told from an empty one. */
export function Cell({ value, isOwn, unread, unreadWithin = [], grid }: CellProps) {
  if (grid?.typed !== undefined) return <TypedCell text={grid.typed} onTyped={grid.onTyped} />;
  if (grid === undefined)
    return <td className={`${look} ${isOwn ? lookOf(value) : ''}`}>{isOwn && shown(value)}</td>;
  const isBlank = value === undefined && !isOwn;
  const isUnread = value === undefined && unread !== undefined;
  return (
    <td
      className={`${look} ${isBlank ? '' : isUnread ? unreadLook : lookOf(value)} ${grid.isActive ? activeLook : ''}`}
      dir={typeof value === 'string' ? 'auto' : undefined}
      data-cell={cellId(grid)}
      tabIndex={grid.isActive ? 0 : -1}
    >
      {!isBlank && (isUnread ? <Unread raw={unread} /> : shown(value))}
      {unreadWithin.length > 0 && <i className="text-weld"> {unreadWithin.join(', ')} not read</i>}
    </td>
  );
}

const unreadLook = 'text-weld';

/** It is there, but not what its field is read as: unlike a value that is missing. */
function Unread({ raw }: { readonly raw: Json }) {
  const words = asText(raw).slice(0, 200);
  return (
    <span title={`${words} could not be read as this field is read: rows have no value here.`}>
      <s className="decoration-weld">{words}</s> <i>not read</i>
    </span>
  );
}

const activeLook = 'outline-2 -outline-offset-2 outline-woad';

export const cellId = ({
  row,
  column,
}: {
  readonly row: number;
  readonly column: number;
}): string => `${row}:${column}`;

function lookOf(value: Json | undefined): string {
  if (value === undefined || value === null) return 'text-madder italic';
  if (value === '') return 'text-ash italic';
  if (typeof value === 'number') return 'text-end tabular-nums';
  return typeof value === 'object' ? 'text-ash' : '';
}

function shown(value: Json | undefined) {
  if (value === undefined || value === null) return 'missing';
  if (value === '') return 'empty';
  if (typeof value === 'object') return <Nested value={value} />;
  return String(value).slice(0, 200);
}

const asText = (value: Json | undefined): string => {
  if (value === undefined || value === null) return '';
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
};

/** What stands in a cell; where it could not be read, as it came. */
export function textIn({ item, unread }: TableRow, path: readonly string[]): string {
  const came = unread.find((each) => isSamePath(each.path, path));
  return asText(valueAt(item, path) ?? came?.raw);
}

interface TypedCellProps {
  readonly text: string;
  readonly onTyped: GridCell['onTyped'];
}

/** Enter goes down, Tab on, Escape leaves the value as it was. */
function TypedCell({ text, onTyped }: TypedCellProps) {
  const isDone = useRef(false);
  const done = (typed: string | undefined, next: Next) => {
    if (isDone.current) return;
    isDone.current = true;
    onTyped(typed, next);
  };
  return (
    <td className="border-b border-rule p-0">
      <input
        // biome-ignore lint/a11y/noAutofocus: the cell was just opened to type in it
        autoFocus
        aria-label="Value"
        className="h-[25px] w-full border border-woad bg-paper px-1.5"
        defaultValue={text}
        onBlur={(event) => done(event.target.value, 'elsewhere')}
        onKeyDown={(event) => {
          const { key, shiftKey, currentTarget } = event;
          event.stopPropagation();
          if (!['Enter', 'Tab', 'Escape'].includes(key)) return;
          event.preventDefault();
          if (key === 'Escape') done(undefined, 'here');
          else if (key === 'Enter') done(currentTarget.value, 'below');
          else done(currentTarget.value, shiftKey ? 'before' : 'after');
        }}
      />
    </td>
  );
}

const maxShown = 200;

/** A record or a list in a few words; pressed, it opens where it stands. */
function Nested({ value }: { readonly value: Json }) {
  const words = nestedInWords(value);
  return (
    <Popover.Root>
      <Popover.Trigger
        className="max-w-full truncate underline decoration-rule underline-offset-2 hover:decoration-ash"
        onClick={(event) => event.stopPropagation()}
      >
        {words === '' ? 'empty record' : words}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Positioner sideOffset={2} align="start" className="z-50">
          <Popover.Popup
            aria-label={words}
            className="max-h-80 max-w-xl overflow-auto rounded-md border border-ash bg-paper p-2 text-sm text-ink outline-none"
          >
            {Array.isArray(value) ? <ChildList list={value} /> : <ChildRecord record={value} />}
          </Popover.Popup>
        </Popover.Positioner>
      </Popover.Portal>
    </Popover.Root>
  );
}

function ChildList({ list }: { readonly list: readonly Json[] }) {
  const names = [
    ...new Set(
      list.slice(0, maxShown).flatMap((each) => (isRecord(each) ? Object.keys(each) : [])),
    ),
  ];
  return (
    <table>
      {names.length > 0 && (
        <thead>
          <tr>
            {names.map((name) => (
              <th key={name} scope="col" className="border-b border-ink px-2 text-start">
                {name}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {list.slice(0, maxShown).map((each, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: elements have nothing else that tells them apart
          <tr key={at}>
            {isRecord(each) && names.length > 0 ? (
              names.map((name) => (
                <Cell key={name} value={ownValue(each, name)} isOwn={Object.hasOwn(each, name)} />
              ))
            ) : (
              <Cell value={each} isOwn />
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function ChildRecord({ record }: { readonly record: Json }) {
  if (!isRecord(record)) return null;
  return (
    <table>
      <tbody>
        {Object.entries(record).map(([name, each]) => (
          <tr key={name}>
            <th scope="row" className="border-b border-rule px-2 text-start font-normal text-ash">
              {name}
            </th>
            <Cell value={each} isOwn />
          </tr>
        ))}
      </tbody>
    </table>
  );
}
