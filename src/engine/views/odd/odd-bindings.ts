import { count, type Finding, isRecord, type Json } from '../../../core/base';
import type { NamedFormat } from '../../../core/formats';
import type { Item } from '../../../core/items';
import { type CompiledTemplate, isBound, isContent } from '../../../core/templates';
import type { TemplateSurvey } from '../survey';
import { fixedCurrencies } from './fixed-currency';
import { neverEqual } from './never-equal';

/** The same words in fewer items say nothing. */
const minItems = 3;

interface OddTask {
  readonly surveys: readonly TemplateSurvey[];
  readonly templates: readonly CompiledTemplate[];
  readonly formats: readonly NamedFormat[];
  readonly items: readonly Item[];
}

/** Bindings that are probably not meant, as all items show. */
export const oddIn = ({ surveys, templates, formats, items }: OddTask): Finding[] => [
  ...oddBindings(surveys, templates, items),
  ...neverEqual(templates, items),
  ...fixedCurrencies(templates, formats, items),
];

/** The same words for all items, or none for any of them. */
function oddBindings(
  surveys: readonly TemplateSurvey[],
  templates: readonly CompiledTemplate[],
  [first, second]: readonly Item[],
): Finding[] {
  return surveys.flatMap(({ template, itemCount, slots }) => {
    const compiled = templates.find((each) => each.template.id === template);
    return slots.flatMap(({ part, property, missingCount, same: words }, at): Finding[] => {
      const slot = compiled?.slots[at];
      const isFed = slot !== undefined && isBound(slot.binding);
      // What does not read anything is meant to be the same; what is faulty is said already.
      if (!isFed || itemCount < minItems || slot.findings.length > 0) return [];
      if ((slot.expression?.paths.length ?? 0) === 0) return [];
      const place = { in: 'part', template, part, property, from: 0, to: 0 } as const;
      if (missingCount === itemCount) return [nothing(place, itemCount)];
      // Of what is no words it is usual: nothing is enabled, all are as wide.
      if (typeof words !== 'string' || !isContent(slot.declared) || missingCount > 0) return [];
      return [isOfFirst(words, first, second) ? ofFirst(place, itemCount) : same(place, itemCount)];
    });
  });
}

/** Whether the words are a value of the first item and not of the next: a binding that always looks there. */
const isOfFirst = (words: string, first: Item = {}, second: Item = {}): boolean =>
  holdsValue(first, words) && !holdsValue(second, words);

const holdsValue = (value: Json | undefined, words: string): boolean => {
  if (value === undefined) return false;
  if (isRecord(value)) return Object.values(value).some((each) => holdsValue(each, words));
  return value !== null && !Array.isArray(value) && String(value) === words;
};

type Place = Finding['place'];

const nothing = (place: Place, itemCount: number): Finding => ({
  code: 'binding-empty',
  severity: 'warning',
  place,
  message: `No value for any of the ${count(itemCount, 'item')}: nothing shows there.`,
  hint: 'The trace says at which step it is missing.',
});

const ofFirst = (place: Place, itemCount: number): Finding => ({
  code: 'binding-first',
  severity: 'warning',
  place,
  message: `All ${count(itemCount, 'item')} show the value of the first one.`,
  hint: 'Bind it to a field of the item itself.',
});

const same = (place: Place, itemCount: number): Finding => ({
  code: 'binding-same',
  severity: 'note',
  place,
  message: `The same words for all ${count(itemCount, 'item')}.`,
  hint: 'Is that meant? If so, fixed words would do.',
});
