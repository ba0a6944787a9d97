import type { DateFormat, Format, NamedFormat } from '../../../../core/formats';
import { slipsIn } from '../../../../core/items';
import { edits } from '../../../../core/project';
import type { Field } from '../../../../core/values';
import { Button, ChoiceChips } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { Choice, Digits, ItemOption, optionLook, Words, withOption } from './format-options';

interface FormatEditorProps {
  readonly format: NamedFormat;
  readonly fields: readonly Field[];
}

/** The options of a format, where it is used: every binding that has it follows. */
export function FormatEditor({ format, fields }: FormatEditorProps) {
  const change = (next: Format) => make(edits.changeFormat(format.id, next, `format ${format.id}`));
  return (
    <fieldset aria-label={`Format ${format.name}`} className="min-w-0 space-y-1 py-1.5">
      <div className="flex gap-1.5">
        <input
          aria-label="Name of the format"
          className={`${optionLook} flex-1`}
          value={format.name}
          onChange={(event) => make(edits.renameFormat(format.id, event.target.value))}
        />
        <Button onPress={() => make(edits.removeFormat(format.id))}>Remove</Button>
      </div>
      <Options format={format} fields={fields} change={change} />
    </fieldset>
  );
}

interface OptionsProps {
  readonly format: NamedFormat;
  readonly fields: readonly Field[];
  readonly change: (format: Format) => void;
}

function Options({ format: named, fields, change }: OptionsProps) {
  const { id: _, name: __, ...format } = named;
  switch (format.as) {
    case 'number':
      return (
        <>
          <Digits format={format} change={change} />
          <Choice
            label="Compact"
            options={['short', 'long']}
            none="in full"
            chosen={format.compact}
            onChoose={(compact) => change(withOption(format, 'compact', compact))}
          />
        </>
      );
    case 'percent':
      return (
        <>
          <Digits format={format} change={change} />
          <ChoiceChips
            label="What 100 % is"
            options={[
              { value: '1', words: '1 is 100 %' },
              { value: '100', words: '100 is 100 %' },
            ]}
            chosen={format.of === 100 ? '100' : '1'}
            onChoose={(of) => change({ ...format, of: of === '100' ? 100 : 1 })}
          />
        </>
      );
    case 'money':
      return (
        <>
          <ItemOption
            label="Currency"
            option={format.currency}
            fields={fields}
            onChange={(currency) => change({ ...format, currency })}
          />
          <Choice
            label="Shown as"
            options={['code', 'name', 'narrowSymbol']}
            none="symbol"
            chosen={format.display === 'symbol' ? undefined : format.display}
            onChoose={(display) => change(withOption(format, 'display', display))}
          />
          <Digits format={format} change={change} />
        </>
      );
    case 'unit':
      return (
        <>
          <ItemOption
            label="Unit"
            option={format.unit}
            fields={fields}
            onChange={(unit) => change({ ...format, unit })}
          />
          <Choice
            label="Width"
            options={['long', 'narrow']}
            none="short"
            chosen={format.width === 'short' ? undefined : format.width}
            onChoose={(width) => change(withOption(format, 'width', width))}
          />
          <Digits format={format} change={change} />
        </>
      );
    case 'bytes':
      return (
        <Choice
          label="A kilobyte is"
          options={['1,024']}
          none="1,000"
          chosen={format.of === undefined ? undefined : '1,024'}
          onChoose={(of) => change(withOption(format, 'of', of === undefined ? undefined : 1024))}
        />
      );
    case 'date':
      return <DateOptions format={format} fields={fields} change={change} />;
    case 'relative':
      return <RelativeOptions format={format} change={change} />;
    case 'duration':
      return (
        <>
          <Choice
            label="Width"
            options={['short', 'narrow', 'digital']}
            none="long"
            chosen={format.width === 'long' ? undefined : format.width}
            onChoose={(width) => change(withOption(format, 'width', width))}
          />
          <Choice
            label="Numbers count"
            options={['minutes', 'hours', 'milliseconds']}
            none="seconds"
            chosen={format.of === 'seconds' ? undefined : format.of}
            onChoose={(of) => change(withOption(format, 'of', of))}
          />
        </>
      );
    case 'list':
      return (
        <Choice
          label="Joined by"
          options={['or', 'unit']}
          none="and"
          chosen={format.join === 'and' ? undefined : format.join}
          onChoose={(join) => change(withOption(format, 'join', join))}
        />
      );
    case 'yesNo':
      return (
        <div className="flex gap-1.5">
          <Words
            label="If true"
            words={format.yes}
            onChange={(yes) => change({ ...format, yes })}
          />
          <Words label="If false" words={format.no} onChange={(no) => change({ ...format, no })} />
        </div>
      );
    case 'text':
      return (
        <ChoiceChips
          label="Change"
          options={['sentence', 'title', 'upper', 'lower', 'initials', 'trim']}
          chosen={format.change}
          onChoose={(next) => change({ ...format, change: next })}
        />
      );
    case 'message':
      return (
        <>
          <textarea
            aria-label="Message"
            spellCheck={false}
            className="h-24 w-full rounded-md border border-rule bg-paper px-2 py-1 font-mono text-xs"
            value={format.message}
            onChange={(event) => change({ ...format, message: event.target.value })}
          />
          <p className="text-xs text-ash">
            Unicode MessageFormat 2: <code>$value</code> is the value, other names are fields.
          </p>
        </>
      );
  }
}

function RelativeOptions({
  format,
  change,
}: {
  readonly format: Extract<Format, { as: 'relative' }>;
  readonly change: (format: Format) => void;
}) {
  return (
    <>
      <Choice
        label="Width"
        options={['short', 'narrow']}
        none="long"
        chosen={format.width === 'long' ? undefined : format.width}
        onChoose={(width) => change(withOption(format, 'width', width))}
      />
      <Choice
        label="Counted in"
        options={['day']}
        none="what fits"
        chosen={format.unit}
        onChoose={(unit) => change(withOption(format, 'unit', unit))}
      />
    </>
  );
}

function DateOptions({
  format,
  fields,
  change,
}: {
  readonly format: DateFormat;
  readonly fields: readonly Field[];
  readonly change: (format: Format) => void;
}) {
  const styles = ['short', 'medium', 'long', 'full'] as const;
  return (
    <>
      {format.pattern === undefined && (
        <>
          <Choice
            label="Date"
            options={styles}
            none="no date"
            chosen={format.date}
            onChoose={(date) => change(withOption(format, 'date', date))}
          />
          <Choice
            label="Time"
            options={styles}
            none="no time"
            chosen={format.time}
            onChoose={(time) => change(withOption(format, 'time', time))}
          />
        </>
      )}
      <div className="flex gap-1.5">
        <Words
          label="Pattern"
          hint="or a pattern: d MMM yyyy"
          words={format.pattern ?? ''}
          onChange={(pattern) =>
            change(withOption(format, 'pattern', pattern === '' ? undefined : pattern))
          }
        />
        <ItemOption
          label="Time zone"
          hint="UTC"
          option={format.zone ?? ''}
          fields={fields}
          onChange={(zone) => change(withOption(format, 'zone', zone === '' ? undefined : zone))}
        />
      </div>
      {slipsIn(format.pattern ?? '').map(({ message, instead }) => (
        <p key={message} className="text-sm text-weld">
          {message}{' '}
          <button
            type="button"
            className="text-woad underline"
            onClick={() => change(withOption(format, 'pattern', instead))}
          >
            Write {instead}
          </button>
        </p>
      ))}
    </>
  );
}
