import type { Project } from '../../src/core/project';
import {
  type Bound,
  draftLabel,
  draftStack,
  type StackPart,
  type StandingPart,
} from '../../src/core/templates';

const by = (expr: string): Bound => ({ expr });
/** Two of the five properties that each part has bound. */
const some = {
  opacity: by('stock == 0 ? 0.6 : 1'),
  unseen: by('rank < 0'),
};
const tint = by('stock < 5 ? "madder" : "woad"');
const colour = by('stock < 5 ? "madder" : "ink"');
const width = by('grams < 0 ? 10 : 60');

/** Ten parts with five bound properties each. */
const parts: readonly StandingPart[] = [
  {
    ...draftLabel('words', by('name'), 'title'),
    ...some,
    colour,
    weight: by('stock < 5 ? 700 : 500'),
  },
  {
    ...draftLabel('maker', by('`${maker.name} · ${grams} g`'), 'small'),
    ...some,
    colour,
    italic: by('checked'),
  },
  {
    ...draftLabel('cost', by('price * stock'), 'value'),
    ...some,
    colour,
    strike: by('stock == 0'),
  },
  { part: 'badge', id: 'count', text: by('stock'), ...some, tint, colour: by('"soft"') },
  {
    part: 'progress',
    id: 'share',
    value: by('stock'),
    max: by('80'),
    ...some,
    tint,
    width: { fixed: 60 },
  },
  {
    part: 'meter',
    id: 'room',
    value: by('grams'),
    max: by('300'),
    low: by('30'),
    ...some,
    width: { fixed: 60 },
  },
  {
    part: 'rating',
    id: 'stars',
    value: by('stock % 6'),
    ...some,
    tint,
    name: by('`${stock % 6} stars`'),
  },
  {
    part: 'switch',
    id: 'is-checked',
    on: by('checked'),
    enabled: by('stock > 0'),
    ...some,
    name: by('name'),
  },
  { part: 'swatch', id: 'shade', colour: tint, ...some, name: by('shade'), leaves: by('rank < 0') },
  {
    part: 'slider',
    id: 'how-many',
    value: by('stock'),
    max: by('80'),
    ...some,
    width,
    name: 'How many',
  },
];

const inLines = (first: number, last: number): StackPart =>
  draftStack(`line-${first}`, 'across', parts.slice(first, last));

/** A row of them. */
export const richRow: StackPart = draftStack('row', 'down', [
  inLines(0, 3),
  inLines(3, 7),
  inLines(7, 10),
]);

/** Skeins have rows of ten parts. */
export const withRichRows = (project: Project): Project => ({
  ...project,
  templates: project.templates.map((template) =>
    template.type === 'skein' ? { ...template, row: richRow } : template,
  ),
});
