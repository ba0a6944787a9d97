import { type KeyboardEvent, type ReactNode, useEffect, useId, useState } from 'react';

/** What can be taken from a line of them. */
export interface LineOption {
  readonly key: string;
  readonly words: string;
  readonly hint?: string;
  readonly sign?: ReactNode;
  readonly title?: string;
  /** Why it can't be taken. */
  readonly whyNot?: string | undefined;
}

interface LineFieldProps {
  readonly label: string;
  readonly first: string;
  readonly placeholder: string;
  readonly options: (text: string) => readonly LineOption[];
  readonly none: string;
  /** What would be taken now, at every change. */
  readonly onLook: (key: string | undefined, text: string) => void;
  /** `byPress`: with the pointer, not by Enter. */
  readonly onTake: (key: string, byPress?: true) => void;
  /** Tab: more is asked about what is chosen. */
  readonly onMore?: (key: string) => void;
  readonly onLeave: () => void;
}

/**
 * A field whose options stand beside it in one line, so that they cover nothing (ARIA Authoring
 * Practices, combobox with list). Enter takes, Escape leaves.
 */
export function LineField({ onLook, onTake, onMore, onLeave, ...props }: LineFieldProps) {
  const { label, first, placeholder, options, none } = props;
  const listId = useId();
  const [text, setText] = useState(first);
  const [at, setAt] = useState(0);
  const found = options(text);
  const chosen = found[Math.min(at, found.length - 1)];
  const chosenKey = chosen?.whyNot === undefined ? chosen?.key : undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is looked at follows from these
  useEffect(() => onLook(chosenKey, text), [chosenKey, text]);
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    const isAtEnd =
      event.currentTarget instanceof HTMLInputElement &&
      event.currentTarget.selectionStart === text.length;
    const isTab = event.key === 'Tab' && onMore === undefined;
    const isOn =
      event.key === 'ArrowDown' ||
      (event.key === 'ArrowRight' && isAtEnd && found.length > 1) ||
      (isTab && !event.shiftKey);
    const isBack = event.key === 'ArrowUp' || (isTab && event.shiftKey);
    if (isOn || isBack) setAt((at + (isBack ? -1 : 1) + found.length) % Math.max(1, found.length));
    else if (event.key === 'Tab' && onMore !== undefined && chosenKey !== undefined)
      onMore(chosenKey);
    else if (event.key === 'Enter' && chosenKey !== undefined) onTake(chosenKey);
    else if (event.key === 'Escape') onLeave();
    else return;
    event.preventDefault();
  };
  return (
    <div className="flex min-w-0 flex-1 items-center gap-2">
      <input
        role="combobox"
        aria-label={label}
        aria-expanded={true}
        aria-controls={listId}
        aria-activedescendant={chosen && `${listId}-${found.indexOf(chosen)}`}
        aria-autocomplete="list"
        autoComplete="off"
        spellCheck={false}
        placeholder={placeholder}
        className="h-6 w-40 shrink-0 rounded-md border border-woad bg-paper px-2 font-mono text-sm"
        value={text}
        // biome-ignore lint/a11y/noAutofocus: who types on a part goes on typing here
        autoFocus
        onFocus={(event) => event.target.setSelectionRange(text.length, text.length)}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onBlur={onLeave}
        onKeyDown={onKeyDown}
      />
      <div
        id={listId}
        role="listbox"
        aria-label={label}
        className="flex min-w-0 gap-1 overflow-hidden"
      >
        {found.map((option, place) => (
          // biome-ignore lint/a11y/useFocusableInteractive: the field keeps the focus
          // biome-ignore lint/a11y/useKeyWithClickEvents: keys are those of the field
          <div
            key={option.key}
            id={`${listId}-${place}`}
            role="option"
            aria-selected={option === chosen}
            aria-disabled={option.whyNot !== undefined}
            title={option.whyNot ?? option.title}
            ref={(element) => {
              if (option === chosen)
                element?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
            }}
            className="flex h-6 shrink-0 cursor-default items-center gap-1.5 rounded-full border border-rule bg-paper px-2 text-sm aria-disabled:text-ash aria-selected:border-ink aria-selected:bg-chosen"
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => option.whyNot === undefined && onTake(option.key, true)}
          >
            {option.sign}
            {option.words}
            {option.hint !== undefined && (
              <span className="max-w-32 truncate text-ash">{option.hint}</span>
            )}
          </div>
        ))}
        {found.length === 0 && <span className="truncate text-sm text-madder">{none}</span>}
      </div>
    </div>
  );
}
