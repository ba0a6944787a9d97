import { useEffect, useMemo, useState } from 'react';
import { count } from '../../../../core/base';
import { environmentOf } from '../../../../core/project';
import { type Bound, isShownBy } from '../../../../core/templates';
import { makeExpression } from '../../../../core/values';
import { MenuButton, Row } from '../../../shared/controls/controls';
import { ExpressionEditor } from '../../../shared/expression/expression-editor';
import { FindingLine } from '../../../shared/expression/finding-line';
import { make } from '../../../shared/session/editing';
import { surveysOf, useKept, useSession } from '../../../shared/session/session';
import { fieldsSeen, type Selection } from '../selection';
import { emptyIsMissing, type Place, standIn } from './binding-edits';

interface StandInFieldProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Bound;
}

const kinds = { words: 'words', value: 'another value', leaves: 'the part leaves' } as const;

/** What shows where there is no value, and for how many items that is. */
export function StandInField({ selection, place, binding }: StandInFieldProps) {
  const { else: own, emptyIsMissing: isEmptyMissing = false } = binding;
  const kind = own === null ? 'leaves' : typeof own === 'object' ? 'value' : 'words';
  // Without what it shows a part may leave, not without what it is read aloud as, or leads to.
  const isOffered = kind === 'leaves' || isShownBy(selection.part, place.property);
  const choose = (next: keyof typeof kinds) => {
    if (next === kind) return;
    const instead = { words: undefined, value: { expr: '""' }, leaves: null }[next];
    make(standIn(place, binding, instead));
  };
  return (
    <Row words="if missing">
      <span className="flex items-start gap-1.5">
        {kind === 'words' && (
          <input
            aria-label="If missing"
            className="h-7 min-w-0 flex-1 rounded-md border border-rule bg-paper px-2 focus:border-woad"
            placeholder="nothing shows"
            value={typeof own === 'string' ? own : ''}
            onChange={({ target }) => {
              const words = target.value === '' ? undefined : target.value;
              make(standIn(place, binding, words, `if missing ${place.part} ${place.property}`));
            }}
          />
        )}
        {typeof own === 'object' && own !== null && (
          <StandInExpression {...{ selection, place, binding }} expr={own.expr} />
        )}
        <MenuButton
          label="What stands in"
          words={kinds[kind]}
          entries={[
            ...(['words', 'value', ...(isOffered ? ['leaves' as const] : [])] as const).map(
              (each) => ({
                words: kinds[each],
                isChosen: each === kind,
                onChoose: () => choose(each),
              }),
            ),
            {
              words: isEmptyMissing
                ? 'an empty text shows as it is'
                : 'an empty text is missing, too',
              onChoose: () => make(emptyIsMissing(place, binding, !isEmptyMissing)),
            },
          ]}
        />
      </span>
      {isEmptyMissing && <p className="text-sm text-ash">also where the text is empty</p>}
      <MissingCount {...{ selection, place, binding }} />
    </Row>
  );
}

function StandInExpression({
  selection,
  place,
  binding,
  expr,
}: StandInFieldProps & { readonly expr: string }) {
  const { project } = selection;
  const [text, setText] = useState(expr);
  useEffect(() => setText(expr), [expr]);
  const item = useSession((session) => session.atHand?.value);
  const fields = fieldsSeen(selection, place);
  const environment = useMemo(() => environmentOf(project), [project]);
  const use = binding.format === undefined ? 'text' : 'any';
  const { findings } = makeExpression(text, fields, use, environment);
  const write = (next: string, isDone: boolean) => {
    setText(next);
    if (makeExpression(next, fields, use, environment).findings.length === 0 || isDone)
      make(standIn(place, binding, { expr: next }, `if missing ${place.part} ${place.property}`));
  };
  const [finding] = findings;
  return (
    <div className="min-w-0 flex-1">
      <ExpressionEditor
        label="Value if missing"
        text={text}
        world={{ fields, environment, item }}
        findings={findings}
        onChange={(next) => write(next, false)}
        onLeave={() => text !== expr && write(text, true)}
        onRename={() => {}}
      />
      {finding !== undefined && (
        <FindingLine finding={finding} text={text} onMend={(next) => write(next, true)} />
      )}
    </div>
  );
}

function MissingCount({ selection, place, binding }: StandInFieldProps) {
  const slot = useKept((session) =>
    surveysOf(session)
      .find((survey) => survey.template === place.template)
      ?.slots.find((each) => each.part === place.part && each.property === place.property),
  );
  const { project } = selection;
  const fields = fieldsSeen(selection, place);
  const mayBeMissing = useMemo(() => {
    const environment = environmentOf(project);
    return makeExpression(binding.expr, fields, 'any', environment).checked?.mayBeMissing;
  }, [project, fields, binding.expr]);
  const missing = slot?.missingCount ?? 0;
  return (
    <p className={missing > 0 ? 'text-sm text-madder' : 'text-sm text-ash'}>
      {slot === undefined ? '\u00a0' : missingInWords(missing, binding, mayBeMissing ?? true)}
    </p>
  );
}

function missingInWords(missing: number, binding: Bound, mayBeMissing: boolean): string {
  if (missing > 0) {
    const items = `${count(missing, 'item')} ${missing === 1 ? 'has' : 'have'} no value here`;
    return binding.else === undefined ? `${items}: what shows there?` : items;
  }
  if (binding.else !== undefined) return 'every item shows something';
  return mayBeMissing ? 'it may be missing; every item has a value now' : 'every item has a value';
}
