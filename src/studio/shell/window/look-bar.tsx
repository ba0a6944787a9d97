import type { ReactNode } from 'react';
import { type ListState, listStates } from '../../../core/lists';
import { lookShown } from '../../../core/project';
import { MenuButton } from '../../shared/controls/controls';
import { useProject } from '../../shared/session/session';
import type { WindowSettings } from '../../shared/window/window-settings';

interface LookBarProps {
  /** What tells the bars of two windows apart to those who hear them. */
  readonly of?: string;
  readonly look: string | undefined;
  readonly state: ListState | undefined;
  /** What else a window shows one of. */
  readonly children?: ReactNode;
  readonly onChange: (changed: Partial<Pick<WindowSettings, 'look' | 'state'>>) => void;
}

const inWords: Readonly<Record<ListState, string>> = {
  loading: 'loading',
  empty: 'empty',
  filtered: 'filtered to nothing',
  failed: 'failed',
  more: 'more coming',
  end: 'end of list',
};

/** Which look of the project a window shows, and in which state. */
export function LookBar({ of = '', look, state, children, onChange }: LookBarProps) {
  const project = useProject();
  const looks = project?.looks ?? [];
  const shown = project && lookShown(project, look);
  return (
    <div className="flex shrink-0 items-center gap-1 overflow-x-auto border-b border-rule bg-wool px-2 py-1">
      {children}
      {looks.length > 1 && (
        <fieldset aria-label={`Look${of}`} className="flex shrink-0 items-center gap-1">
          <span className="px-1 text-sm text-ash">look</span>
          {looks.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={id === shown?.id}
              className="h-6 shrink-0 rounded-full border border-rule bg-paper px-2.5 text-sm whitespace-nowrap hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
              onClick={() => onChange({ look: id })}
            >
              {name}
            </button>
          ))}
        </fieldset>
      )}
      <span className="ms-auto">
        <MenuButton
          label={`State${of}`}
          words={state === undefined ? 'as it is' : inWords[state]}
          entries={[
            {
              words: 'as it is',
              isChosen: state === undefined,
              onChoose: () => onChange({ state: undefined }),
            },
            ...listStates.map((each) => ({
              words: inWords[each],
              isChosen: each === state,
              onChoose: () => onChange({ state: each }),
            })),
          ]}
        />
      </span>
    </div>
  );
}
