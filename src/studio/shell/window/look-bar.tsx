import type { ReactNode } from 'react';
import { lookShown } from '../../../core/project';
import { useProject } from '../../shared/session/session';
import type { WindowSettings } from '../../shared/window/window-settings';

interface LookBarProps {
  /** What tells the bars of two windows apart to those who hear them. */
  readonly of?: string;
  readonly look: string | undefined;
  /** What else a window shows one of. */
  readonly children?: ReactNode;
  readonly onChange: (changed: Pick<WindowSettings, 'look'>) => void;
}

/** The looks of the project, one of which a window shows. */
export function LookBar({ of = '', look, children, onChange }: LookBarProps) {
  const project = useProject();
  const looks = project?.looks ?? [];
  const shown = project && lookShown(project, look);
  if (looks.length < 2 && children === undefined) return null;
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
    </div>
  );
}
