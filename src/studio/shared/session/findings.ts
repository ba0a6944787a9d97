import { useMemo } from 'react';
import { count, type Finding, type Place } from '../../../core/base';
import { type Project, shownTemplate } from '../../../core/project';
import { draftStack, mayLeave, partWithId, slotsOf } from '../../../core/templates';
import type { SlotSurvey, TemplateSurvey } from '../../../engine';
import { handItem } from './at-hand';
import { goWithin } from './route';
import { surveyOf, surveysOf, useKept, useProject, useSession } from './session';

/** Everything that was noticed: while reading, in the project, over all items. Each once. */
export function useFindings(): readonly Finding[] {
  const project = useProject();
  const view = useKept((session) => session.view);
  const readFindings = useKept((session) => session.readFindings);
  const { templates: surveys, findings: misfits } = useKept(surveyOf);
  return useMemo(() => {
    const blanks = surveys.flatMap((survey) =>
      survey.slots
        .filter((slot) => slot.missingCount > 0 && !isAnswered(project, survey.template, slot))
        .map((slot) => blank(survey, slot)),
    );
    const broken = new Set(
      (view?.findings ?? []).map((each) => partKey(each.place)).filter((key) => key !== ''),
    );
    const all = [
      ...(view?.findings ?? []),
      ...readFindings,
      ...misfits,
      ...blanks.filter((each) => !broken.has(partKey(each.place))),
    ];
    return project === undefined ? [] : eachOnce(all);
  }, [project, view, readFindings, surveys, misfits]);
}

/** What was noticed while reading and again in the project is one finding; the first words for it stay. */
function eachOnce(findings: readonly Finding[]): readonly Finding[] {
  const seen = new Map<string, Finding>();
  for (const finding of findings) {
    const { code, place } = finding;
    const where = place.in === 'items' ? { field: place.field, item: place.item } : place;
    const key = JSON.stringify([code, where]);
    if (!seen.has(key)) seen.set(key, finding);
  }
  return [...seen.values()];
}

/** Whether a part leaves where it has no value: then nothing is missing there. */
function isAnswered(
  project: Project | undefined,
  template: string,
  { part, property }: SlotSurvey,
): boolean {
  const own = project && shownTemplate(project, template);
  const slot = slotsOf(own?.row ?? noRow).find(
    (each) => each.part === part && each.property === property,
  );
  const answering = own && partWithId(own.row, part);
  return (
    slot !== undefined && answering !== undefined && mayLeave(answering, property, slot.binding)
  );
}

const noRow = draftStack('row', 'across', []);

const partKey = (place: Place): string =>
  place.in === 'part' ? `${place.template}/${place.part}/${place.property}` : '';

function blank(
  { template, itemCount: all }: TemplateSurvey,
  { part, property, missingCount: missing }: SlotSurvey,
): Finding {
  return {
    code: 'part-blank',
    severity: missing === all ? 'error' : 'warning',
    place: { in: 'part', template, part, property, from: 0, to: 0 },
    message: `"${part}" of "${template}" has no ${property} for ${missing === all ? 'any of ' : ''}${count(missing, 'item')}.`,
    hint: missing === all ? 'Bind it to another value.' : 'Write what shows if it is missing.',
  };
}

/** Where a finding is, and its first item at hand. */
export function goToFinding(finding: Finding): void {
  const { place } = finding;
  const surveys = surveysOf(useSession.getState());
  if (place.in === 'part') {
    const slot = surveys
      .find((survey) => survey.template === place.template)
      ?.slots.find((each) => each.part === place.part && each.property === place.property);
    goWithin({
      ...{ station: 'templates', panel: undefined },
      ...{ template: place.template, part: place.part },
    });
    if (place.item !== undefined) void handItem(place.item);
    else if (slot !== undefined && slot.firstMissing >= 0) void handItem(slot.firstMissing);
  } else if (place.in === 'items') {
    goWithin({ station: 'data', field: place.field });
    if (place.item !== undefined) void handItem(place.item);
  } else if (place.in === 'project') {
    goWithin(stationOf(place.path));
  } else {
    goWithin({ station: 'data' });
  }
}

function stationOf(path: string): Parameters<typeof goWithin>[0] {
  if (path.startsWith('templates/')) return { station: 'templates', panel: undefined };
  if (/^(?:fonts|styles)\//.test(path)) return { station: 'templates', panel: 'styles' };
  return path.startsWith('pictures/')
    ? { station: 'data', panel: 'pictures' }
    : { station: 'choices' };
}
