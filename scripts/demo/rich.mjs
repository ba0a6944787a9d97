// A row of each type that says more: what a shop would put in its window. Two of them share how a
// price and what is left of it stand.
const value = (expr, more = {}) => ({ expr, ...more });
const row = (children, more = {}) => ({
  ...{ part: 'stack', id: 'row', direction: 'across', gap: 12, align: 'start' },
  padding: { start: 16, end: 16, top: 12, bottom: 12 },
  ...more,
  children,
});
const column = (id, more, children) => ({
  ...{ part: 'stack', id, direction: 'down', gap: 4, align: 'start', ...more, children },
});
const line = (id, children, more = {}) => ({
  ...{ part: 'stack', id, direction: 'across', gap: 'small', align: 'centre', ...more, children },
});
const label = (id, text, style, more = {}) => ({ part: 'label', id, text, style, ...more });

const priceAndStock = {
  id: 'price-and-stock',
  name: 'price and stock',
  inputs: [
    { type: 'number', name: 'price', required: false },
    { type: 'text', name: 'currency', required: true },
    { type: 'integer', name: 'stock', required: true },
  ],
  row: {
    ...{ part: 'stack', id: 'row', direction: 'down', gap: 2, align: 'end' },
    children: [
      label('price', value('price', { format: 'price', else: 'ask us' }), 'value', {
        numerals: 'tabular',
      }),
      label('left', value('stock', { format: 'left' }), 'small', {
        colour: value('stock == 0 ? "ash" : stock < 5 ? "madder" : "moss"'),
      }),
    ],
  },
};
const used = (of) => ({
  ...{ part: 'shared', id: 'price', of: priceAndStock.id, width: 'fit' },
  inputs: Object.fromEntries(of.map((name) => [name, { expr: name }])),
});

const skein = row(
  [
    {
      ...{ part: 'image', id: 'picture', picture: value('picture ?? "skein-plain"') },
      ...{ fit: 'cover', radius: 'circle', width: { fixed: 56 }, height: { fixed: 56 } },
      ...{ ring: 2, ringGap: 2, ringColour: value('stock == 0 ? "rule" : "woad"') },
    },
    column('words', { width: { share: 1 }, align: 'stretch' }, [
      label('name', value('name'), 'title', { lines: 2, width: { share: 1 } }),
      line('reviews', [
        {
          ...{ part: 'rating', id: 'stars', of: 5, steps: 'half', size: 14 },
          value: value('average(reviews, (review) => review.stars)'),
          name: value('`${average(reviews, (review) => review.stars)} of 5 stars`'),
          leaves: value('reviews.length == 0'),
        },
        label('how-many', value('reviews.length', { format: 'reviews' }), 'small'),
      ]),
      {
        ...line('dyes', [
          {
            ...{ part: 'badge', id: 'dye', text: value('each'), tint: 'soft', colour: 'ink' },
          },
        ]),
        ...{ over: value('(dye ?? "").split(", ")'), max: 3, more: value('`+${rest}`') },
        leaves: value('dye == null'),
      },
    ]),
    used(['price', 'currency', 'stock']),
  ],
  { leadsOn: value('stock > 0'), tap: 'open', swipeStart: 'sell', swipeEnd: 'take-off' },
);

const tool = row([
  {
    ...{ part: 'image', id: 'picture', picture: value('picture'), fit: 'cover', radius: 8 },
    ...{ width: { fixed: 56 }, aspect: 1 },
  },
  column('words', { width: { share: 1 }, align: 'stretch' }, [
    label('name', value('name'), 'title', { lines: 2, width: { share: 1 } }),
    label('material', value('material'), 'small', {
      width: { share: 1 },
      runs: [{ part: 'run', id: 'use', text: value('use'), colour: 'woad', italic: true }],
    }),
    {
      ...{ part: 'meter', id: 'stock', value: value('stock'), min: 0, max: 40, low: 3 },
      ...{ optimum: 40, thickness: 4, width: { share: 1 } },
      name: value('stock', { format: 'left' }),
    },
    {
      ...{ part: 'link', id: 'care', text: 'How to look after it', style: 'small' },
      address: value('`https://thrumwick.example/care/${use}`'),
    },
  ]),
  column('figures', { align: 'end' }, [
    used(['price', 'currency', 'stock']),
    line(
      'loan',
      [
        label('by-the-week', 'on loan', 'small'),
        { part: 'switch', id: 'is-lent', on: true, enabled: false, name: 'On loan' },
      ],
      { leaves: value('price != null') },
    ),
  ]),
]);

