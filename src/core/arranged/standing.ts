import { type Arranging, type List, type ListState, listStates } from '../lists';

/** What stands beside the rows of a list, by the positions of plans. */
export interface StandingPlans
  extends Omit<Arranging, 'planOfItem' | 'sections' | 'folded' | 'hidesRows' | 'state'> {
  /** What is shown in each state; none: nothing. */
  readonly states: Readonly<Partial<Record<ListState, number>>>;
  /** Rows without words stand there while items are on their way. */
  readonly hasSkeleton: boolean;
}

/**
 * What stands beside rows, as far as its templates are there. `templates`: the id of each plan;
 * `insertCount`: how many items inserts show in turn; undefined: they are of none.
 */
export function standingOf(
  { sections, inserts, header, footer, states, arrangement }: List,
  templates: readonly string[],
  insertCount: number | undefined,
): StandingPlans {
  const plan = (template: string | undefined) => {
    const at = template === undefined ? -1 : templates.indexOf(template);
    return at < 0 ? undefined : at;
  };
  const separators = arrangement.kind === 'list' ? arrangement.separators : undefined;
  const insert = plan(inserts?.template);
  return {
    heading: plan(sections?.heading),
    footing: plan(sections?.footing),
    showsEmpty: sections?.showsEmpty,
    states: Object.fromEntries(
      listStates.flatMap((state) => {
        const own = plan(states?.[state] ?? undefined);
        return own === undefined ? [] : [[state, own]];
      }),
    ),
    hasSkeleton: states?.loading === undefined,
    header: plan(header),
    footer: plan(footer),
    separator: typeof separators === 'object' ? plan(separators.template) : undefined,
    inserts:
      inserts === undefined || insert === undefined
        ? undefined
        : { plan: insert, places: inserts, itemCount: insertCount ?? 1 },
  };
}
