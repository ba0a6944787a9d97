import { clipped, count, type Finding } from '../../core/base';
import type { TemplateSurvey } from './survey';

/** Values that the property of a part can't take: something else is drawn there. */
export const unfitValues = (surveys: readonly TemplateSurvey[]): Finding[] =>
  surveys.flatMap(({ template, slots }) =>
    slots.flatMap(({ part, property, unfit }): Finding[] => {
      if (unfit === undefined) return [];
      const items = count(unfit.itemCount, 'item');
      return [
        {
          code: 'values-unfit',
          severity: 'warning',
          place: { in: 'part', template, part, property, from: 0, to: 0 },
          message: clipped(
            `The ${property} cannot be what ${items} ${unfit.itemCount === 1 ? 'says' : 'say'}: ${unfit.why}.`,
          ),
          hint: 'The nearest value that it can be is drawn, or its default.',
        },
      ];
    }),
  );
