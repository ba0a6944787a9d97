import type { Format, Option } from '../../../../core/formats';
import { type Field, pathText } from '../../../../core/values';
import { ChoiceChips, MenuButton } from '../../../shared/controls/controls';

export const optionLook = 'h-7 min-w-0 rounded-md border border-rule bg-paper px-2 text-sm';

type WithDigits = Extract<Format, { minDigits?: number }>;

export function Digits({
  format,
  change,
}: {
  readonly format: WithDigits;
  readonly change: (format: Format) => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-1.5 text-sm whitespace-nowrap text-ash">
      digits
      <Count
        label="Digits at least"
        value={format.minDigits}
        onChange={(minDigits) => change(withOption(format, 'minDigits', minDigits))}
      />
      to
      <Count
        label="Digits at most"
        value={format.maxDigits}
        onChange={(maxDigits) => change(withOption(format, 'maxDigits', maxDigits))}
      />
      <button
        type="button"
        aria-pressed={format.grouping !== false}
        className="h-6 rounded-full border border-rule bg-paper px-2.5 text-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
        onClick={() =>
          change(withOption(format, 'grouping', format.grouping === false ? undefined : false))
        }
      >
        1,000
      </button>
      <button
        type="button"
        aria-pressed={format.sign === 'exceptZero'}
        className="h-6 rounded-full border border-rule bg-paper px-2.5 text-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
        onClick={() =>
          change(
            withOption(format, 'sign', format.sign === 'exceptZero' ? undefined : 'exceptZero'),
          )
        }
      >
        +/−
      </button>
    </div>
  );
}

interface CountProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
}

/** A small number that may be left open. */
function Count({ label, value, onChange }: CountProps) {
  return (
    <input
      type="number"
      aria-label={label}
      className={`${optionLook} w-18 tabular-nums`}
      min={0}
      max={20}
      placeholder="auto"
      value={value ?? ''}
      onChange={(event) => {
        const next = event.target.valueAsNumber;
        if (event.target.value === '') onChange(undefined);
        else if (Number.isInteger(next) && next >= 0 && next <= 20) onChange(next);
      }}
    />
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly options: readonly T[];
  readonly none: string;
  readonly chosen: T | undefined;
  readonly onChoose: (value: T | undefined) => void;
}

/** One of a few, or the one that goes without saying. */
export function Choice<T extends string>({
  label,
  options,
  none,
  chosen,
  onChoose,
}: ChoiceProps<T>) {
  const all: readonly { readonly value: T | ''; readonly words: string }[] = [
    { value: '', words: none },
    ...options.map((value) => ({ value, words: value === 'narrowSymbol' ? 'narrow' : value })),
  ];
  return (
    <ChoiceChips
      label={label}
      options={all}
      chosen={chosen ?? ''}
      onChoose={(value) => onChoose(value === '' ? undefined : value)}
    />
  );
}

export function Words({
  label,
  hint,
  words,
  onChange,
}: {
  readonly label: string;
  readonly hint?: string;
  readonly words: string;
  readonly onChange: (words: string) => void;
}) {
  return (
    <input
      aria-label={label}
      placeholder={hint ?? label}
      spellCheck={false}
      className={`${optionLook} w-full flex-1`}
      value={words}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

/** An option that is written down, or that a text field of the item holds. */
export function ItemOption({
  label,
  hint,
  option,
  fields,
  onChange,
}: {
  readonly label: string;
  readonly hint?: string;
  readonly option: Option;
  readonly fields: readonly Field[];
  readonly onChange: (option: Option) => void;
}) {
  const texts = fields.filter((field) => field.type === 'text');
  return (
    <div className="flex flex-1 gap-1.5">
      {typeof option === 'string' ? (
        <Words label={label} hint={hint ?? label} words={option} onChange={onChange} />
      ) : (
        <Words
          label={`${label} by expression`}
          words={option.expr}
          onChange={(expr) => onChange({ expr })}
        />
      )}
      <MenuButton
        label={`${label} from`}
        words={typeof option === 'string' ? 'fixed' : 'by field'}
        entries={[
          { words: 'fixed', onChoose: () => onChange('') },
          ...texts.map((field) => ({
            words: field.name,
            onChoose: () => onChange({ expr: pathText([field.name]) }),
          })),
        ]}
      />
    </div>
  );
}

/** The format with an option, or without it. */
export function withOption<F extends Format, K extends keyof F>(
  format: F,
  name: K,
  value: F[K] | undefined,
): F {
  const { [name]: _, ...rest } = format;
  return (value === undefined ? rest : { ...format, [name]: value }) as F;
}
