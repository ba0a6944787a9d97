import { Suspense, useState } from 'react';
import { edits } from '../../../../core/project';
import type { Binding, Property } from '../../../../core/templates';
import { isShowable, pathText } from '../../../../core/values';
import { ChoiceChips, Row } from '../../../shared/controls/controls';
import { onDemand } from '../../../shared/controls/on-demand';
import { make } from '../../../shared/session/editing';
import { fieldsSeen, type Selection } from '../selection';
import { bindPath, follows, type Place } from './binding-edits';
import { ExpressionInput } from './expression-input';
import { LooseEnd } from './loose-end';
import { isPattern, PatternField } from './pattern-field';
import { StandInField } from './stand-in-field';

const FormatField = onDemand(() => import('../format/format-field'));
const ByExample = onDemand(() => import('./by-example'));
const PictureField = onDemand(() => import('./picture-field'));

interface BindingFieldProps {
  readonly selection: Selection;
  readonly property: string;
  readonly declared: Property;
  readonly binding: Binding;
}

const inputLook = 'h-7 w-full rounded-md border border-rule bg-paper px-2 focus:border-woad';

/** What feeds a property: a value found by its first letters, an expression, or fixed words. */
export function BindingField({ selection, property, declared, binding }: BindingFieldProps) {
  const place = { template: selection.template.id, part: selection.part.id, property };
  const { kind: takes } = declared;
  const isOfPattern = takes === 'picture' && typeof binding !== 'string' && isPattern(binding);
  const [isByExample, setByExample] = useState(false);
  const now = typeof binding === 'string' ? 'words' : isOfPattern ? 'pattern' : 'value';
  const kind = isByExample ? 'example' : now;
  const choose = (next: typeof kind) => {
    setByExample(next === 'example');
    if (next === now || next === 'example') return;
    const path = kind === 'value' && typeof binding !== 'string' ? binding.expr : undefined;
    const value = path ?? firstPath(selection, place);
    if (next === 'words') make(edits.bind(place, typeof binding === 'string' ? '' : binding.expr));
    else make(bindPath(place, next === 'value' ? value : `\`\${${value}}\``, binding));
  };
  return (
    <>
      <Row words={<LooseEnd {...{ selection, place, binding }} words={declared.words} />}>
        <ChoiceChips
          label={`What ${property} comes from`}
          options={[
            'value',
            ...(takes === 'picture'
              ? (['pattern'] as const)
              : takes === 'text' && selection.type?.fields === fieldsSeen(selection, place)
                ? ([{ value: 'example', words: 'by example' }] as const)
                : []),
            takes === 'picture'
              ? { value: 'words', words: 'one picture' }
              : { value: 'words', words: 'fixed words', picture: 'words' },
          ]}
          chosen={kind}
          onChoose={choose}
        />
      </Row>
      {isByExample ? (
        <Suspense fallback={null}>
          <ByExample {...{ selection, place }} onDone={() => setByExample(false)} />
        </Suspense>
      ) : typeof binding === 'string' && takes === 'picture' ? (
        <Row words="">
          <Suspense fallback={null}>
            <PictureField {...{ selection, place, binding }} />
          </Suspense>
        </Row>
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
        <ValueFields {...{ selection, place, declared, binding }} />
      )}
    </>
  );
}

interface ValueFieldsProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly declared: Property;
  readonly binding: Exclude<Binding, string>;
}

function ValueFields({ selection, place, declared, binding }: ValueFieldsProps) {
  return (
    <>
      <Row words="">
        {declared.kind === 'picture' && isPattern(binding) ? (
          <PatternField selection={selection} place={place} binding={binding} />
        ) : (
          <ExpressionInput {...{ selection, place, declared, binding }} />
        )}
      </Row>
      {declared.kind !== 'address' && (
        <Suspense fallback={<Row words="format"> </Row>}>
          <FormatField selection={selection} place={place} binding={binding} />
        </Suspense>
      )}
      <StandInField selection={selection} place={place} binding={binding} />
      {declared.kind === 'text' && (
        <Row words="follows">
          <ChoiceChips
            label="Whether it follows changes"
            options={[
              { value: 'live', words: 'live' },
              { value: 'once', words: 'once, as first shown', picture: 'once' },
            ]}
            chosen={binding.once ? 'once' : 'live'}
            onChoose={(how) => make(follows(place, binding, how))}
          />
        </Row>
      )}
    </>
  );
}

const firstPath = (selection: Selection, place: Place): string => {
  const first = fieldsSeen(selection, place).find(isShowable)?.name;
  return pathText(first === undefined ? [] : [first]);
};
