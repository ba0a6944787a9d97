import { useEffect, useMemo, useState } from 'react';
import { othersOf } from '../../../core/project';
import type { Binding } from '../../../core/templates';
import { makeExpression, pathAt } from '../../../core/values';
import { make } from '../../shared/editing';
import { ExpressionEditor } from '../../shared/expression/expression-editor';
import { FindingLine } from '../../shared/expression/finding-line';
import { RenameHere } from '../../shared/expression/rename-here';
import { SpreadLine } from '../../shared/expression/spread-line';
import { useSession } from '../../shared/session';
import { bindPath, type Place } from './binding-edits';
import type { Selection } from './selection';
import { useSpanShown } from './span-shown';
import { useEnds } from './use-ends';
import { useWritten, writtenText } from './use-written';

interface ExpressionInputProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Exclude<Binding, string>;
}

/** Every keystroke that reads is in the rows at once; one that does not says why. */
export function ExpressionInput({ selection, place, binding }: ExpressionInputProps) {
  const { project, type } = selection;
  const [text, setText] = useState(binding.expr);
  const [renaming, setRenaming] = useState<readonly string[]>();
  const item = useSession((session) => session.atHand?.value);
  const fields = type?.fields ?? [];
  useEffect(() => setText(binding.expr), [binding.expr]);
  const others = useMemo(() => othersOf(project), [project]);
  const use = binding.format === undefined ? 'text' : 'any';
  const { findings } = useMemo(
    () => makeExpression(text, fields, use, others),
    [text, fields, use, others],
  );
  const write = (next: string, isDone: boolean) => {
    setText(next);
    const reads = makeExpression(next, fields, use, others).findings.length === 0;
    if (reads || isDone) make(bindPath(place, next, binding, `expression ${place.part}`));
  };
  const [finding] = findings;
  const selected = useSpanShown(({ place: own, span }) =>
    own?.template === place.template && own.part === place.part && own.property === place.property
      ? span
      : undefined,
  );
  return (
    <>
      <ExpressionEditor
        label={`Value of ${place.property}`}
        text={text}
        world={{ fields, others, item }}
        findings={findings}
        onChange={(next) => write(next, false)}
        onLeave={() => text !== binding.expr && write(text, true)}
        onRename={(offset) => setRenaming(pathAt(text, offset))}
        selected={selected}
      />
      {finding === undefined ? (
        place.property === 'text' && <Results {...{ selection, place, binding }} expr={text} />
      ) : (
        <FindingLine finding={finding} text={text} onMend={(next) => write(next, true)} />
      )}
      {renaming !== undefined && type !== undefined && (
        <RenameHere type={type} path={renaming} onDone={() => setRenaming(undefined)} />
      )}
    </>
  );
}

/** What it gives for the item at hand and over all items of the type, as one types. */
function Results({ selection, place, binding, expr }: ExpressionInputProps & { expr: string }) {
  const locale = useSession((session) => session.locale) ?? selection.project.locales?.[0] ?? 'en';
  const { spread, items } = useEnds(selection, expr);
  const own = (selection.project.formats ?? []).find((format) => format.id === binding.format);
  const [written] = useWritten({
    template: place.template,
    expr,
    formats: [own],
    locales: [locale],
    items,
  });
  const [shownHere, smallest, largest] = written?.[0] ?? [];
  const isMissing = shownHere !== undefined && 'why' in shownHere;
  return (
    <div className="pt-0.5">
      <p className="truncate text-sm text-ash">
        here{' '}
        <span className={isMissing ? 'text-madder' : 'text-ink'}>{writtenText(shownHere)}</span>
      </p>
      {spread !== undefined && (
        <SpreadLine
          spread={spread}
          words={(end) => writtenText(end === 'smallest' ? smallest : largest)}
        />
      )}
    </div>
  );
}
