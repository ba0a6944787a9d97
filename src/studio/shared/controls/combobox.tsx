import { type KeyboardEvent, type ReactNode, useId, useState } from 'react';

/** What can be taken. */
export interface ComboboxOption {
  readonly key: string;
  readonly words: string;
  readonly hint?: string;
  readonly sign?: ReactNode;
  readonly isOff?: boolean;
}

interface ComboboxProps {
  readonly label: string;
  /** What the list of options is called. */
  readonly among: string;
  readonly placeholder?: string;
  readonly title?: string;
  readonly look: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  /** Asked for while the list is open. */
  readonly options: () => readonly ComboboxOption[];
  /** What is said where there is none. */
  readonly none: string;
  readonly onTake: (key: string) => void;
}

/** A field that offers what begins with its words (ARIA Authoring Practices, combobox with list). */
export function Combobox({
  label,
  among,
  placeholder,
  title,
  look,
  text,
  onText,
  options,
  none,
  onTake,
}: ComboboxProps) {
  const listId = useId();
  const [at, setAt] = useState(0);
  const [isOpen, setOpen] = useState(false);
  const found = isOpen ? options() : [];
  const chosen = found[Math.min(at, found.length - 1)];
  const take = ({ key, isOff }: ComboboxOption) => {
    if (isOff) return;
    setAt(0);
    setOpen(false);
    onTake(key);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (way !== 0) {
      event.preventDefault();
      if (isOpen) setAt((at + way + found.length) % Math.max(1, found.length));
      else setOpen(true);
    } else if (event.key === 'Enter' && chosen !== undefined) {
      event.preventDefault();
      take(chosen);
    } else if (event.key === 'Escape' && isOpen) {
      event.stopPropagation();
      setOpen(false);
    }
  };
  return (
    <div className="relative min-w-0">
      <input
        role="combobox"
        aria-label={label}
        aria-expanded={isOpen}
        aria-controls={isOpen ? listId : undefined}
        aria-activedescendant={chosen && `${listId}-${found.indexOf(chosen)}`}
        aria-autocomplete="list"
        autoComplete="off"
        spellCheck={false}
        placeholder={placeholder}
        title={title}
        className={look}
        value={text}
        onChange={(event) => {
          onText(event.target.value);
          setAt(0);
          setOpen(true);
        }}
        onClick={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onKeyDown={onKeyDown}
      />
      {isOpen && (
        <div
          id={listId}
          role="listbox"
          aria-label={among}
          className="absolute inset-x-0 top-full z-40 max-h-52 overflow-auto rounded-md border border-ash bg-paper py-1"
        >
          {found.map((option, place) => (
            // biome-ignore lint/a11y/useFocusableInteractive: the field keeps the focus
            // biome-ignore lint/a11y/useKeyWithClickEvents: keys are those of the field
            <div
              key={option.key}
              id={`${listId}-${place}`}
              role="option"
              aria-selected={option === chosen}
              aria-disabled={option.isOff}
              ref={(element) => {
                if (option === chosen) element?.scrollIntoView({ block: 'nearest' });
              }}
              className="flex cursor-default items-center gap-2 px-2 py-0.5 aria-disabled:text-ash aria-selected:bg-chosen"
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => take(option)}
            >
              {option.sign}
              <span className="shrink-0">{option.words}</span>
              <span className="ms-auto truncate text-sm text-ash">{option.hint}</span>
            </div>
          ))}
          {found.length === 0 && <p className="px-2 py-0.5 text-ash">{none}</p>}
        </div>
      )}
    </div>
  );
}
