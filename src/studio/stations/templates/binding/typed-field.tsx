import { type Constant, isBound, type Property, propertyOf } from '../../../../core/templates';
import { Row } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { LabelLine } from '../room/label-line';
import type { Selection } from '../selection';
import { setAll } from './binding-edits';
import { ConstantInput, Differs, NoProperty } from './constant-field';
import { ExpressionInput } from './expression-input';
import { LooseEnd } from './loose-end';

interface TypedFieldProps {
  readonly selection: Selection;
  readonly name: string;
  readonly property: Property;
}

/** A property that is the same for all items, or follows from a value of each. */
export function TypedField({ selection, name, property }: TypedFieldProps) {
  const { template, part } = selection;
  const place = { template: template.id, part: part.id, property: name };
  const value = propertyOf(part, name);
  const isByValue = isBound(value);
  const turn = () => {
    if (isByValue) make(setAll(selection, name, property.default));
    else make(setAll(selection, name, { expr: exprOf(value, property.default) }));
  };
  return (
    <>
      <Row
        words={
          <>
            <LooseEnd
              {...{ selection, place }}
              words={property.words}
              binding={isByValue ? value : undefined}
            />
            <Differs {...{ selection, name }} />
          </>
        }
      >
        <span className="flex items-start gap-1.5">
          {!isByValue && (
            <span className="min-w-0 flex-1">
              <ConstantInput {...{ selection, name, property }} />
            </span>
          )}
          <button
            type="button"
            aria-label={`${property.words} by value`}
            aria-pressed={isByValue}
            title={isByValue ? 'The same for all items' : 'From a value of each item'}
            className="ms-auto grid size-6 shrink-0 place-items-center rounded-full border border-rule bg-paper text-sm text-ash hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
            onClick={turn}
          >
            =
          </button>
          <NoProperty {...{ selection, name, property }} />
        </span>
        {property.kind === 'lines' && <LabelLine selection={selection} />}
      </Row>
      {isByValue && (
        <div className="pb-1">
          <ExpressionInput {...{ selection, place, declared: property }} binding={value} />
        </div>
      )}
    </>
  );
}

/** What is said now as an expression to begin with; a share is none, so it begins with the default. */
function exprOf(said: Constant | undefined, otherwise: Constant | undefined): string {
  for (const each of [said, otherwise]) {
    if (typeof each === 'object' && 'fixed' in each) return String(each.fixed);
    if (each !== undefined && typeof each !== 'object') return JSON.stringify(each);
  }
  return 'null';
}
