import { useMemo } from 'react';
import { type Finding, findingsOnce } from '../../../core/base';
import { handItem } from './at-hand';
import { goWithin } from './route';
import { surveyOf, surveysOf, useKept, useProject, useSession } from './session';

/** Everything that was noticed: while reading, in the project, over all items. Each once. */
export function useFindings(): readonly Finding[] {
  const project = useProject();
  const view = useKept((session) => session.view);
  const readFindings = useKept((session) => session.readFindings);
  const { findings: counted } = useKept(surveyOf);
  return useMemo(
    () =>
      project === undefined
        ? []
        : findingsOnce([...(view?.findings ?? []), ...readFindings, ...counted]),
    [project, view, readFindings, counted],
  );
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
