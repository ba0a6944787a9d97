import { useEffect, useId, useState } from 'react';
import { count, isRecord, ownValue } from '../../../core/base';
import type { Item } from '../../../core/items';
import { edits, othersOf } from '../../../core/project';
import type { Binding, SlotProperty } from '../../../core/templates';
import { type Field, isShowable, makeExpression, pathText, shown } from '../../../core/values';
import { ChoiceChips, Row } from '../../shared/controls';
import { make } from '../../shared/editing';
import { surveysOf, useSession } from '../../shared/session';
import { bindPath, type Place, standIn } from './binding-edits';
import { FormatField } from './format-field';
import { isPattern, PatternField } from './pattern-field';
import type { Selection } from './selection';

interface BindingFieldProps {
  readonly selection: Selection;
  readonly property: SlotProperty;
  readonly binding: Binding;
}

const inputLook = 'h-7 w-full rounded-md border border-rule bg-paper px-2 focus:border-woad';

/** What feeds a property: a value found by its first letters, an expression, or fixed words. */
export function BindingField({ selection, property, binding }: BindingFieldProps) {
  const place = { template: selection.template.id, part: selection.part.id, property };
  const isOfPattern = property === 'picture' && typeof binding !== 'string' && isPattern(binding);
  const kind = typeof binding === 'string' ? 'words' : isOfPattern ? 'pattern' : 'value';
  const choose = (next: typeof kind) => {
    if (next === kind) return;
    const path = kind === 'value' && typeof binding !== 'string' ? binding.expr : undefined;
    const value = path ?? firstPath(selection);
    if (next === 'words') make(edits.bind(place, typeof binding === 'string' ? '' : binding.expr));
    else make(bindPath(place, next === 'value' ? value : `\`\${${value}}\``, binding));
  };
  return (
    <>
      <Row words={property}>
        <ChoiceChips
          label={`What ${property} comes from`}
          options={[
            'value',
            ...(property === 'picture' ? (['pattern'] as const) : []),
            { value: 'words', words: property === 'picture' ? 'one picture' : 'fixed words' },
          ]}
          chosen={kind}
          onChoose={choose}
        />
      </Row>
      {typeof binding === 'string' ? (
        <Row words="">
          <input
            aria-label={`Fixed ${property}`}
            className={inputLook}
            value={binding}
            onChange={(event) => make(edits.bind(place, event.target.value, `words ${place.part}`))}
          />
        </Row>
      ) : (
        <ValueFields selection={selection} place={place} binding={binding} />
      )}
    </>
  );
}

interface ValueFieldsProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Exclude<Binding, string>;
}

function ValueFields({ selection, place, binding }: ValueFieldsProps) {
  const slot = useSession((session) =>
    surveysOf(session)
      .find((survey) => survey.template === place.template)
      ?.slots.find((each) => each.part === place.part && each.property === place.property),
  );
  return (
    <>
      <Row words="">
        {place.property === 'picture' && isPattern(binding) ? (
          <PatternField selection={selection} place={place} binding={binding} />
        ) : (
          <ExpressionInput selection={selection} place={place} binding={binding} />
        )}
      </Row>
      {place.property === 'text' && (
        <FormatField selection={selection} place={place} binding={binding} />
      )}
      <Row words="if missing">
        <input
          aria-label="If missing"
          className={inputLook}
          placeholder="nothing shows"
          value={binding.else ?? ''}
          onChange={(event) =>
            make(standIn(place, binding, event.target.value, `if missing ${place.part}`))
          }
        />
        <p
          className={
            slot !== undefined && slot.missingCount > 0 ? 'text-sm text-madder' : 'text-sm text-ash'
          }
        >
          {missingInWords(slot?.missingCount, binding)}
        </p>
      </Row>
    </>
  );
}

function missingInWords(
  missingCount: number | undefined,
  binding: Exclude<Binding, string>,
): string {
  if (missingCount === undefined) return ' ';
  if (missingCount > 0)
    return `${count(missingCount, 'item')} ${missingCount === 1 ? 'has' : 'have'} no value here`;
  return binding.else === undefined ? 'every item has a value' : 'every item shows something';
}

