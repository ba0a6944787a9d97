import { failed, ok, type Result } from '../../../base';
import type {
  Inserts,
  List,
  ListFilter,
  ListHabit,
  ListState,
  SectionsOf,
  SelectionMode,
  Separators,
} from '../../../lists';
import { type Project, withId } from '../../project';
import type { Edit } from '../edit';
import { editList } from './edit-list';

/** Where one template stands beside the rows of a list. */
export type StandingPlace = End | 'heading' | 'separator' | 'footing';

/** At an end of the whole list: it scrolls along, or stays in sight. */
const ends = ['header', 'footer', 'above', 'below'] as const;
type End = (typeof ends)[number];
const isEnd = (place: StandingPlace): place is End => ends.some((each) => each === place);

/** Items of a list in sections; undefined: in none any more. */
export function divide(list: string, sections: SectionsOf | undefined): Edit {
  const name = sections === undefined ? 'No sections' : `Sections by ${sections.by ?? 'source'}`;
  return editList(name, list, ({ sections: _, arrangement, ...own }, project) => {
    if (sections?.by?.trim() === '')
      return failed('Sections need something that they are made by.');
    const wrong = unknownIn(project, sections?.heading) ?? unknownIn(project, sections?.footing);
    if (wrong !== undefined) return failed(wrong);
    return ok({ ...own, ...(sections !== undefined && { sections }), arrangement });
  });
}

/** What comes after every so many rows; undefined: nothing any more. */
export function insertBetween(list: string, inserts: Inserts | undefined): Edit {
  const name = inserts === undefined ? 'No inserts' : `Insert after every ${inserts.every}`;
  return editList(name, list, ({ inserts: _, arrangement, ...own }, project) => {
    if (inserts === undefined) return ok({ ...own, arrangement });
    const { from, every, template, source } = inserts;
    if (![from, every].every((count) => Number.isInteger(count) && count >= 1))
      return failed('Rows are counted in whole numbers, from 1.');
    const wrong = unknownIn(project, template);
    if (wrong !== undefined) return failed(wrong);
    if (source !== undefined && withId(project.sources, source) === undefined)
      return failed(`There is no source "${source}".`);
    return ok({ ...own, inserts, arrangement });
  });
}

/** The template of a place beside the rows; undefined: nothing stands there any more. */
export function stand(list: string, place: StandingPlace, template: string | undefined): Edit {
  return editList(template === undefined ? `No ${place}` : `Set ${place}`, list, (own, project) => {
    const wrong = unknownIn(project, template);
    return wrong === undefined ? standing(own, place, template) : failed(wrong);
  });
}

/** Whether the ground of bars goes on where the device keeps room for itself. */
export function coverSafeAreas(list: string, covers: boolean): Edit {
  const name = covers ? 'Cover safe areas' : 'Keep safe areas clear';
  return editList(name, list, ({ coversSafeAreas: _, arrangement, ...own }) =>
    ok({ ...own, ...(covers && { coversSafeAreas: true }), arrangement }),
  );
}

/** How many rows may be selected; undefined: none. */
export function selectRows(list: string, mode: SelectionMode | undefined): Edit {
  const name = mode === undefined ? 'Select no rows' : `Select rows: ${mode}`;
  return editList(name, list, ({ selects: _, arrangement, ...own }) =>
    ok({ ...own, ...(mode !== undefined && { selects: mode }), arrangement }),
  );
}

const habitWords: Readonly<Record<ListHabit, string>> = {
  reorders: 'moving rows',
  refreshes: 'refreshing by pulling',
  animates: 'moving what changes',
  holdsNew: 'holding new rows back',
};

/** Whether a list has a habit. */
export function takeHabit(list: string, habit: ListHabit, isOn: boolean): Edit {
  return editList(`${isOn ? 'Allow' : 'No'} ${habitWords[habit]}`, list, (own) => {
    const { [habit]: _, arrangement, ...others } = own;
    return ok({ ...others, ...(isOn && { [habit]: true }), arrangement });
  });
}

/** What is shown in a state; null: nothing, on purpose; undefined: what the app shows of itself. */
export function showInState(
  list: string,
  state: ListState,
  template: string | null | undefined,
): Edit {
  const name = template === undefined ? `Nothing said of ${state}` : `Set what ${state} shows`;
  return editList(name, list, ({ states = {}, arrangement, ...own }, project) => {
    const wrong = unknownIn(project, template ?? undefined);
    if (wrong !== undefined) return failed(wrong);
    const { [state]: _, ...others } = states;
    const next = template === undefined ? others : { ...others, [state]: template };
    const hasAny = Object.keys(next).length > 0;
    return ok({ ...own, ...(hasAny && { states: next }), arrangement });
  });
}

/** A box above the rows that lets through what has all words in some fields; undefined: none any more. */
export function filterBy(list: string, filter: ListFilter | undefined): Edit {
  const name = filter === undefined ? 'No filter box' : `Filter by ${filter.fields.join(', ')}`;
  return editList(name, list, ({ filter: _, arrangement, ...own }) => {
    if (filter?.fields.length === 0) return failed('A filter box needs a field to look in.');
    return ok({ ...own, ...(filter !== undefined && { filter }), arrangement });
  });
}

function standing(
  list: List,
  place: StandingPlace,
  template: string | undefined,
): Result<List, string> {
  if (place === 'separator') return separated(list, template);
  if (isEnd(place)) {
    const { [place]: _, arrangement, ...rest } = list;
    return ok({ ...rest, ...(template !== undefined && { [place]: template }), arrangement });
  }
  const { sections } = list;
  if (sections === undefined) return failed('The list has no sections.');
  const { [place]: _, ...rest } = sections;
  return ok({
    ...list,
    sections: { ...rest, ...(template !== undefined && { [place]: template }) },
  });
}

function separated(list: List, template: string | undefined): Result<List, string> {
  const { arrangement } = list;
  if (arrangement.kind !== 'list') return failed('Separators stand in a list only.');
  const { template: _, ...said }: Separators =
    typeof arrangement.separators === 'object' ? arrangement.separators : {};
  const separators = { ...said, ...(template !== undefined && { template }) };
  return ok({ ...list, arrangement: { ...arrangement, separators } });
}

const unknownIn = ({ templates }: Project, template: string | undefined): string | undefined =>
  template === undefined || withId(templates, template) !== undefined
    ? undefined
    : `There is no template "${template}".`;
