import ChevronDown from 'lucide-react/icons/chevron-down';
import type { ReactNode } from 'react';
import { Later } from './later';
import type { MenuEntry } from './popup';

const buttonLook =
  'inline-flex h-7 items-center gap-1.5 rounded-md border border-rule bg-paper px-2.5 text-sm text-ink ' +
  'whitespace-nowrap hover:border-ash disabled:opacity-55 disabled:hover:border-rule ' +
  'aria-disabled:opacity-55 aria-disabled:hover:border-rule aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper';

interface ButtonProps {
  readonly children: ReactNode;
  readonly onPress: () => void;
  readonly isMain?: boolean;
  readonly isDisabled?: boolean;
  /** Why it can't be pressed now: it is grey, says so, and keeps the focus. */
  readonly whyNot?: string | undefined;
  readonly isPressed?: boolean;
  /** It shows a picture alone. */
  readonly isIcon?: boolean;
  readonly label?: string;
  readonly title?: string;
}

export function Button({
  children,
  onPress,
  isMain = false,
  isDisabled = false,
  whyNot,
  isPressed,
  isIcon = false,
  label,
  title,
}: ButtonProps) {
  const look = isMain
    ? 'border-ink! bg-ink! text-paper!'
    : isIcon
      ? 'w-7 shrink-0 justify-center px-0!'
      : '';
  const told = title ?? label;
  return (
    <button
      type="button"
      className={`${buttonLook} ${look}`}
      onClick={() => whyNot === undefined && onPress()}
      disabled={isDisabled}
      aria-disabled={whyNot !== undefined}
      aria-pressed={isPressed}
      aria-label={label}
      title={whyNot === undefined ? told : `${told ?? ''}: ${whyNot}`.replace(/^: /, '')}
    >
      {children}
    </button>
  );
}

/** `picture`: shown in the place of its words. */
interface Option<T> {
  readonly value: T;
  readonly words: string;
  readonly picture?: ReactNode;
}

interface ChoiceChipsProps<T extends string> {
  readonly label: string;
  /** A value that is a word already stands for itself. */
  readonly options: readonly (T | Option<T>)[];
  readonly chosen: T | undefined;
  readonly onChoose: (value: T) => void;
}

const inWords = <T extends string>(option: T | Option<T>): Option<T> =>
  typeof option === 'string' ? { value: option, words: option } : option;

/** One of a few, all in sight. */
export function ChoiceChips<T extends string>({
  label,
  options,
  chosen,
  onChoose,
}: ChoiceChipsProps<T>) {
  return (
    <fieldset className="flex flex-wrap gap-0.5" aria-label={label}>
      {options.map(inWords).map(({ value, words, picture }) => (
        <button
          key={value}
          type="button"
          aria-pressed={value === chosen}
          {...(picture !== undefined && { 'aria-label': words, title: words })}
          className="h-6 rounded-full border border-rule bg-paper px-2 text-sm hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
          onClick={() => onChoose(value)}
        >
          {picture ?? words}
        </button>
      ))}
    </fieldset>
  );
}

interface MenuButtonProps {
  readonly words: string;
  readonly label?: string;
  readonly entries: readonly MenuEntry[];
  /** Where there is not enough room for all, its words are cut. */
  readonly givesWay?: boolean;
}

export function MenuButton({ words, label, entries, givesWay = false }: MenuButtonProps) {
  const trigger = {
    className: givesWay ? `${buttonLook} min-w-14 shrink` : `${buttonLook} shrink-0`,
    title: givesWay ? words : undefined,
    'aria-label': label === undefined ? undefined : `${label}: ${words}`,
    children: (
      <>
        <span className="truncate">{words}</span>
        <ChevronDown size={12} className="shrink-0" aria-hidden="true" />
      </>
    ),
  };
  return (
    <Later kind="menu" trigger={trigger}>
      {({ MenuPopup }, met) => <MenuPopup trigger={trigger} entries={entries} {...met} />}
    </Later>
  );
}

/** A name and what it has, in two columns. */
export function Row({
  words,
  children,
}: {
  readonly words: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <div className="grid break-inside-avoid grid-cols-[64px_1fr] items-start gap-2 py-0.5">
      <span className="pt-0.5 text-ash">{words}</span>
      <div className="min-w-0">{children}</div>
    </div>
  );
}

export function Heading({ children }: { readonly children: ReactNode }) {
  return <h2 className="py-1 text-sm font-semibold text-ash">{children}</h2>;
}

export function Check({
  words,
  isOn,
  onChange,
}: {
  readonly words: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
}) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="size-4 accent-ink"
        checked={isOn}
        onChange={(event) => onChange(event.target.checked)}
      />
      {words}
    </label>
  );
}
