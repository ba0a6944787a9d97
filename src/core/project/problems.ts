import type { Finding } from '../base';
import { pictureFindings } from '../pictures';
import { type CompiledTemplate, compileTemplate, type Template } from '../templates';
import { projectFindings } from './findings';
import { type Project, withId } from './project';

/** A template made ready for the items of its type. */
export function compileFor(project: Project, template: Template): CompiledTemplate {
  return compileTemplate(template, withId(project.types, template.type)?.fields ?? []);
}

/** What refers to something that is not there, or that does not fit. */
export function brokenReferences(project: Project): Finding[] {
  return [
    ...pictureFindings(project.pictures),
    ...project.templates
      .filter((template) => withId(project.types, template.type) === undefined)
      .map((template) => projectFindings.typeUnknown(template.id, template.type)),
    ...project.lists.flatMap((list) => [
      ...(withId(project.sources, list.source) === undefined
        ? [projectFindings.sourceUnknown(list.id, list.source)]
        : []),
      ...list.choices.flatMap((choice) =>
        brokenChoice(project, list.id, choice.template, choice.type),
      ),
      ...brokenChoice(project, list.id, list.otherwise, undefined),
    ]),
  ];
}

function brokenChoice(
  project: Project,
  list: string,
  id: string | null,
  type: string | undefined,
): Finding[] {
  if (id === null) return [];
  const template = withId(project.templates, id);
  if (template === undefined) return [projectFindings.templateUnknown(list, id)];
  if (type === undefined || template.type === type) return [];
  return [projectFindings.templateOfOtherType(list, id, type)];
}
