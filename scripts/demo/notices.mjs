// What the shop pins to its door: a source of its own, shown between the rows of the whole list.
export const notices = [
  ['Closed on Monday for the dye pots', '2026-03-09'],
  ['Wool week: spinning at the door, every day at noon', '2026-04-18'],
  ['Natural dyes differ from lot to lot. Ask for the same lot.', null],
  ['Parcels go out on Tuesday and Friday', null],
  ['The madder is late this year', '2026-05-30'],
  ['Bring your empty cones, we fill them again', null],
  ['A seat is free at the loom on Thursdays', '2026-03-26'],
  ['Hands wanted for the fleece table', '2026-06-13'],
].map(([words, until], at) => ({
  no: `no-${String(at + 1).padStart(2, '0')}`,
  words,
  ...(until !== null && { until }),
}));

export const source = {
  id: 'notices',
  name: 'notices',
  from: { file: 'door.json', format: 'json', at: '$[*]' },
  key: 'no',
  discriminator: null,
};

export const list = {
  id: 'door',
  name: 'On the door',
  source: 'notices',
  choices: [],
  otherwise: 'notice-line',
  arrangement: { kind: 'grid', columns: { least: 150 }, gap: 8, edge: 12 },
};

export const type = {
  id: 'notice',
  name: 'notice',
  source: 'notices',
  value: null,
  fields: [
    { name: 'no', type: 'text', required: true },
    { name: 'words', type: 'text', required: true },
    { name: 'until', type: 'date', required: false },
  ],
};
