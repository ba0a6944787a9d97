import type { Arrangement, List, SectionsOf } from './list';
import { type ListState, listStates } from './sequence/states';

/** The places of a list that have a template whatever an item chooses. */
const places = ['header', 'footer', 'above', 'below'] as const;

/** The templates of a list that stand for no single item of it: headings, inserts, what scrolls along. */
export function standingTemplates(list: List): readonly string[] {
  const { sections, inserts, arrangement } = list;
  const separators = arrangement.kind === 'list' ? arrangement.separators : false;
  const own = typeof separators === 'object' ? separators.template : undefined;
  return [
    ...places.map((place) => list[place]),
    ...listStates.map((state) => list.states?.[state] ?? undefined),
    ...[sections?.heading, sections?.footing, inserts?.template, own],
  ].flatMap((template) => template ?? []);
}

/** The same list with other templates in these places; undefined: none any more. */
export function mapStanding(list: List, change: (template: string) => string | undefined): List {
  const { header, footer, above, below, states, sections, inserts, arrangement, ...rest } = list;
  const changed = (template: string | undefined) =>
    template === undefined ? undefined : change(template);
  const [atStart, atEnd, insert] = [header, footer, inserts?.template].map(changed);
  const [atTop, atBottom] = [above, below].map(changed);
  return {
    ...rest,
    ...(sections !== undefined && { sections: sectionsWith(sections, changed) }),
    ...(inserts !== undefined &&
      insert !== undefined && { inserts: { ...inserts, template: insert } }),
    ...(atStart !== undefined && { header: atStart }),
    ...(atEnd !== undefined && { footer: atEnd }),
    ...(atTop !== undefined && { above: atTop }),
    ...(atBottom !== undefined && { below: atBottom }),
    ...(states !== undefined && { states: statesWith(states, changed) }),
    arrangement: separatorsWith(arrangement, changed),
  };
}

type Changed = (template: string | undefined) => string | undefined;

function sectionsWith({ heading, footing, ...rest }: SectionsOf, changed: Changed): SectionsOf {
  const [atStart, atEnd] = [heading, footing].map(changed);
  return {
    ...rest,
    ...(atStart !== undefined && { heading: atStart }),
    ...(atEnd !== undefined && { footing: atEnd }),
  };
}

function statesWith(
  states: NonNullable<List['states']>,
  changed: Changed,
): NonNullable<List['states']> {
  return Object.fromEntries(
    listStates.flatMap((state): [ListState, string | null][] => {
      const own = states[state];
      const next = typeof own === 'string' ? changed(own) : own;
      return next === undefined ? [] : [[state, next]];
    }),
  );
}

function separatorsWith(arrangement: Arrangement, changed: Changed): Arrangement {
  if (arrangement.kind !== 'list' || typeof arrangement.separators !== 'object') return arrangement;
  const { template, ...rest } = arrangement.separators;
  const own = changed(template);
  return { ...arrangement, separators: { ...rest, ...(own !== undefined && { template: own }) } };
}
