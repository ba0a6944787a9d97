import type { Finding } from '../base';
import { listSources } from '../lists';
import { pictureFindings, picturesHave } from '../pictures';
import {
  type BindingScope,
  type CompiledTemplate,
  checkTemplate,
  colourOf,
  compileTemplate,
  expandedRow,
  openedTemplate,
  partIds,
  type Template,
} from '../templates';
import { computedOrder, fieldsBeside, makeExpression } from '../values';
import { brokenActions } from './acting/broken';
import { brokenList, unusedTemplates } from './choosing/choices';
import { type FindItem, nothingFound, sourcesOf } from './environment';
import { projectFindings } from './findings';
import {
  coloursOf,
  type ItemType,
  localeOf,
  type Project,
  stylesOf,
  tokensOf,
  withId,
} from './project';

/** A template made ready for the items of its type; `find` gives the item of a source that has a key. */
export const compileFor = (
  project: Project,
  template: Template,
  find: FindItem = () => undefined,
  locale = localeOf(project),
): CompiledTemplate =>
  compileTemplate(
    openedTemplate(template, project.sharedParts ?? []),
    scopeFor(project, template.type, find, locale),
  );

/** What is wrong with a template. */
export const problemsIn = (project: Project, template: Template): readonly Finding[] =>
  checkTemplate(
    openedTemplate(template, project.sharedParts ?? []),
    scopeFor(project, template.type, nothingFound, localeOf(project)),
  );

/** What the bindings of a type's templates are held against. */
export function scopeFor(
  project: Project,
  type: string,
  find: FindItem,
  locale: string,
): BindingScope {
  return {
    fields: withId(project.types, type)?.fields ?? [],
    sources: sourcesOf(project, find),
    formats: project.formats ?? [],
    tokens: tokensOf(project),
    hasPicture: picturesHave(project.pictures),
    locale,
  };
}

/** What refers to something that is not there, or that does not fit. */
export function brokenReferences(project: Project): Finding[] {
  return [
    ...pictureFindings(project.pictures),
    ...stylesOf(project).flatMap(({ name, family }) =>
      family === undefined || project.fonts?.some((font) => font.name === family) === true
        ? []
        : [projectFindings.fontUnknown(name, family)],
    ),
    ...stylesOf(project).flatMap(({ name, colour }) =>
      colourOf(coloursOf(project), colour) === undefined
        ? [projectFindings.colourUnknown(name, colour)]
        : [],
    ),
    ...project.types.flatMap(brokenComputed),
    ...project.templates
      .filter((template) => withId(project.types, template.type) === undefined)
      .map((template) => projectFindings.typeUnknown(template.id, template.type)),
    ...overBudget(project),
    ...brokenActions(project),
    ...project.lists.flatMap((list) => [
      ...listSources(list)
        .filter((source) => withId(project.sources, source) === undefined)
        .map((source) => projectFindings.sourceUnknown(list.id, source)),
      ...brokenList(project, list),
    ]),
    ...unusedTemplates(project),
  ];
}

/** How many parts are drawn for a row: those of repeated stacks as often as they may stand. */
export const drawnPartCount = (project: Project, template: Template): number =>
  partIds(expandedRow(openedTemplate(template, project.sharedParts ?? []).row)).length;

function overBudget(project: Project): Finding[] {
  const { maxParts, templates } = project;
  if (maxParts === undefined) return [];
  return templates.flatMap((template) => {
    const count = drawnPartCount(project, template);
    return count > maxParts ? [projectFindings.rowOverBudget(template, count, maxParts)] : [];
  });
}

/** What is wrong with the expressions of computed properties. */
function brokenComputed(type: ItemType): Finding[] {
  const { circles } = computedOrder(type.fields);
  const inCircle = new Set(circles.flat());
  const wrong = type.fields.flatMap(({ name, expr }) =>
    expr === undefined || inCircle.has(name)
      ? []
      : makeExpression(expr, fieldsBeside(type.fields, name), 'property').findings.map(
          (finding) => ({
            ...finding,
            place: { in: 'items' as const, source: type.source, field: name },
            message: `${type.name}, ${name}: ${finding.message}`,
          }),
        ),
  );
  return [...wrong, ...circles.map((names) => projectFindings.computedCircle(type, names))];
}
