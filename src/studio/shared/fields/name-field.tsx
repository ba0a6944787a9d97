interface NameFieldProps {
  readonly label: string;
  readonly name: string;
  /** Left with Escape, it is the same as before. */
  readonly onDone: (name: string) => void;
}

/** A name that is typed in the place of what it names. */
export function NameField({ label, name, onDone }: NameFieldProps) {
  return (
    <input
      aria-label={label}
      placeholder="name"
      defaultValue={name}
      // biome-ignore lint/a11y/noAutofocus: who asked to name it types the name
      autoFocus
      onFocus={(event) => event.target.select()}
      className="h-7 w-28 rounded-md border border-woad bg-paper px-2 text-sm font-normal"
      onBlur={(event) => onDone(event.target.value.trim())}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key !== 'Escape') return;
        event.currentTarget.value = name;
        event.currentTarget.blur();
      }}
    />
  );
}
