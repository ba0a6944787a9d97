import X from 'lucide-react/icons/x';
import { edits } from '../../../../core/project';
import { isBound, type Property, propertyOf } from '../../../../core/templates';
import { Button, ChoiceChips, Row } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import type { Selection } from '../selection';
import { ConstantInput } from './constant-field';
import { ExpressionInput } from './expression-input';

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
  const choose = (next: 'fixed' | 'by value') => {
    if (next === 'fixed') make(edits.set(place, property.default));
    else make(edits.bind(place, { expr: JSON.stringify(property.default ?? null) }));
  };
  return (
    <Row words={property.words}>
      <span className="flex flex-wrap items-center gap-1.5">
        <ChoiceChips
          label={`What ${property.words} comes from`}
          options={['fixed', 'by value']}
          chosen={isBound(value) ? 'by value' : 'fixed'}
          onChoose={(next) => (next === 'by value') !== isBound(value) && choose(next)}
        />
        {!isBound(value) && <ConstantInput {...{ selection, name, property }} />}
        {!property.isRequired && value !== undefined && (
          <Button label={`No ${property.words}`} onPress={() => make(edits.set(place, undefined))}>
            <X size={14} aria-hidden="true" />
          </Button>
        )}
      </span>
      {isBound(value) && (
        <div className="pt-1">
          <ExpressionInput {...{ selection, place, declared: property }} binding={value} />
        </div>
      )}
    </Row>
  );
}
