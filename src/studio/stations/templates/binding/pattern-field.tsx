import { picturesHave } from '../../../../core/pictures';
import type { Binding } from '../../../../core/templates';
import { makeExpression, plainText } from '../../../../core/values';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';
import { fieldsSeen, type Selection } from '../selection';
import { bindPath, type Place } from './binding-edits';

type Bound = Exclude<Binding, string>;

/** A pattern is a text with values inside: an expression that is one template literal. */
export const isPattern = ({ expr }: Bound): boolean => /^`[^`]*`$/.test(expr.trim());

interface PatternFieldProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Bound;
}

/** The pattern without its quotes, and the name that the item at hand makes of it. */
export function PatternField({ selection, place, binding }: PatternFieldProps) {
  const item = useSession((session) => session.atHand?.value);
  const words = binding.expr.trim().slice(1, -1);
  const { evaluate, findings } = makeExpression(binding.expr, fieldsSeen(selection, place), 'text');
  const name = item === undefined ? undefined : plainText(evaluate?.(item));
  const isThere = name !== undefined && picturesHave(selection.project.pictures)(name);
  return (
    <>
      <input
        aria-label="Pattern of the picture’s name"
        spellCheck={false}
        placeholder="skein-${fibre}"
        className="h-7 w-full rounded-md border border-rule bg-paper px-2 font-mono focus:border-woad"
        value={words}
        onChange={(event) => {
          const expr = `\`${event.target.value.replaceAll('`', '')}\``;
          make(bindPath(place, expr, binding, `pattern ${place.part}`));
        }}
      />
      {findings[0] !== undefined ? (
        <p className="text-sm text-madder">
          {findings[0].message} <span className="text-ink">{findings[0].hint}</span>
        </p>
      ) : (
        <p className={isThere ? 'text-sm text-ash' : 'text-sm text-madder'}>
          {name === undefined ? 'no name for this item' : `here ${name}`}
          {name !== undefined && !isThere && ', which is no picture of the project'}
        </p>
      )}
    </>
  );
}