/** One line: every keystroke that reads is in the rows at once; one that does not says why. */
function ExpressionInput({ selection, place, binding }: ValueFieldsProps) {
  const [text, setText] = useState(binding.expr);
  const [isListed, setListed] = useState(false);
  const [chosen, setChosen] = useState(0);
  const listId = useId();
  const item = useSession((session) => session.atHand?.value);
  const fields = selection.type?.fields ?? [];
  useEffect(() => setText(binding.expr), [binding.expr]);
  const others = othersOf(selection.project);
  const use = binding.format === undefined ? 'text' : 'any';
  const expression = makeExpression(text, fields, use, others);
  const finding = expression.findings[0];
  const offers = isListed ? offersFor(text, fields, item) : [];
  const write = (next: string, isDone: boolean) => {
    setText(next);
    setChosen(0);
    const reads = makeExpression(next, fields, use, others).findings.length === 0;
    if (reads || isDone) make(bindPath(place, next, binding, `expression ${place.part}`));
  };
  const take = (offer: Offer) => {
    write(offer.path, true);
    setListed(false);
  };
  return (
    <div className="relative">
      <input
        role="combobox"
        aria-label={`Value of ${place.property}`}
        aria-expanded={offers.length > 0}
        aria-controls={listId}
        aria-invalid={finding !== undefined}
        aria-autocomplete="list"
        autoComplete="off"
        spellCheck={false}
        className={`${inputLook} font-mono`}
        value={text}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => {
          setListed(true);
          write(event.target.value, false);
        }}
        onBlur={() => {
          setListed(false);
          if (text !== binding.expr) write(text, true);
        }}
        onKeyDown={(event) => {
          const offer = offers[chosen];
          if (event.key === 'ArrowDown') setChosen(Math.min(chosen + 1, offers.length - 1));
          else if (event.key === 'ArrowUp') setChosen(Math.max(chosen - 1, 0));
          else if (event.key === 'Enter' && offer !== undefined) take(offer);
          else if (event.key === 'Escape') setListed(false);
          else return;
          event.preventDefault();
        }}
      />
      <div
        role="listbox"
        aria-label="Values"
        id={listId}
        className="absolute inset-x-0 z-20 rounded-b-md border border-t-0 border-ash bg-paper empty:hidden"
      >
        {offers.map((offer, index) => (
          // biome-ignore lint/a11y/useKeyWithClickEvents: the field above takes the keys
          <div
            key={offer.path}
            role="option"
            tabIndex={-1}
            aria-selected={index === chosen}
            className="flex cursor-default justify-between gap-3 px-2 py-0.5 aria-selected:bg-chosen"
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => take(offer)}
          >
            <code className="font-mono">{offer.path}</code>
            <span className="truncate text-ash">{offer.sample}</span>
          </div>
        ))}
      </div>
      {finding !== undefined && (
        <p className="pt-0.5 text-sm text-madder" role="status">
          {finding.message} <span className="text-ink">{finding.hint}</span>{' '}
          {finding.mend !== undefined && (
            <button
              type="button"
              className="text-woad underline"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => {
                const { from, to, text: mended } = finding.mend ?? { from: 0, to: 0, text: '' };
                write(text.slice(0, from) + mended + text.slice(to), true);
              }}
            >
              {finding.mend.label}
            </button>
          )}
        </p>
      )}
    </div>
  );
}

interface Offer {
  readonly path: string;
  readonly sample: string;
}

const mostOffers = 7;

/** The values whose path holds what was typed, those that begin with it first. */
function offersFor(
  typed: string,
  fields: readonly Field[],
  item: Item | undefined,
): readonly Offer[] {
  const wanted = typed.trim().toLowerCase();
  if (wanted === '' || !/^[\w.$]+$/.test(wanted)) return [];
  return [...showablePaths(fields, [], item, 0)]
    .filter((offer) => offer.path.toLowerCase().includes(wanted) && offer.path !== typed)
    .sort(
      (a, b) =>
        Number(b.path.toLowerCase().startsWith(wanted)) -
        Number(a.path.toLowerCase().startsWith(wanted)),
    )
    .slice(0, mostOffers);
}

function* showablePaths(
  fields: readonly Field[],
  before: readonly string[],
  record: Item | undefined,
  depth: number,
): Generator<Offer, void> {
  for (const field of fields) {
    const path = [...before, field.name];
    const value = record === undefined ? undefined : (ownValue(record, field.name) ?? undefined);
    if (isShowable(field)) yield { path: pathText(path), sample: shown(value) };
    else if (field.type === 'record' && depth < 4) {
      yield* showablePaths(field.fields, path, isRecord(value) ? value : undefined, depth + 1);
    }
  }
}

const firstPath = ({ type }: Selection): string => {
  const first = type?.fields.find(isShowable)?.name;
  return pathText(first === undefined ? [] : [first]);
};
