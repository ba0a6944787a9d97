import { lazy, Suspense, useState } from 'react';
import { count } from '../../../core/base';
import { edits } from '../../../core/project';
import type { Binding, SlotProperty } from '../../../core/templates';
import { isShowable, pathText } from '../../../core/values';
import { ChoiceChips, Row } from '../../shared/controls';
import { make } from '../../shared/editing';
import { surveysOf, useSession } from '../../shared/session';
import { bindPath, type Place, standIn } from './binding-edits';
import { ExpressionInput } from './expression-input';
import { isPattern, PatternField } from './pattern-field';
import type { Selection } from './selection';

const FormatField = lazy(() => import('./format-field'));
const ByExample = lazy(() => import('./by-example'));

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
  const [isByExample, setByExample] = useState(false);
  const now = typeof binding === 'string' ? 'words' : isOfPattern ? 'pattern' : 'value';
  const kind = isByExample ? 'example' : now;
  const choose = (next: typeof kind) => {
    setByExample(next === 'example');
    if (next === now || next === 'example') return;
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
            ...(property === 'picture'
              ? (['pattern'] as const)
              : [{ value: 'example', words: 'by example' } as const]),
            { value: 'words', words: property === 'picture' ? 'one picture' : 'fixed words' },
          ]}
          chosen={kind}
          onChoose={choose}
        />
      </Row>
      {isByExample ? (
        <Suspense fallback={null}>
          <ByExample {...{ selection, place }} onDone={() => setByExample(false)} />
        </Suspense>
      ) : typeof binding === 'string' ? (
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
        <Suspense fallback={<Row words="format"> </Row>}>
          <FormatField selection={selection} place={place} binding={binding} />
        </Suspense>
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

const firstPath = ({ type }: Selection): string => {
  const first = type?.fields.find(isShowable)?.name;
  return pathText(first === undefined ? [] : [first]);
};
