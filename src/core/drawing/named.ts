import type { Entry, PartPlan, RowPlan } from '../lists';

/** All texts that rows of a plan show, or that its parts say: whatever names a picture is among them. */
export function namesShown(
  { row }: Pick<RowPlan, 'row'>,
  entries: readonly Pick<Entry, 'values'>[],
): ReadonlySet<string> {
  const names = new Set<unknown>(entries.flatMap(({ values }) => values));
  const visit = ({ values, children }: PartPlan) => {
    for (const value of Object.values(values)) names.add(value);
    children.forEach(visit);
  };
  visit(row);
  return new Set([...names].filter((name) => typeof name === 'string'));
}
