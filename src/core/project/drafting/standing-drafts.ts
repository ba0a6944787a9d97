import { type ListState, listStates } from '../../lists';
import { type Binding, draftLabel, draftStack, kinds, type StandingPart } from '../../templates';
import type { Draft } from './drafts';

/** What may stand beside the rows of a list, and is drafted where it is first wanted. */
export type DraftedPlace =
  | ListState
  | 'header'
  | 'heading'
  | 'insert'
  | 'separator'
  | 'footing'
  | 'footer'
  | 'above'
  | 'below';

const padding = { start: 16, end: 16, top: 6, bottom: 6 } as const;

const isState = (place: DraftedPlace): boolean => listStates.some((state) => state === place);
const besides = { ...padding, top: 0, bottom: 0 };
const roomy = { ...padding, top: 24, bottom: 24 };

/** A first template for a place; `listName`: in words, for what stands over the whole list. */
export function standingDraft(place: DraftedPlace, listName: string): Draft {
  const { about, parts } = drafts[place](listName);
  return {
    name: place,
    about,
    row: {
      ...draftStack('row', 'across', parts),
      padding: place === 'separator' ? besides : isState(place) ? roomy : padding,
    },
    formats: [],
  };
}

interface Drafted {
  readonly about: string;
  readonly parts: readonly StandingPart[];
}

const label = (id: string, text: Binding, style: string, shares = false) =>
  draftLabel(id, text, style, shares ? { share: 1 } : 'fit');

const says = (words: string): Drafted => ({
  about: `A line of words: ${words}`,
  parts: [label('words', words, 'small', true)],
});

const drafts: Readonly<Record<DraftedPlace, (listName: string) => Drafted>> = {
  header: (listName) => ({
    about: 'The name of the list, and how many rows it has',
    parts: [
      label('name', listName, 'title', true),
      label('count', { expr: 'section.count' }, 'small'),
    ],
  }),
  heading: () => ({
    about: 'What the items of a section have in common, and how many they are',
    parts: [
      label('name', { expr: 'section.name', else: '—' }, 'small', true),
      label('count', { expr: 'section.count' }, 'small'),
    ],
  }),
  insert: () => ({
    about: 'A line of words',
    parts: [label('words', 'Write here what is to be said', 'small', true)],
  }),
  separator: () => ({ about: 'A line', parts: [kinds.line.draft('line', 'row', 'beside')] }),
  footing: () => ({
    about: 'How many items a section has',
    parts: [label('count', { expr: '`${section.count} in all`' }, 'small', true)],
  }),
  above: (listName) => ({
    about: 'The name of the list, always in sight',
    parts: [label('name', listName, 'title', true)],
  }),
  below: () => ({
    about: 'How many rows there are, always in sight',
    parts: [label('count', { expr: '`${section.count} in all`' }, 'small', true)],
  }),
  loading: () => says('On its way …'),
  empty: () => says('There is nothing here yet.'),
  filtered: () => says('Nothing has these words.'),
  failed: () => says('It could not be brought. Try again.'),
  more: () => says('More is on its way …'),
  end: () => says('That is all.'),
  footer: () => ({
    about: 'How many rows the list has',
    parts: [label('count', { expr: '`${section.count} in all`' }, 'small', true)],
  }),
};
