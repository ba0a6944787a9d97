import { type Edit, shownTemplate } from '../../../../core/project';
import {
  outermost,
  type Part,
  partIds,
  partsOf,
  partWithId,
  usesAround,
} from '../../../../core/templates';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';
import { type Selection, select } from '../selection';

/** Makes an edit of a template and selects what is new in it. Why it can't be made, if it can't. */
export function makeAndSelect(
  { template }: Pick<Selection, 'template'>,
  edit: Edit,
): string | undefined {
  const why = make(edit);
  if (why !== undefined) return why;
  selectNew(template);
  return undefined;
}

/** Selects the parts that a template has now and did not have. */
export function selectNew(before: Selection['template']): void {
  const { history } = useSession.getState();
  const after = history && shownTemplate(history.project, before.id);
  if (after === undefined) return;
  const known = new Set(partIds(before.row));
  const fresh = [...partsOf(after.row)].filter(({ id }) => !known.has(id));
  // A stack that came round something old and something new is not what was put in.
  const isAround = (part: Part) => {
    const inside = partIds(part).filter((id) => id !== part.id);
    return inside.some((id) => known.has(id)) && inside.some((id) => !known.has(id));
  };
  // What was there as it is and is shared now stays one part.
  const isOfShared = ({ id }: Part) =>
    usesAround(id).some((use) => known.has(use) && partWithId(before.row, use)?.part !== 'shared');
  const ids = fresh.flatMap((part) => (isAround(part) || isOfShared(part) ? [] : [part.id]));
  const parts = outermost(after.row, ids);
  if (parts.length > 0) select(parts.map(({ id }) => id));
}
