import { failed, ok, type Result } from '../../../base';
import { type StackPart, writtenAt } from '../../../templates';
import { editById, type Project } from '../../project';
import { shownTemplate } from '../../rows/rows';
import { circleIn } from '../../rows/shared-parts';
import type { Edit } from '../edit';

/** A part as it is shown in a template. */
export interface PartPlace {
  readonly template: string;
  readonly part: string;
}

/**
 * Changes the row in which a part is written, by its id there: the template's own, or that of the
 * shared part in which it is shown. Undefined: it has no such part or property; a text: why not.
 */
export function editRow(
  name: string,
  { template: id, part }: PartPlace,
  change: (row: StackPart, part: string) => StackPart | string | undefined,
): Edit {
  return {
    name,
    apply(project: Project) {
      const template = shownTemplate(project, id);
      if (template === undefined) return failed(`There is no template "${id}".`);
      const at = writtenAt(template.row, part);
      const changed = <T extends { readonly id: string; readonly row: StackPart }>(
        all: readonly T[],
        own: string,
      ): Result<readonly T[], string> => {
        const row = all.find((each) => each.id === own)?.row;
        const next = (row && change(row, at.part)) ?? noSuchPart;
        if (typeof next === 'string') return failed(next);
        return ok(next === row ? all : editById(all, own, (each) => ({ ...each, row: next })));
      };
      if (at.shared === undefined) {
        const templates = changed(project.templates, id);
        return templates.ok ? ok({ ...project, templates: templates.value }) : templates;
      }
      const made = changed(project.sharedParts ?? [], at.shared);
      if (!made.ok) return made;
      const sharedParts = made.value;
      const circle = circleIn(sharedParts, at.shared);
      if (circle !== undefined)
        return failed(`Shared parts would hold each other: ${circle.join(' in ')}.`);
      return ok({ ...project, sharedParts });
    },
  };
}

const noSuchPart = 'That part is not in the template, or has no such property.';
