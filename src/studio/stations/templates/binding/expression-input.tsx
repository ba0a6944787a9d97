import { Suspense, useEffect, useMemo, useState } from 'react';
import { environmentOf, scopeFor } from '../../../../core/project';
import { type Bound, checkSlot, isContent, type Property } from '../../../../core/templates';
import {
  casesIn,
  constantsLikeHoles,
  type Environment,
  type Field,
  itemAlone,
  leftSeparators,
  makeExpression,
  pathAt,
} from '../../../../core/values';
import { Button } from '../../../shared/controls/controls';
import { onDemand } from '../../../shared/controls/on-demand';
import { ExpressionEditor } from '../../../shared/expression/expression-editor';
import { FindingLine } from '../../../shared/expression/finding-line';
import { ReadsBetter } from '../../../shared/expression/reads-better';
import { RenameHere } from '../../../shared/expression/rename-here';
import { SpreadLine } from '../../../shared/expression/spread-line';
import { make } from '../../../shared/session/editing';
import { useLocale } from '../../../shared/session/locale';
import { useSession } from '../../../shared/session/session';
import { fieldsSeen, type Selection } from '../selection';
import { useSpanShown } from '../span-shown';
import { bindPath, type Place } from './binding-edits';
import { useEnds } from './use-ends';
import { useWritten, writtenText } from './use-written';

const CasesTable = onDemand(() => import('./cases-table'));

interface ExpressionInputProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Bound;
  readonly declared: Property;
}

/** Every keystroke that reads is in the rows at once; one that does not says why. */
export function ExpressionInput({ selection, place, binding, declared }: ExpressionInputProps) {
  const { project, template, type } = selection;
  const [text, setText] = useState(binding.expr);
  // What is being typed stays as it is typed; what stands there is a table if it can be.
  const [isAsText, setAsText] = useState(() => casesIn(binding.expr) === undefined);
  const [renaming, setRenaming] = useState<readonly string[]>();
  const item = useSession((session) => session.atHand?.value);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what repeats the part is in its template
  const fields = useMemo(
    () => fieldsSeen(selection, place),
    [template.row, place.part, place.property, type],
  );
  const isOfElement = type !== undefined && fields !== type.fields;
  useEffect(() => setText(binding.expr), [binding.expr]);
  const environment = useMemo(() => environmentOf(project), [project]);
  const use = isContent(declared) && binding.format === undefined ? 'text' : 'any';
  const findingsOf = (expr: string) =>
    isContent(declared)
      ? makeExpression(expr, fields, use, environment).findings
      : checkSlot({ expr }, declared, {
          ...scopeFor(project, template.type, () => undefined, 'en'),
          fields,
        });
  // biome-ignore lint/correctness/useExhaustiveDependencies: what it is read with follows from these
  const findings = useMemo(
    () => findingsOf(text),
    [text, fields, declared, use, environment, project],
  );
  const write = (next: string, isDone: boolean) => {
    setText(next);
    if (findingsOf(next).length === 0 || isDone)
      make(bindPath(place, next, binding, `expression ${place.part}`));
  };
  const [finding] = findings;
  const isRight = findings.length === 0 && isContent(declared);
  const odd = useMemo(
    () => (isRight ? oddIn(text, fields, environment) : undefined),
    [isRight, text, fields, environment],
  );
  const cases = findings.length === 0 ? casesIn(text) : undefined;
  const selected = useSpanShown(({ place: own, span }) =>
    own?.template === place.template && own.part === place.part && own.property === place.property
      ? span
      : undefined,
  );
  if (cases !== undefined && !isAsText && selected === undefined)
    return (
      <>
        <Suspense fallback={null}>
          <CasesTable
            {...{ selection, declared, fields, environment, cases }}
            isCounted={!isOfElement}
            onChange={(next) => write(next, true)}
          />
        </Suspense>
        <Button onPress={() => setAsText(true)}>As text</Button>
      </>
    );
  return (
    <>
      <ExpressionEditor
        label={`Value of ${place.property}`}
        text={text}
        world={{ fields, environment, item }}
        findings={findings}
        onChange={(next) => write(next, false)}
        onLeave={() => text !== binding.expr && write(text, true)}
        onRename={(offset) => setRenaming(pathAt(text, offset))}
        selected={selected}
      />
      {finding === undefined ? (
        !isOfElement &&
        (declared.kind === 'text' || !isContent(declared)) && (
          <Results {...{ selection, place, binding }} expr={text} />
        )
      ) : (
        <FindingLine finding={finding} text={text} onMend={(next) => write(next, true)} />
      )}
      {type !== undefined && !isOfElement && <ReadsBetter type={type} text={text} />}
      {odd !== undefined && (
        <FindingLine finding={odd} text={text} onMend={(next) => write(next, true)} />
      )}
      {cases !== undefined && isAsText && (
        <Button onPress={() => setAsText(false)}>As a table</Button>
      )}
      {renaming !== undefined && type !== undefined && (
        <RenameHere type={type} path={renaming} onDone={() => setRenaming(undefined)} />
      )}
    </>
  );
}

/** What is probably not meant in an expression that can be evaluated. */
function oddIn(text: string, fields: readonly Field[], environment: Environment) {
  const { checked } = makeExpression(text, fields, 'text', environment);
  const [odd] = [...itemAlone(text, fields), ...constantsLikeHoles(text, fields, environment)];
  return odd ?? (checked && leftSeparators(checked, text)[0]);
}

interface ResultsProps extends Omit<ExpressionInputProps, 'declared'> {
  readonly expr: string;
}

/** What it gives for the item at hand and over all items of the type, as one types. */
function Results({ selection, place, binding, expr }: ResultsProps) {
  const locale = useLocale();
  const { spread, items } = useEnds(selection, expr);
  const own = (selection.project.formats ?? []).find((format) => format.id === binding.format);
  const [written] = useWritten({
    place,
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
