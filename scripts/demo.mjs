// Writes the demo project: the shop's items as they would come from its till, a template for each
// type, and the pictures, which are drawn here. Run it after a change to scripts/demo/.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import * as cards from './demo/cards.mjs';
import { classes } from './demo/classes.mjs';
import * as door from './demo/notices.mjs';
import { pictures as drawn } from './demo/pictures.mjs';
import * as rich from './demo/rich.mjs';
import { skeins } from './demo/skeins.mjs';
import { tools } from './demo/tools.mjs';
import * as whole from './demo/whole.mjs';
import { allIcons } from './icons.mjs';

const makers = {
  hollow: { name: 'Hollow Fell', town: 'Ousby', since: 1987 },
  tarn: { name: 'Upper Tarn Wool Guild', town: 'Tarnside', since: 2004 },
  garth: { name: 'Little Garth', town: 'Garth' },
};
const present = (item) =>
  Object.fromEntries(Object.entries(item).filter(([, value]) => value !== undefined));

const items = [
  ...skeins.map(([name, price, grams, stock, dyedOn, maker, dye, picture], i) =>
    present({
      id: `sk-${String(417 + i).padStart(4, '0')}`,
      kind: 'skein',
      name,
      picture: picture === null ? undefined : `skein-${picture}`,
      price: price ?? undefined,
      currency: 'EUR',
      grams,
      stock,
      dyedOn: dyedOn ?? undefined,
      maker: maker === null ? undefined : makers[maker],
      dye: dye ?? undefined,
      reviews: Array.from({ length: (i * 7) % 5 }, (_, n) => ({
        stars: 5 - ((i + n) % 3),
        words: ['Soft.', 'Even twist.', 'Took the dye well.'][n % 3],
      })),
    }),
  ),
  ...tools.map(([name, price, stock, material, use, picture], i) =>
    present({
      id: `to-${String(100 + i)}`,
      kind: 'tool',
      name,
      picture: `tool-${picture}`,
      price: price ?? undefined,
      currency: 'EUR',
      stock,
      material,
      use,
    }),
  ),
  ...classes.map(([name, day, starts, hours, places, taken, teacher, price, cancelled], i) =>
    present({
      id: `cl-${String(20 + i)}`,
      kind: 'class',
      name,
      day,
      starts,
      hours,
      places,
      taken,
      free: places - taken,
      teacher: teacher ?? undefined,
      price,
      currency: 'EUR',
      cancelled,
    }),
  ),
];
// A till lists what moved last, not one kind after the other.
const mixed = items
  .map((item, i) => [(i * 37) % 90, item])
  .sort((a, b) => a[0] - b[0])
  .map(([, item]) => item);

const field = (name, type, required = true, more = {}) => ({ name, required, type, ...more });
const common = [field('id', 'text'), field('kind', 'text'), field('name', 'text')];
const maker = field('maker', 'record', false, {
  fields: [field('name', 'text'), field('town', 'text'), field('since', 'integer', false)],
});
const reviews = field('reviews', 'list', true, {
  of: { type: 'record', fields: [field('stars', 'integer'), field('words', 'text')] },
});

const label = (id, text, style, width = 'fit', more = {}) => ({
  part: 'label',
  id,
  text,
  style,
  ...(width !== 'fit' && { width }),
  ...more,
});
const image = (id, expr, shape) => ({
  part: 'image',
  id,
  picture: { expr },
  fit: 'cover',
  radius: shape === 'circle' ? 'circle' : shape === 'rounded' ? 6 : 0,
});
const stack = (id, direction, gap, align, width, children) => ({
  part: 'stack',
  id,
  direction,
  gap,
  align,
  width,
  children,
});
const row = (children) => ({
  ...stack('row', 'across', 12, 'centre', { share: 1 }, children),
  padding: { start: 16, end: 16, top: 10, bottom: 10 },
});
const value = (expr, more = {}) => ({ expr, ...more });

const formats = [
  { id: 'price', name: 'price', as: 'money', currency: { expr: 'currency' } },
  { id: 'day', name: 'day', as: 'date', date: 'medium' },
  {
    id: 'left',
    name: 'how many left',
    as: 'message',
    message: '.input {$value :number} .match $value 0 {{sold out}} * {{{$value} left}}',
  },
  {
    id: 'places',
    name: 'places',
    as: 'message',
    message:
      '.input {$value :number} .match $value 0 {{full}} one {{{$value} place}} * {{{$value} places}}',
  },
  {
    id: 'when-and-who',
    name: 'when and who',
    as: 'message',
    message: '{$value :date length=medium}, {$starts} · {$who}',
  },
  ...rich.formats,
];

/** A function of the core, whose files are TypeScript. */
async function core(from, name) {
  const { outputFiles } = await build({
    stdin: {
      contents: `export { ${name} } from '${from}';`,
      resolveDir: fileURLToPath(new URL('..', import.meta.url)),
    },
    bundle: true,
    format: 'esm',
    write: false,
  });
  const code = Buffer.from(outputFiles[0].contents).toString('base64');
  return (await import(`data:text/javascript;base64,${code}`))[name];
}

