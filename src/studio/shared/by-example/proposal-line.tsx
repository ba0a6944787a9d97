import { useState } from 'react';
import { count, ownValue } from '../../../core/base';
import { completed, numberOf, type OpenForm, openForm } from '../../../core/by-example';
import { type NamedFormat, numberText } from '../../../core/formats';
import type { ExampleAnswer } from '../../../engine';
import { Button, MenuButton } from '../controls/controls';
import { useLocale } from '../session/locale';

type Proposal = ExampleAnswer['proposals'][number];

/** What a person takes: an expression in a format, with formats that are new. */
export interface Taken {
  /** It is undefined for fixed words. */
  readonly expr: string | undefined;
  readonly words: string;
  readonly format?: string;
  readonly newFormats: readonly NamedFormat[];
}

interface ProposalLineProps {
  readonly proposal: Proposal;
  /** How many items lack a value for it, once they are counted. */
  readonly missing: number | undefined;
  readonly rows: readonly {
    readonly item: number;
    readonly text: string | null;
    readonly isOpen: boolean;
  }[];
  readonly onTake: (taken: Taken) => void;
}

const maxShown = 2;

/** One proposal: what it is, what it gives for other items, what is not known of it yet. */
export function ProposalLine({ proposal, missing, rows, onTake }: ProposalLineProps) {
  const { expr, words, format, newFormats, open, others } = proposal;
  const locale = useLocale();
  const [forms, setForms] = useState<Readonly<Record<string, string>>>({});
  const withForms = newFormats.map((own) =>
    open.reduce((made, each) => {
      const told = ownValue(forms, keyOf(each)) ?? '';
      return each.format === own.id && told !== ''
        ? completed(made, each.form, told, locale)
        : made;
    }, own),
  );
  const shown = rows.filter(
    ({ text }, at) => rows.findIndex((other) => other.text === text) === at,
  );
  const take = (way: Pick<Taken, 'expr' | 'format' | 'newFormats'>) =>
    onTake({
      expr: way.expr,
      words,
      newFormats: way.newFormats,
      ...(way.format !== undefined && { format: way.format }),
    });
  return (
    <li className="rounded-md border border-rule px-2 py-1">
      <span className="flex items-start gap-2">
        <code className="min-w-0 flex-1 font-mono text-sm break-words">
          {expr ?? `“${words}”, fixed`}
          {format !== undefined && (
            <span className="text-ash">, as {nameOf(format, newFormats)}</span>
          )}
        </code>
        <Button
          isMain
          label={`Take ${expr ?? words}`}
          onPress={() => take({ ...proposal, newFormats: withForms })}
        >
          Take
        </Button>
      </span>
      {shown.slice(0, maxShown).map(({ item, text, isOpen }) => (
        <p
          key={item}
          className={`truncate text-sm ${text === null ? 'text-madder' : isOpen ? 'text-weld' : 'text-ash'}`}
          title={text ?? undefined}
        >
          {text === null ? 'a value is missing' : text.replaceAll(openForm, '…')}
          {isOpen && text?.includes(openForm) === false && ', guessed'}
        </p>
      ))}
      {(missing ?? 0) > 0 && (
        <p className="text-sm text-madder">
          {count(missing ?? 0, 'item')} {missing === 1 ? 'lacks' : 'lack'} a value for it
        </p>
      )}
      {open.map((each) => (
        <FormField
          key={keyOf(each)}
          form={each}
          locale={locale}
          text={ownValue(forms, keyOf(each)) ?? each.guess ?? ''}
          onChange={(text) => setForms({ ...forms, [keyOf(each)]: text })}
        />
      ))}
      {others.length > 0 && (
        <MenuButton
          words="the same in another way"
          entries={others.map((way) => ({
            words: inWords(way),
            onChoose: () => take(way),
          }))}
        />
      )}
    </li>
  );
}

const keyOf = ({ format, form }: OpenForm): string => `${format} ${form}`;

const nameOf = (id: string, newFormats: readonly NamedFormat[]): string =>
  newFormats.find((format) => format.id === id)?.name ?? id;

/** An expression with what its new formats say: ways differ in these. */
function inWords({ expr, newFormats }: Proposal['others'][number]): string {
  const formats = newFormats.map(({ id: _, name: __, ...own }) => JSON.stringify(own));
  return [expr ?? 'fixed words', ...formats].join('  ');
}

interface FormFieldProps {
  readonly form: OpenForm;
  readonly locale: string;
  readonly text: string;
  readonly onChange: (text: string) => void;
}

/** Words for a form that no example has shown: "and for 3?" */
function FormField({ form: { form, guess }, locale, text, onChange }: FormFieldProps) {
  const isBoolean = form === 'true' || form === 'false';
  const label = isBoolean
    ? `when it is ${form}`
    : `for ${numberText(locale, numberOf(form, locale))}`;
  return (
    <label className="flex items-center gap-1.5 py-0.5 text-sm text-weld">
      {guess !== undefined && (text === guess || text === '') ? 'guessed' : 'not known yet'} {label}
      <input
        aria-label={`How it reads ${label}`}
        className="h-6 min-w-0 flex-1 rounded-md border border-rule bg-paper px-2 text-ink focus:border-woad"
        dir="auto"
        maxLength={200}
        placeholder={guess}
        value={text}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
