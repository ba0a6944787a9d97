import { openedTemplate, type StackPart, type Template } from '../../templates';
import type { Field } from '../../values';
import { type Project, withId } from '../project';

/** A row as it is written: of a template, or of a shared part. */
export interface WrittenRow {
  /** Of the template or the shared part. */
  readonly id: string;
  readonly row: StackPart;
  /** What its expressions read; undefined: its item type is not there. */
  readonly fields: readonly Field[] | undefined;
  /** Of the items that it shows; undefined: it is a shared part, and its fields are its inputs. */
  readonly type: string | undefined;
}

const ofTemplate = (project: Project, { id, row, type }: Template): WrittenRow => ({
  ...{ id, row, type },
  fields: withId(project.types, type)?.fields,
});

/** All rows that people wrote. */
export const writtenRows = (project: Project): readonly WrittenRow[] => [
  ...project.templates.map((template) => ofTemplate(project, template)),
  ...(project.sharedParts ?? []).map(
    ({ id, row, inputs }): WrittenRow => ({ id, row, fields: inputs, type: undefined }),
  ),
];

/** The project with every row that people wrote changed. */
export function withRows(project: Project, change: (of: WrittenRow) => StackPart): Project {
  const { sharedParts } = project;
  return {
    ...project,
    templates: project.templates.map((template) => ({
      ...template,
      row: change(ofTemplate(project, template)),
    })),
    ...(sharedParts !== undefined && {
      sharedParts: sharedParts.map((part) => ({
        ...part,
        row: change({ id: part.id, row: part.row, fields: part.inputs, type: undefined }),
      })),
    }),
  };
}

/** A template as it is shown, with the parts of the shared parts that it uses. */
export const shownTemplate = (project: Project, id: string): Template | undefined => {
  const template = withId(project.templates, id);
  return template && openedTemplate(template, project.sharedParts ?? none);
};

/** All templates as they are shown. */
export const shownTemplates = (project: Project): readonly Template[] =>
  project.templates.map((template) => openedTemplate(template, project.sharedParts ?? none));

const none: NonNullable<Project['sharedParts']> = [];