const contentIdOf = await core('./src/core/pictures', 'contentIdOf');
const iconDrawing = await core('./src/studio/shared/opening/icon-drawing', 'iconDrawing');
const icons = await allIcons();
const pictures = [
  ...drawn,
  ...rich.icons.map((name) => ({
    name,
    mediaType: 'image/svg+xml',
    base64: Buffer.from(iconDrawing(icons[name])).toString('base64'),
  })),
];

const project = {
  yarncard: 2,
  name: 'Thrumwick shop',
  sources: [
    {
      id: 'stock',
      name: 'stock',
      from: { file: 'till.json', format: 'json', at: '$.stock[*]' },
      key: 'id',
      discriminator: 'kind',
    },
    door.source,
  ],
  types: [
    {
      id: 'skein',
      name: 'skein',
      source: 'stock',
      value: 'skein',
      fields: [
        ...common,
        field('picture', 'text', false),
        field('price', 'number', false),
        field('currency', 'text'),
        field('grams', 'integer'),
        field('stock', 'integer'),
        field('dyedOn', 'date', false),
        maker,
        field('dye', 'text', false),
        reviews,
      ],
    },
    {
      id: 'tool',
      name: 'tool',
      source: 'stock',
      value: 'tool',
      fields: [
        ...common,
        field('picture', 'text'),
        field('price', 'number', false),
        field('currency', 'text'),
        field('stock', 'integer'),
        field('material', 'text'),
        field('use', 'text'),
      ],
    },
    {
      id: 'class',
      name: 'class',
      source: 'stock',
      value: 'class',
      fields: [
        ...common,
        field('day', 'date'),
        field('starts', 'text'),
        field('hours', 'number'),
        field('places', 'integer'),
        field('taken', 'integer'),
        field('free', 'integer'),
        field('teacher', 'text', false),
        field('price', 'integer'),
        field('currency', 'text'),
        field('cancelled', 'boolean'),
        field('who', 'text', true, { expr: 'teacher ?? "all of us"' }),
      ],
    },
    door.type,
  ],
  templates: [
    {
      id: 'skein-brief',
      name: 'brief',
      type: 'skein',
      row: row([
        image('picture', 'picture ?? "skein-plain"', 'circle'),
        stack('words', 'down', 2, 'stretch', { share: 1 }, [
          label('name', value('name'), 'title', { share: 1 }),
          label(
            'maker-and-weight',
            value('`${maker.name ?? "unknown maker"} · ${grams} g`'),
            'small',
            { share: 1 },
          ),
        ]),
        stack('figures', 'down', 2, 'end', 'fit', [
          label('price', value('price', { format: 'price', else: 'on request' }), 'value'),
          label('in-stock', value('stock', { format: 'left' }), 'small'),
        ]),
      ]),
    },
    {
      id: 'tool-brief',
      name: 'brief',
      type: 'tool',
      row: row([
        image('picture', 'picture', 'rounded'),
        stack('words', 'down', 2, 'stretch', { share: 1 }, [
          label('name', value('name'), 'title', { share: 1 }),
          label('material', value('material'), 'small', { share: 1 }),
        ]),
        label('price', value('price', { format: 'price', else: 'on loan' }), 'value'),
      ]),
    },
    {
      id: 'class-brief',
      name: 'brief',
      type: 'class',
      row: row([
        stack('words', 'down', 2, 'stretch', { share: 1 }, [
          label('name', value('name'), 'title', { share: 1 }),
          label('when-and-who', value('day', { format: 'when-and-who' }), 'small', { share: 1 }),
        ]),
        label('free', value('free', { format: 'places' }), 'value'),
      ]),
    },
    ...rich.templates,
    ...whole.templates,
    ...cards.templates,
  ],
  sharedParts: rich.sharedParts,
  actions: rich.actions,
  lists: [
    {
      id: 'everything',
      name: 'Everything in the shop',
      source: 'stock',
      choices: [
        { type: 'skein', template: { brief: 'skein-brief', rich: 'skein-rich' } },
        { type: 'tool', template: { brief: 'tool-brief', rich: 'tool-rich' } },
        { type: 'class', template: { brief: 'class-brief', rich: 'class-rich' } },
      ],
      otherwise: null,
      arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
    },
    rich.list,
    whole.list,
    door.list,
  ],
  looks: [
    { id: 'brief', name: 'brief' },
    { id: 'rich', name: 'rich' },
  ],
  pictures: pictures.map(({ name, mediaType, base64 }) => ({
    name,
    mediaType,
    content: contentIdOf(base64),
  })),
  formats,
  locales: ['en-GB', 'de', 'ar', 'ja'],
  contents: Object.fromEntries(pictures.map(({ base64 }) => [contentIdOf(base64), base64])),
};

const head = JSON.stringify(project, null, 2).slice(0, -2);
const sources = [
  ['stock', mixed],
  ['notices', door.notices],
].map(
  ([source, own]) =>
    `    {\n      "source": "${source}",\n      "items": [${own.map((item) => `\n        ${JSON.stringify(item)}`).join(',')}\n      ]\n    }`,
);
const file = `${head},\n  "items": [\n${sources.join(',\n')}\n  ]\n}\n`;
writeFileSync(new URL('../public/demo/thrumwick.yarncard.json', import.meta.url), file);
console.log(
  `public/demo/thrumwick.yarncard.json: ${mixed.length} items, ${pictures.length} pictures`,
);
