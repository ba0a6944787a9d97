import type { Field } from '../../src/core/values';

const text = { type: 'text' } as const;
/** Items with something of every kind. */
export const fields: readonly Field[] = [
  { name: 'name', ...text, required: true },
  { name: 'kind', ...text, required: true },
  { name: 'first', ...text, required: true },
  { name: 'last', ...text, required: true },
  { name: 'note', ...text, required: false },
  { name: 'price', type: 'number', required: false },
  { name: 'qty', type: 'integer', required: true },
  { name: 'sold', type: 'boolean', required: true },
  { name: 'planted', type: 'date', required: true },
  {
    name: 'maker',
    type: 'record',
    required: false,
    fields: [{ name: 'town', ...text, required: false }],
  },
  { name: 'tags', type: 'list', of: text, required: true },
  { name: 'sizes', type: 'list', of: { type: 'number' }, required: true },
  {
    name: 'visits',
    type: 'list',
    required: true,
    of: {
      type: 'record',
      fields: [
        { name: 'cost', type: 'number', required: true },
        { name: 'note', ...text, required: false },
        { name: 'on', type: 'date', required: true },
        { name: 'done', type: 'boolean', required: true },
      ],
    },
  },
];
