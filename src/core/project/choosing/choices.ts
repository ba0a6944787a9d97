import type { Finding } from '../../base';
import {
  allChosen,
  type Choice,
  type Chosen,
  type List,
  listSources,
  standingTemplates,
  templatesIn,
} from '../../lists';
import { type Expression, type Field, fieldsOfAll, makeExpression } from '../../values';
import { environmentOf, type FindItem } from '../environment';
import { projectFindings } from '../findings';
import { type Project, typesOfList, withId } from '../project';

/** The fields that the condition of a choice sees: those of its type, or of all types of the list. */
export const fieldsOfChoice = (project: Project, list: List, { type }: Choice): readonly Field[] =>
  type === undefined
    ? fieldsOfAll(typesOfList(project, list))
    : (withId(project.types, type)?.fields ?? []);

/** The condition of a choice made ready; undefined: it has none. */
export const conditionOf = (
  project: Project,
  list: List,
  choice: Choice,
  find?: FindItem,
): Expression | undefined =>
  choice.when === undefined
    ? undefined
    : makeExpression(
        choice.when,
        fieldsOfChoice(project, list, choice),
        'condition',
        environmentOf(project, find),
      );

/** What items are sorted by, made ready: it sees the fields of all types of the list. */
export const sortExpression = (project: Project, list: List, by: string): Expression =>
  makeExpression(by, fieldsOfAll(typesOfList(project, list)), 'property');

/** The templates that a list shows, in any look. */
export const templatesOf = (list: List): readonly string[] => [
  ...allChosen(list).flatMap(templatesIn),
  ...standingTemplates(list),
];

/** What is wrong with a list, whatever its items are. */
export const brokenList = (project: Project, list: List): readonly Finding[] => [
  ...(list.order ?? []).flatMap(({ by }) =>
    sortExpression(project, list, by).findings.map((finding) =>
      projectFindings.orderUnfit(list, by, finding),
    ),
  ),
  ...list.choices.flatMap((choice, at) => [
    ...unknownIn(project, list, at),
    ...brokenTemplates(project, list, choice.template, choice.type),
    ...unfitCondition(project, list, at),
    ...neverReached(list, at),
  ]),
  ...brokenTemplates(project, list, list.otherwise, undefined),
  ...brokenSections(project, list),
  ...brokenInserts(project, list),
  ...placesOf(list).flatMap((place) => brokenStanding(project, list, place)),
];

function brokenSections(project: Project, list: List): readonly Finding[] {
  const { by } = list.sections ?? {};
  return by === undefined
    ? []
    : sortExpression(project, list, by).findings.map((finding) =>
        projectFindings.sectionsUnfit(list, by, finding),
      );
}

function brokenInserts({ sources }: Project, list: List): readonly Finding[] {
  const { source } = list.inserts ?? {};
  return source === undefined || withId(sources, source) !== undefined
    ? []
    : [projectFindings.insertSourceUnknown(list, source)];
}

/** A template beside the rows, and whose items it sees; undefined: none. */
interface Standing {
  readonly template: string;
  readonly sources: readonly string[];
}

function placesOf(list: List): readonly Standing[] {
  const { inserts, ...others } = list;
  return [
    ...standingTemplates(others).map((template) => ({ template, sources: listSources(list) })),
    ...(inserts === undefined
      ? []
      : [
          {
            template: inserts.template,
            sources: inserts.source === undefined ? [] : [inserts.source],
          },
        ]),
  ];
}

/** What stands beside rows sees the first item of its section, what is inserted one of its own source. */
function brokenStanding(project: Project, list: List, place: Standing): readonly Finding[] {
  const { template: id, sources } = place;
  const template = withId(project.templates, id);
  if (template === undefined) return [projectFindings.templateUnknown(list.id, id)];
  const source = withId(project.types, template.type)?.source;
  return source === undefined || sources.length === 0 || sources.includes(source)
    ? []
    : [projectFindings.standingUnfit(list, { template: id, source })];
}

function unknownIn(project: Project, list: List, at: number): readonly Finding[] {
  const type = list.choices[at]?.type;
  const isThere = type === undefined || typesOfList(project, list).some(({ id }) => id === type);
  // Where the source is not there, that is told.
  return isThere || withId(project.sources, list.source) === undefined
    ? []
    : [projectFindings.choiceTypeUnknown(list, at, type)];
}

const brokenTemplates = (
  project: Project,
  list: List,
  chosen: Chosen | undefined,
  type: string | undefined,
): readonly Finding[] =>
  templatesIn(chosen).flatMap((id) => {
    const template = withId(project.templates, id);
    if (template === undefined) return [projectFindings.templateUnknown(list.id, id)];
    if (type === undefined || template.type === type) return [];
    return [projectFindings.templateOfOtherType(list.id, id, type)];
  });

function unfitCondition(project: Project, list: List, at: number): readonly Finding[] {
  const choice = list.choices[at];
  const condition = choice && conditionOf(project, list, choice);
  return (condition?.findings ?? []).map((finding) =>
    projectFindings.conditionUnfit(list, at, finding),
  );
}

/** One that comes after another which takes all that it could take. */
function neverReached(list: List, at: number): readonly Finding[] {
  const own = list.choices[at]?.type;
  const before = list.choices.findIndex(
    ({ type, when }, place) =>
      place < at && when === undefined && (type === undefined || type === own),
  );
  return before < 0 ? [] : [projectFindings.choiceNeverReached(list, at, before)];
}

/** Templates that no list shows. */
export function unusedTemplates({ lists, templates }: Project): readonly Finding[] {
  const used = new Set(lists.flatMap(templatesOf));
  return lists.length === 0
    ? []
    : templates.filter(({ id }) => !used.has(id)).map(projectFindings.templateUnused);
}
