// Rows that stand side by side in a strip: narrow and high, the day on top.
const value = (expr, more = {}) => ({ expr, ...more });
const label = (id, text, style, more = {}) => ({ part: 'label', id, text, style, ...more });
const shares = { width: { share: 1 } };

export const templates = [
  {
    ...{ id: 'class-card', name: 'card', type: 'class' },
    row: {
      ...{ part: 'stack', id: 'row', direction: 'down', gap: 6, align: 'stretch' },
      ...{ background: 'soft', radius: 10, padding: { start: 12, end: 12, top: 10, bottom: 10 } },
      enabled: value('!cancelled'),
      children: [
        {
          ...{ part: 'stack', id: 'when', direction: 'across', gap: 6, align: 'centre' },
          children: [
            {
              ...{ part: 'image', id: 'calendar', picture: 'calendar-days', tint: 'woad' },
              ...{ width: { fixed: 16 }, height: { fixed: 16 } },
            },
            label('date', value('day', { format: 'day-and-month' }), 'small', shares),
            {
              ...{ part: 'badge', id: 'free', text: value('free'), tint: 'moss', atZero: 'leaves' },
              name: value('free', { format: 'places' }),
            },
          ],
        },
        label('name', value('name'), 'value', {
          ...{ lines: 2, strike: value('cancelled'), ...shares },
          colour: value('cancelled ? "ash" : "ink"'),
        }),
        label('who', value('who'), 'small', shares),
      ],
    },
  },
];
