import { Popover } from '@base-ui/react/popover';
import { useState } from 'react';
import { isRecord, type Json, ownValue } from '../../../core/base';
import { nestedInWords } from './columns';

const look = 'truncate border-b border-rule px-2';

interface CellProps {
  readonly value: Json | undefined;
  /** Only a field of the item's own type can be missing. */
  readonly isOwn: boolean;
  /** Set where the items are typed in: takes what was typed. */
  readonly onType?: ((text: string) => void) | undefined;
}

/** One value of an item; a missing one is told from an empty one. */
export function Cell({ value, isOwn, onType }: CellProps) {
  const [isTyping, setTyping] = useState(false);
  if (isTyping && onType !== undefined) {
    return (
      <TypedCell
        text={value === undefined || value === null ? '' : asText(value)}
        onDone={(text) => {
          setTyping(false);
          if (text !== undefined) onType(text);
        }}
      />
    );
  }
  const type = onType === undefined ? undefined : () => setTyping(true);
  if (value === undefined && !isOwn) return <td className={look} />;
  return (
    <td
      className={`${look} ${lookOf(value)}`}
      dir={typeof value === 'string' ? 'auto' : undefined}
      onDoubleClick={type}
      tabIndex={type === undefined ? undefined : 0}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || type === undefined) return;
        event.preventDefault();
        type();
      }}
    >
      {shown(value)}
    </td>
  );
}

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

const asText = (value: Json): string =>
  typeof value === 'object' ? JSON.stringify(value) : String(value);

function TypedCell({
  text,
  onDone,
}: {
  readonly text: string;
  readonly onDone: (text: string | undefined) => void;
}) {
  return (
    <td className="border-b border-rule p-0">
      <input
        // biome-ignore lint/a11y/noAutofocus: the cell was just opened to type in it
        autoFocus
        aria-label="Value"
        className="h-[25px] w-full border border-woad bg-paper px-1.5"
        defaultValue={text}
        onBlur={(event) => onDone(event.target.value === text ? undefined : event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') onDone(undefined);
        }}
      />
    </td>
  );
}

const mostShown = 200;

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
      list.slice(0, mostShown).flatMap((each) => (isRecord(each) ? Object.keys(each) : [])),
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
        {list.slice(0, mostShown).map((each, at) => (
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
