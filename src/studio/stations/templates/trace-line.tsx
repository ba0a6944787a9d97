import { Fragment, useState } from 'react';
import { isBound, kindOfPart, propertyOf, slotsOf } from '../../../core/templates';
import type { NearestValue, Span } from '../../../core/values';
import type { Trace } from '../../../engine';
import { make } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import { engine, surveysOf, useKept } from '../../shared/session/session';
import { useAnswer } from '../../shared/session/use-answer';
import { useBenchItem } from './bench/bench-item';
import { bindPath } from './binding/binding-edits';
import type { Selection } from './selection';
import { showSpan } from './span-shown';

/** How the selected part's value came about for the item at hand, step by step. Always there. */
export function TraceLine({ selection }: { readonly selection: Selection }) {
  const { template, part } = selection;
  const item = useBenchItem(template);
  const [wish, setWish] = useState<string>();
  const others = slotsOf(part).filter(
    (slot) => slot.part === part.id && slot.property !== kindOfPart(part).shows,
  );
  const other = others.find((slot) => slot.property === wish);
  const property = other?.property ?? kindOfPart(part).shows ?? '';
  const place = { template: template.id, part: part.id, property };
  const trace = useAnswer({ place, item }, (asked) => engine().trace(asked.place, asked.item));
  return (
    <section
      aria-label="Trace"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
      tabIndex={0}
      className="col-span-2 flex items-center gap-1.5 overflow-x-auto max-[1000px]:col-span-1 overflow-y-hidden border-t border-rule bg-paper px-3 text-sm whitespace-nowrap"
    >
      <span className="shrink-0 text-ash">{part.id} of this item</span>
      {others.map((slot) => (
        <button
          key={slot.property}
          type="button"
          className="shrink-0 rounded-full border border-rule px-2 hover:border-ash aria-pressed:bg-ink aria-pressed:text-paper"
          aria-pressed={slot === other}
          onClick={() => setWish(slot === other ? undefined : slot.property)}
        >
          its {slot.declared.words}
        </button>
      ))}
      {trace === undefined ? (
        <span className="text-ash">{part.part === 'stack' ? 'shows nothing of its own' : ''}</span>
      ) : (
        <Steps
          trace={trace}
          onStep={(step) => showSpan({ template: template.id, part: part.id, property }, step)}
        />
      )}
      {trace?.nearest !== undefined && (
        <Nearest nearest={trace.nearest} {...{ selection, property }} />
      )}
    </section>
  );
}

interface StepsProps {
  readonly trace: Trace;
  readonly onStep: (step: Span) => void;
}

function Steps({ trace, onStep }: StepsProps) {
  return (
    <>
      <span className="flex shrink-0 items-center gap-1.5">
        <Step words="item" onPress={() => goWithin({ station: 'data' })} />
        <StepList steps={trace.steps} onStep={onStep} />
        {trace.missing !== undefined && (
          <span className="shrink-0 text-madder">{trace.missing}</span>
        )}
        {trace.instead !== undefined && (
          <>
            <Arrow />
            <Step words="if missing" />
            <StepList steps={trace.instead} />
          </>
        )}
      </span>
      <Arrow />
      {trace.text === undefined ? (
        <b className="rounded-sm border border-dashed border-madder px-1.5 text-madder">
          nothing shows
        </b>
      ) : (
        <b className="max-w-96 shrink-0 truncate rounded-sm bg-chosen px-1.5" title={trace.text}>
          {trace.text}
        </b>
      )}
    </>
  );
}

interface StepListProps {
  readonly steps: Trace['steps'];
  readonly onStep?: (step: Span) => void;
}

const StepList = ({ steps, onStep }: StepListProps) =>
  steps.map((step) => (
    <Fragment key={`${step.from}-${step.to}-${step.label}`}>
      <Arrow />
      <Step
        words={step.label}
        value={step.shown}
        state={step.isUnread ? 'unread' : step.missing === undefined ? 'there' : 'missing'}
        {...(onStep !== undefined && { onPress: () => onStep(step) })}
      />
    </Fragment>
  ));

interface NearestProps {
  readonly nearest: NearestValue;
  readonly selection: Selection;
  readonly property: string;
}

/** The nearest path that has a value: instead of one that never has, else where it has none. */
function Nearest({ nearest, selection, property }: NearestProps) {
  const { template, part } = selection;
  const isAlwaysMissing = useKept((session) => {
    const survey = surveysOf(session).find((each) => each.template === template.id);
    const slot = survey?.slots.find((each) => each.part === part.id && each.property === property);
    return slot !== undefined && slot.missingCount === survey?.itemCount;
  });
  const binding = propertyOf(part, property);
  if (!isBound(binding)) return null;
  const place = { template: template.id, part: part.id, property };
  const expr = isAlwaysMissing ? nearest.replaced : nearest.besides;
  return (
    <button
      type="button"
      className="max-w-64 shrink-0 truncate rounded-sm border border-woad px-1.5 text-woad hover:bg-chosen"
      title={`Write ${expr}`}
      onClick={() => make(bindPath(place, expr, binding))}
    >
      {isAlwaysMissing ? 'read' : 'or'} {nearest.expr}{' '}
      <code className="font-mono text-ash">{nearest.shown}</code>
    </button>
  );
}

const Arrow = () => (
  <span aria-hidden="true" className="text-ash">
    ›
  </span>
);

const stepLooks = {
  there: 'border-rule bg-wool',
  missing: 'border-dashed border-madder text-madder',
  unread: 'border-dotted border-weld bg-wool text-weld',
} as const;

interface StepProps {
  readonly words: string;
  readonly value?: string;
  readonly state?: keyof typeof stepLooks;
  /** Shows where the step stands. */
  readonly onPress?: () => void;
}

function Step({ words, value, state = 'there', onPress }: StepProps) {
  const look = `max-w-56 shrink-0 truncate rounded-sm border px-1.5 ${stepLooks[state]}`;
  const inner = (
    <>
      {words} {value !== undefined && <code className="font-mono text-ash">{value}</code>}
    </>
  );
  return onPress === undefined ? (
    <span className={look}>{inner}</span>
  ) : (
    <button type="button" className={`${look} hover:border-ash`} onClick={onPress}>
      {inner}
    </button>
  );
}
