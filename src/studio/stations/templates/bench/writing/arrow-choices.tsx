import { type KeyboardEvent, useLayoutEffect, useRef, useState } from 'react';
import { ownValue } from '../../../../../core/base';
import type { Edit } from '../../../../../core/project';
import { useTrial } from '../../../../shared/session/trial';
import { selectNew } from '../../commands/does';
import type { Selection } from '../../selection';
import { endWriting } from './writing';

/** One of a few things that can be done, each with the key that goes to it. */
export interface ArrowChoice {
  readonly words: string;
  readonly key: string;
  /** A text: why it can't be. */
  readonly edit: Edit | string;
}

interface ArrowChoicesProps {
  readonly selection: Selection;
  readonly words: string;
  readonly choices: readonly ArrowChoice[];
}

/** By arrows and Enter, or by a press: the real rows show what the one in question would do. */
export function ArrowChoices({ words, ...now }: ArrowChoicesProps) {
  // What is tried is not what it is tried on.
  const [{ selection, choices }] = useState(now);
  const [at, setAt] = useState(0);
  const group = useRef<HTMLFieldSetElement>(null);
  const trial = useTrial();
  const look = ({ edit }: ArrowChoice) => trial.show(typeof edit === 'string' ? undefined : edit);
  // At once: who types on does not wait for the next frame.
  useLayoutEffect(() => group.current?.querySelectorAll('button')[at]?.focus(), [at]);
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    const byKey = choices.findIndex(({ key }) => key === event.key);
    if (byKey >= 0) setAt(byKey);
    else if (event.key === 'Escape') endWriting();
    else return;
    event.preventDefault();
  };
  const take = (choice: ArrowChoice) => {
    if (typeof choice.edit === 'string' || look(choice) !== undefined) return;
    trial.take();
    selectNew(selection.template);
    endWriting();
  };
  return (
    <fieldset
      ref={group}
      aria-label={words}
      className="flex min-w-0 flex-1 flex-wrap items-center gap-1 py-0.5"
      onKeyDown={onKeyDown}
      onBlur={({ relatedTarget, currentTarget }) => {
        if (relatedTarget !== null && !currentTarget.contains(relatedTarget)) endWriting();
      }}
    >
      <span className="text-sm text-ash">{words}</span>
      {choices.map((choice, index) => (
        <button
          key={choice.words}
          type="button"
          aria-pressed={index === at}
          aria-disabled={typeof choice.edit === 'string'}
          title={typeof choice.edit === 'string' ? choice.edit : undefined}
          className="h-6 rounded-full border border-rule bg-paper px-2 text-sm hover:border-ash aria-disabled:text-ash aria-pressed:border-ink aria-pressed:bg-chosen"
          onPointerEnter={() => look(choice)}
          onFocus={() => {
            setAt(index);
            look(choice);
          }}
          onClick={() => take(choice)}
        >
          {ownValue(signs, choice.key)} {choice.words}
        </button>
      ))}
    </fieldset>
  );
}

const signs: Readonly<Record<string, string>> = {
  ArrowDown: '↓',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowLeft: '←',
};
