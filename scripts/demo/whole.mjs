// The whole shop as an app would have it: sections with headings that stick and fold, notices
// between the rows, bars, header and footer, a filter box, and something to show in each state.
const label = (id, text, style, more = {}) => ({ part: 'label', id, text, style, ...more });
const shares = { width: { share: 1 } };
const row = (children, more = {}) => ({
  ...{
    part: 'stack',
    id: 'row',
    direction: 'across',
    gap: 12,
    align: 'centre',
    width: { share: 1 },
  },
  padding: { start: 16, end: 16, top: 6, bottom: 6 },
  ...more,
  children,
});
const tall = { padding: { start: 16, end: 16, top: 28, bottom: 28 } };
const says = (id, words) => ({
  ...{ id, name: id.replaceAll('-', ' '), type: 'skein' },
  row: row([label('words', words, 'small', shares)], tall),
});

export const templates = [
  {
    ...{ id: 'shop-bar', name: 'bar above', type: 'skein' },
    row: row([
      label('name', 'Thrumwick', 'title', shares),
      label('open', 'open till six', 'small'),
    ]),
  },
  {
    ...{ id: 'shop-header', name: 'header', type: 'skein' },
    row: row([
      label(
        'count',
        { expr: '`${section.count} things to take home or to learn`' },
        'small',
        shares,
      ),
    ]),
  },
  {
    ...{ id: 'kind-heading', name: 'heading of a kind', type: 'skein' },
    row: row(
      [
        label(
          'kind',
          {
            expr: 'section.name === "skein" ? "Skeins" : section.name === "tool" ? "Tools" : "Classes"',
          },
          'value',
          shares,
        ),
        label('count', { expr: 'section.count' }, 'small'),
      ],
      { background: 'soft' },
    ),
  },
  {
    ...{ id: 'kind-footing', name: 'footing of a kind', type: 'skein' },
    row: row([
      label(
        'left',
        {
          expr: 'section.name === "class" ? null : `${section.items.filter(x => x.stock > 0).length} of ${section.count} in stock`',
          else: 'Ask at the counter for a place',
        },
        'small',
        shares,
      ),
    ]),
  },
  {
    ...{ id: 'notice-line', name: 'line', type: 'notice' },
    row: row(
      [
        label('words', { expr: 'words' }, 'small', { ...shares, lines: 2 }),
        label('until', { expr: 'until', format: 'day', else: null }, 'small'),
      ],
      { background: 'soft' },
    ),
  },
  says('shop-empty', 'The shelves are bare. Come back after the shearing.'),
  says('shop-filtered', 'Nothing in the shop has these words.'),
  says('shop-failed', 'The till does not answer. Try again.'),
  says('shop-end', 'That is all there is on the shelves.'),
];

export const list = {
  id: 'whole-shop',
  name: 'The whole shop',
  source: 'stock',
  choices: [
    { type: 'skein', template: { brief: 'skein-brief', rich: 'skein-rich' } },
    { type: 'tool', template: { brief: 'tool-brief', rich: 'tool-rich' } },
    { type: 'class', template: { brief: 'class-brief', rich: 'class-card' } },
  ],
  otherwise: null,
  order: [{ by: 'name' }],
  sections: {
    by: 'kind',
    order: 'descending',
    heading: 'kind-heading',
    footing: 'kind-footing',
    sticks: true,
    folds: 'open',
  },
  inserts: { from: 3, every: 6, inEachSection: true, template: 'notice-line', source: 'notices' },
  header: 'shop-header',
  above: 'shop-bar',
  states: {
    empty: 'shop-empty',
    filtered: 'shop-filtered',
    failed: 'shop-failed',
    end: 'shop-end',
  },
  filter: { fields: ['name', 'teacher', 'material'] },
  arrangement: {
    ...{ kind: 'list', gap: 0, edge: 0, separators: { inset: 16, thickness: 1 } },
    strips: {
      templates: ['class-card'],
      ...{ cell: 168, gap: 8, edge: 16, snaps: true, hasIndicator: true },
    },
  },
};
