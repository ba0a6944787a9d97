import { count, type Finding, type Place } from '../../core/base';
import { type Project, shownTemplate } from '../../core/project';
import { mayLeave, partWithId, slotsOf } from '../../core/templates';
import type { SlotSurvey, TemplateSurvey } from './survey';

/**
 * Parts that have nothing to show for some items, and no answer to that. `others`: what is told
 * besides; a part of which something is wrong is told of once.
 */
export function blankParts(
  surveys: readonly TemplateSurvey[],
  project: Project,
  others: readonly Finding[],
): readonly Finding[] {
  const told = new Set(others.map(({ place }) => partKey(place)));
  return surveys
    .flatMap((survey) =>
      survey.slots
        .filter((slot) => slot.missingCount > 0 && !isAnswered(project, survey.template, slot))
        .map((slot) => blank(survey, slot)),
    )
    .filter(({ place }) => !told.has(partKey(place)));
}

/** Whether a part leaves where it has no value: then nothing is missing there. */
function isAnswered(project: Project, template: string, { part, property }: SlotSurvey): boolean {
  const row = shownTemplate(project, template)?.row;
  const slot = row && slotsOf(row).find((each) => each.part === part && each.property === property);
  const answering = row && partWithId(row, part);
  return (
    slot !== undefined && answering !== undefined && mayLeave(answering, property, slot.binding)
  );
}

const partKey = (place: Place): string =>
  place.in === 'part' ? `${place.template}/${place.part}/${place.property}` : '';

function blank(
  { template, itemCount: all }: TemplateSurvey,
  { part, property, missingCount: missing }: SlotSurvey,
): Finding {
  return {
    code: 'part-blank',
    // One item may well lack what all others have.
    severity: missing === all && all > 1 ? 'error' : 'warning',
    place: { in: 'part', template, part, property, from: 0, to: 0 },
    message: `"${part}" of "${template}" has no ${property} for ${missing === all && all > 1 ? 'any of ' : ''}${count(missing, 'item')}.`,
    hint: missing === all ? 'Bind it to another value.' : 'Write what shows if it is missing.',
  };
}
