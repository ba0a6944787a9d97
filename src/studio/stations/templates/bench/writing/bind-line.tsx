import { type ReactNode, useState } from 'react';
import { isRecord, type Json, ownValue } from '../../../../../core/base';
import { environmentOf } from '../../../../../core/project';
import { type Field, makeExpression, pathText, shown } from '../../../../../core/values';
import { TypeMark } from '../../../../shared/controls/typed';
import { useSession } from '../../../../shared/session/session';
import { useTrial } from '../../../../shared/session/trial';
import { shownInstead } from '../../commands/binding';
import { selectNew } from '../../commands/does';
import { fieldsSeen, type Selection } from '../../selection';
import { LineField, type LineOption } from './line-field';
import { endWriting } from './writing';

/**
 * What the selected part shows, as one types on it: the first letters of a value, `=` and an
 * expression, `"` and fixed words. The real rows show it at every letter.
 */
export function BindLine({
  selection: now,
  first,
}: {
  readonly selection: Selection;
  readonly first: string;
}): ReactNode {
  const [selection] = useState(now);
  const item = useSession((session) => session.atHand?.value);
  const trial = useTrial();
  const { part, project } = selection;
  const fields = fieldsSeen(selection, { part: part.id, property: '' });
  const [values] = useState(() => [...valuesIn(fields, [], item ?? {})]);
  const editFor = (key: string) =>
    shownInstead(selection, part, key.startsWith('"') ? key.slice(1) : { expr: key.slice(1) });
  const show = (key: string): string | undefined => {
    const edit = editFor(key);
    return typeof edit === 'string' ? edit : trial.show(edit);
  };
  const options = (text: string): readonly LineOption[] => {
    if (text.startsWith('"')) {
      const words = text.slice(1).replace(/"$/, '');
      return [option(`"${words}`, `“${words}”`, 'fixed words')];
    }
    if (text.startsWith('=')) {
      const expr = text.slice(1).trim();
      const [finding] = makeExpression(expr, fields, 'any', environmentOf(project)).findings;
      return [
        {
          ...option(`=${expr}`, expr === '' ? 'an expression' : expr),
          whyNot: finding?.message,
          ...(finding !== undefined && { hint: finding.message }),
        },
      ];
    }
    const wish = text.trim().toLowerCase();
    const begins = values.filter(({ words }) => stepsBegin(words, wish));
    const holds = values.filter(
      ({ words }) => !stepsBegin(words, wish) && words.toLowerCase().includes(wish),
    );
    return [...begins, ...holds].slice(0, maxOptions).map(({ path, words, value, field }) => ({
      ...option(`=${pathText(path)}`, words, value),
      sign: <TypeMark type={field} />,
    }));
  };
  return (
    <LineField
      label={`What ${part.id} shows`}
      first={first}
      placeholder="a value, = or &quot;"
      none="No value begins so."
      options={options}
      onLook={(key) => {
        if (key === undefined || show(key) !== undefined) trial.show(undefined);
      }}
      onTake={(key) => {
        if (show(key) !== undefined) return;
        trial.take();
        selectNew(selection.template);
        endWriting();
      }}
      onLeave={endWriting}
    />
  );
}

const maxOptions = 12;

const option = (key: string, words: string, hint?: string): LineOption => ({
  key,
  words,
  ...(hint !== undefined && { hint }),
});

/** Whether a path, or one of the names in it, begins so. */
const stepsBegin = (words: string, wish: string): boolean =>
  [words, ...words.split(' › ')].some((step) => step.toLowerCase().startsWith(wish));

interface ValueAt {
  readonly path: readonly string[];
  readonly words: string;
  readonly value: string;
  readonly field: Field;
}

/** All values that can be shown, those in records too, as the item at hand has them. */
function* valuesIn(
  fields: readonly Field[],
  before: readonly string[],
  item: Json,
): Generator<ValueAt> {
  for (const field of fields) {
    const path = [...before, field.name];
    const value = isRecord(item) ? ownValue(item, field.name) : undefined;
    if (field.type === 'record') yield* valuesIn(field.fields, path, value ?? null);
    else
      yield {
        path,
        words: path.join(' › '),
        value: shown(value ?? undefined).replace(/^"|"$/g, ''),
        field,
      };
  }
}
