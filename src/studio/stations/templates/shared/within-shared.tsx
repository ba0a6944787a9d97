import { count } from '../../../../core/base';
import { sharedUses, withId } from '../../../../core/project';
import { writtenAt } from '../../../../core/templates';
import { goWithin } from '../../../shared/session/route';
import type { Selection } from '../selection';

/** Says of a part of a shared part that it is one, and how far a change of it reaches. */
export function WithinShared({ selection }: { readonly selection: Selection }) {
  const { project, template, part } = selection;
  const at = writtenAt(template.row, part.id);
  const kept = at.shared === undefined ? undefined : withId(project.sharedParts ?? [], at.shared);
  if (kept === undefined || at.use === undefined) return null;
  const uses = sharedUses(project, kept.id);
  return (
    <p className="mb-1 rounded-md bg-chosen px-2 py-0.5 text-sm">
      In the shared part{' '}
      <button
        type="button"
        className="font-semibold underline decoration-ash underline-offset-2"
        onClick={() => goWithin({ part: at.use }, 'replace')}
      >
        {kept.name}
      </button>
      : {uses === 1 ? 'its one use shows' : `all ${count(uses, 'use')} show`} each change. It reads{' '}
      {kept.inputs.length === 0 ? 'nothing' : kept.inputs.map(({ name }) => name).join(', ')}.
    </p>
  );
}
