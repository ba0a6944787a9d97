import type { ReactNode } from 'react';
import type { Binding } from '../../../../core/templates';
import { makeExpression, pathText, type ValueType } from '../../../../core/values';
import { markOf } from '../../../shared/controls/typed';
import { takeValues } from '../bench/dragging/takers';
import { fieldsSeen, type Selection } from '../selection';
import { bindPath, type Place } from './binding-edits';

interface LooseEndProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly words: string;
  /** Undefined: it is the same for all items. */
  readonly binding: Binding | undefined;
}

/** The name of a property that may be bound, with its end in the margin: a value dropped there binds it. */
export function LooseEnd({ selection, place, words, binding = '' }: LooseEndProps): ReactNode {
  const type = typeof binding === 'string' ? undefined : typeOf(selection, place, binding.expr);
  return (
    <span
      className="-ms-3 flex items-baseline gap-[3px] rounded-sm"
      ref={(element) =>
        takeValues(element, {
          words: `→ ${words} of ${place.part}`,
          edit: (path) => bindPath(place, pathText(path), binding),
        })
      }
    >
      <End type={type} />
      {words}
    </span>
  );
}

function typeOf(selection: Selection, place: Place, expr: string): ValueType {
  const type = makeExpression(expr, fieldsSeen(selection, place)).checked?.type;
  return type === undefined || type.type === 'either' ? { type: 'unknown' } : type;
}

/** Open where nothing is bound; else in the colour and the pattern of the thread that comes in. */
function End({ type }: { readonly type: ValueType | undefined }) {
  const { colour, dash } = markOf(type ?? { type: 'unknown' });
  return (
    <svg width="9" height="9" viewBox="0 0 9 9" className="shrink-0" aria-hidden="true">
      <circle
        cx="4.5"
        cy="4.5"
        r="3.2"
        fill={type === undefined ? 'none' : colour}
        stroke={type === undefined ? 'var(--ash)' : colour}
        strokeWidth="1.4"
        strokeDasharray={type === undefined ? undefined : dash?.split(' ').slice(0, 2).join(' ')}
      />
    </svg>
  );
}
