import { count, type Finding } from '../core/base';
import type { CompiledTemplate } from '../core/templates';
import type { TemplateSurvey } from './protocol';

/** Of fewer items, the same words say nothing. */
const fewest = 3;

/** Bindings that are probably not meant: the same words for all items, or none for any of them. */
export function oddBindings(
  surveys: readonly TemplateSurvey[],
  templates: readonly CompiledTemplate[],
): Finding[] {
  return surveys.flatMap(({ template, itemCount, slots }) => {
    const compiled = templates.find((each) => each.template.id === template);
    return slots.flatMap(({ part, property, missingCount, isSame }, at): Finding[] => {
      const slot = compiled?.slots[at];
      const isBound = slot !== undefined && typeof slot.binding !== 'string';
      // What does not read anything is meant to be the same; what is faulty is said already.
      if (!isBound || itemCount < fewest || slot.findings.length > 0) return [];
      if ((slot.expression?.paths.length ?? 0) === 0) return [];
      const place = { in: 'part', template, part, property, from: 0, to: 0 } as const;
      if (missingCount === itemCount) return [nothing(place, itemCount)];
      return isSame && missingCount === 0 ? [same(place, itemCount)] : [];
    });
  });
}

type Place = Finding['place'];

const nothing = (place: Place, itemCount: number): Finding => ({
  code: 'binding-empty',
  severity: 'warning',
  place,
  message: `No value for any of the ${count(itemCount, 'item')}: nothing shows there.`,
  hint: 'The trace says at which step it is missing.',
});

const same = (place: Place, itemCount: number): Finding => ({
  code: 'binding-same',
  severity: 'note',
  place,
  message: `The same words for all ${count(itemCount, 'item')}.`,
  hint: 'Is that meant? If so, fixed words would do.',
});
