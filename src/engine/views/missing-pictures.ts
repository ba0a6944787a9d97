import { count, type Finding } from '../../core/base';
import type { TemplateSurvey } from './survey';

const maxNamed = 4;

/** For each image part: how many items name a picture that the project does not have, and which. */
export function missingPictures(surveys: readonly TemplateSurvey[]): Finding[] {
  return surveys.flatMap(({ template, slots }) =>
    slots.flatMap(({ part, property, unknown }): Finding[] => {
      const [max] = unknown;
      if (max === undefined) return [];
      const itemCount = unknown.reduce((sum, each) => sum + each.itemCount, 0);
      const named = unknown.slice(0, maxNamed).map((each) => `${each.name} (${each.itemCount})`);
      const more = unknown.length > maxNamed ? ` and ${unknown.length - maxNamed} more` : '';
      return [
        {
          code: 'picture-missing',
          severity: 'warning',
          place: { in: 'part', template, part, property, from: 0, to: 0, item: max.first },
          message: `${count(itemCount, 'item')} of "${template}" ${itemCount === 1 ? 'wants a picture' : 'want pictures'} that the project does not have: ${named.join(', ')}${more}.`,
          hint: 'Add the pictures, or correct what names them.',
        },
      ];
    }),
  );
}