const classes = row(
  [
    column(
      'day',
      { align: 'centre', width: { fixed: 56 }, background: 'soft', radius: 8, padding: 'small' },
      [
        {
          ...{ part: 'image', id: 'calendar', picture: 'calendar-days', tint: 'woad' },
          ...{ width: { fixed: 20 }, height: { fixed: 20 } },
        },
        label('date', value('day', { format: 'day-and-month' }), 'small', { align: 'centre' }),
      ],
    ),
    column('words', { width: { share: 1 }, align: 'stretch' }, [
      label('name', value('name'), 'title', {
        ...{ lines: 2, width: { share: 1 }, strike: value('cancelled') },
        colour: value('cancelled ? "ash" : "ink"'),
      }),
      label('who', value('`${starts}, ${hours} h, with **${who}**`'), 'small', {
        ...{ markup: 'inline', width: { share: 1 } },
      }),
      {
        ...{ part: 'progress', id: 'taken', value: value('taken'), max: value('places') },
        ...{ thickness: 4, width: { share: 1 }, tint: value('free == 0 ? "madder" : "woad"') },
        name: value('`${taken} of ${places} places taken`'),
      },
    ]),
    column('booking', { align: 'end' }, [
      {
        ...{ part: 'badge', id: 'free', text: value('free'), tint: 'moss', atZero: 'leaves' },
        name: value('free', { format: 'places' }),
      },
      {
        ...{ part: 'button', id: 'book', text: 'Book', kind: 'outlined', tint: 'woad' },
        enabled: value('free > 0 && !cancelled'),
        tap: 'book',
      },
    ]),
  ],
  { enabled: value('!cancelled'), tap: 'open', press: 'call-off' },
);

const template = (type, own) => ({ id: `${type}-rich`, name: 'rich', type, row: own });

export const icons = ['calendar-days'];
export const actions = [
  { id: 'open', words: 'Look at it', effect: { does: 'go', to: 'Details' } },
  {
    ...{ id: 'sell', words: 'Sell one', colour: 'moss', when: 'stock > 0' },
    payload: { expr: '`one of ${name}`' },
    effect: { does: 'write', field: 'stock', value: 'stock - 1' },
  },
  { id: 'take-off', words: 'Take off', colour: 'madder', effect: { does: 'delete' } },
  {
    ...{ id: 'book', words: 'Book a place', when: 'free > 0', payload: { expr: 'name' } },
    effect: { does: 'write', field: 'free', value: 'free - 1' },
  },
  {
    ...{ id: 'call-off', words: 'Call it off', colour: 'madder', payload: 'key' },
    effect: { does: 'write', field: 'cancelled', value: 'true' },
  },
];
export const sharedParts = [priceAndStock];
export const formats = [
  {
    ...{ id: 'reviews', name: 'how many reviews', as: 'message' },
    message:
      '.input {$value :number} .match $value 0 {{no reviews yet}} one {{{$value} review}} * {{{$value} reviews}}',
  },
  { id: 'day-and-month', name: 'day and month', as: 'date', pattern: 'd MMM' },
];
export const templates = [
  template('skein', skein),
  template('tool', tool),
  template('class', classes),
];
export const list = {
  ...{ id: 'shop-window', name: 'In the shop window', source: 'stock' },
  choices: ['skein', 'tool', 'class'].map((type) => ({ type, template: `${type}-rich` })),
  otherwise: null,
  ...{ reorders: true, animates: true },
  arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
};
