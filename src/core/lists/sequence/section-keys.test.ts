import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type SectionTask, sectionTable } from './section-keys';

/** The items of each section by its words, in order. */
function sectionsOf(task: Omit<SectionTask, 'locale'> & { readonly locale?: string }) {
  const { sectionOfItem, names, keys } = sectionTable({ locale: 'en', ...task });
  return keys.map((_, section) => [
    names[section],
    task.values.filter((__, item) => sectionOfItem[item] === section),
  ]);
}

describe('the sections of a list', () => {
  test('take each item once, those with the same value together, those without one last', () => {
    const values = fc.array(fc.constantFrom('moss', 'Moss', 'fell', '', undefined, 3, true), {
      maxLength: 30,
    });
    fc.assert(
      fc.property(
        values,
        fc.constantFrom(undefined, 'descending' as const, 'as they come' as const),
        (own, order) => {
          const { sectionOfItem, keys, names } = sectionTable({ values: own, order, locale: 'en' });
          expect(sectionOfItem).toHaveLength(own.length);
          expect(new Set(keys).size).toBe(keys.length);
          own.forEach((value, item) => {
            expect(keys[sectionOfItem[item] ?? -1]).toBe(String(value ?? ''));
          });
          const missing = names.indexOf(undefined);
          expect([-1, names.length - 1]).toContain(missing);
        },
      ),
    );
  });

  test('stand in the order of the locale, of numbers, or of their first items', () => {
    const words = ['zinnia', 'ärla', 'apple', 'zinnia'];
    const names = (task: Omit<SectionTask, 'locale'> & { readonly locale?: string }) =>
      sectionsOf(task).map(([name]) => name);
    expect(names({ values: words })).toEqual(['apple', 'ärla', 'zinnia']);
    expect(names({ values: words, locale: 'sv' })).toEqual(['apple', 'zinnia', 'ärla']);
    expect(names({ values: words, order: 'descending' })).toEqual(['zinnia', 'ärla', 'apple']);
    expect(names({ values: words, order: 'as they come' })).toEqual(['zinnia', 'ärla', 'apple']);
    expect(names({ values: [100, 9, -2] })).toEqual(['-2', '9', '100']);
    const items = Int32Array.of(2, 0, 1, 3);
    expect(names({ values: words, order: 'as they come', items })).toEqual([
      'apple',
      'zinnia',
      'ärla',
    ]);
  });

  test('are calendar parts of dates, weeks as they begin where the reader is', () => {
    // 2026-11-29 is a Sunday.
    const values = ['2026-11-29', '2026-11-30T10:00:00+09:00', '2026-12-05', 'soon', undefined];
    expect(sectionsOf({ values, part: 'month' })).toEqual([
      ['November 2026', values.slice(0, 2)],
      ['December 2026', ['2026-12-05']],
      [undefined, ['soon', undefined]],
    ]);
    expect(sectionsOf({ values, part: 'month', locale: 'de' })[0]?.[0]).toBe('November 2026');
    expect(sectionsOf({ values, part: 'year' })[0]).toEqual(['2026', values.slice(0, 3)]);
    const weeks = (locale: string) =>
      sectionsOf({ values: values.slice(0, 3), part: 'week', locale }).map(([, own]) => own);
    expect(weeks('en-US')).toEqual([values.slice(0, 3)]);
    expect(weeks('de')).toEqual([['2026-11-29'], values.slice(1, 3)]);
    expect(weeks('ar-EG')).toEqual([values.slice(0, 2), ['2026-12-05']]);
    expect(sectionsOf({ values: ['2026-11-29'], part: 'week' })[0]?.[0]).toMatch(
      /Nov 29\s–\sDec 5, 2026/u,
    );
    expect(sectionsOf({ values, part: 'day', locale: 'en-GB' })[0]?.[0]).toBe(
      'Sunday, 29 November 2026',
    );
  });

  test('are first letters as the reader tells them apart', () => {
    const values = ['Élan', 'echo', 'åsna', 'Apple', '7 up', '  zed', 'ωmega', ''];
    expect(sectionsOf({ values, part: 'letter' }).map(([name]) => name)).toEqual([
      ...['A', 'E', 'Z', 'Ω', '#', undefined],
    ]);
    const swedish = sectionsOf({ values, part: 'letter', locale: 'sv' });
    expect(swedish.map(([name]) => name)).toEqual(['A', 'E', 'Z', 'Å', 'Ω', '#', undefined]);
  });
});
