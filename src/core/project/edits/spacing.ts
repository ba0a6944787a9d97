import { failed, ok } from '../../base';
import { mapParts, propertyOf, type SpacingStep, withProperty } from '../../templates';
import { propertiesNaming, withNameChanged } from '../named-uses';
import { type Project, spacingOf } from '../project';
import { withRows } from '../rows/rows';
import type { Edit } from './edit';

export function addStep(step: SpacingStep): Edit {
  return {
    name: `Add spacing ${step.name}`,
    apply: (project) =>
      named(project, step.name) === undefined
        ? ok({ ...project, spacing: [...spacingOf(project), step] })
        : failed(`There is a spacing step "${step.name}" already.`),
  };
}

export function changeStep(name: string, px: number): Edit {
  return {
    name: `Spacing ${name} ${px} px`,
    joins: `spacing ${name}`,
    apply: (project) =>
      named(project, name) === undefined
        ? failed(`There is no spacing step "${name}".`)
        : ok({ ...project, spacing: withStep(project, name, { name, px }) }),
  };
}

/** The step under another name: all that names it follows. */
export function renameStepOf(name: string, wish: string): Edit {
  const next = wish.trim();
  return {
    name: `Name spacing ${name} ${next}`,
    apply(project) {
      const step = named(project, name);
      if (next === name || step === undefined) return ok(project);
      if (next === '') return failed('A spacing step needs a name.');
      if (named(project, next) !== undefined)
        return failed(`There is a spacing step "${next}" already.`);
      const spacing = withStep(project, name, { ...step, name: next });
      return ok({ ...withNameChanged(project, 'spacing', name, next), spacing });
    },
  };
}

/** What named it keeps its length. */
export function removeStep(name: string): Edit {
  return {
    name: `Remove spacing ${name}`,
    apply(project) {
      const px = named(project, name)?.px;
      if (px === undefined) return failed(`There is no spacing step "${name}".`);
      const spacing = spacingOf(project).filter((step) => step.name !== name);
      const without = withRows(project, ({ row }) =>
        mapParts(row, (part) =>
          propertiesNaming(part, 'spacing').reduce(
            (made, property) =>
              propertyOf(made, property) === name
                ? withProperty(made, property, lengthOf(property, px))
                : made,
            part,
          ),
        ),
      );
      return ok({ ...without, spacing });
    },
  };
}

const lengthOf = (property: string, px: number) =>
  property === 'padding' ? { start: px, end: px, top: px, bottom: px } : px;

const withStep = (project: Project, name: string, step: SpacingStep): readonly SpacingStep[] =>
  spacingOf(project).map((each) => (each.name === name ? step : each));

const named = (project: Project, name: string): SpacingStep | undefined =>
  spacingOf(project).find((step) => step.name === name);
