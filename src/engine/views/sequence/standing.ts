import type { Arranging, List } from '../../../core/lists';

/** What stands beside the rows of a list, by the positions of plans. */
export type Standing = Omit<Arranging, 'planOfItem' | 'sections' | 'folded'>;

/**
 * What stands beside rows, as far as its templates are there. `templates`: the id of each plan;
 * `insertCount`: how many items inserts show in turn; undefined: they are of none.
 */
export function standingOf(
  { sections, inserts, header, footer, arrangement }: List,
  templates: readonly string[],
  insertCount: number | undefined,
): Standing {
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
    header: plan(header),
    footer: plan(footer),
    separator: typeof separators === 'object' ? plan(separators.template) : undefined,
    inserts:
      inserts === undefined || insert === undefined
        ? undefined
        : { plan: insert, places: inserts, itemCount: insertCount ?? 1 },
  };
}
