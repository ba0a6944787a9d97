import { readdirSync } from 'node:fs';

/** A rule about imports, with one that breaks it: a guard that can't fail guards nothing. */
export interface Rule {
  readonly name: string;
  readonly from: object;
  readonly to: object;
  /** Files of which the first imports the second, and so on. */
  readonly broken: readonly string[];
}

const isTest = '\\.test\\.ts$';

const foldersIn = (folder: string): readonly string[] =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => `${folder}/${entry.name}`);

/** The core's rooms and whom each may import; itself always. The rules of ARCHITECTURE.md. */
const core: Readonly<Record<string, readonly string[]>> = {
  base: [],
  shape: ['base'],
  actions: ['base', 'shape'],
  values: ['base'],
  formats: ['base', 'values'],
  'by-example': ['base', 'values', 'formats'],
  items: ['base', 'values'],
  templates: ['base', 'shape', 'values', 'formats', 'actions'],
  text: ['base'],
  layout: ['base'],
  lists: ['base', 'layout', 'templates'],
  drawing: ['base', 'layout', 'lists', 'templates', 'text'],
  pictures: ['base'],
  fonts: ['base'],
  'design-tokens': ['base', 'templates'],
  project: [
    ...['base', 'shape', 'values', 'formats', 'items', 'actions', 'templates', 'lists'],
    ...['pictures', 'fonts'],
  ],
  arranged: ['base', 'layout', 'lists', 'items', 'values', 'templates', 'text'],
  packed: ['base', 'values', 'formats', 'items', 'actions', 'templates', 'lists', 'arranged'],
  handoff: [
    ...['base', 'shape', 'values', 'formats', 'items', 'actions', 'templates', 'lists'],
    ...['pictures', 'fonts', 'text', 'design-tokens', 'project', 'packed'],
  ],
};

const coreRules = Object.entries(core).map(([room, others]): Rule => {
  const stranger = [...Object.keys(core), 'nowhere'].find(
    (each) => each !== room && !others.includes(each),
  );
  return {
    name: `core/${room} imports only ${others.join(', ') || 'nothing'}`,
    from: { path: `^src/core/${room}/`, pathNot: isTest },
    to: { path: '^src/', pathNot: `^src/core/(${[room, ...others].join('|')})/` },
    broken: [`src/core/${room}/a.ts`, `src/core/${stranger}/index.ts`],
  };
});

function only(room: string, others: readonly string[], stranger: string): Rule {
  return {
    name: `${room} imports only ${others.join(', ')}`,
    from: { path: `^src/${room}/`, pathNot: isTest },
    to: { path: '^src/', pathNot: `^src/(${others.join('|')})/` },
    broken: [`src/${room}/a.ts`, stranger],
  };
}

/** Folders that are entered by their index; what is fetched when it is first wanted is a door of its own. */
const rooms = [
  ...foldersIn('src/core'),
  'src/engine',
  ...foldersIn('src/engine'),
  'src/keeping',
  'src/render',
  'src/studio/shell',
  'src/studio/start',
  ...foldersIn('src/studio/stations'),
];

const throughIndex = rooms.map((room): Rule => {
  const outside = room.startsWith('src/core/') ? 'src/engine/b.ts' : 'src/studio/b.ts';
  return {
    name: `${room} is entered by its index`,
    from: { pathNot: `^${room}/|${isTest}` },
    to: {
      path: `^${room}/`,
      pathNot: `^${room}/index\\.tsx?$|^src/engine/(client|worker)\\.ts$|^src/core/values/run\\.ts$|\\.css$`,
      dependencyTypesNot: ['dynamic-import'],
    },
    broken: [outside, `${room}/inside.ts`],
  };
});

export const rules: readonly Rule[] = [
  {
    name: 'no circles, of types neither',
    from: {},
    to: { circular: true },
    broken: ['src/core/base/one.ts', 'src/core/base/two.ts', 'src/core/base/one.ts'],
  },
  ...coreRules,
  only('engine', ['core', 'engine', 'keeping'], 'src/studio/index.ts'),
  only('keeping', ['core', 'keeping'], 'src/engine/index.ts'),
  only('offline', ['offline'], 'src/core/base/index.ts'),
  only(
    'render',
    ['core/(actions|base|layout|lists|templates|text)', 'render'],
    'src/core/values/index.ts',
  ),
  only(
    'runtime',
    [
      'core/(actions|arranged|base|items|layout|lists|packed|pictures|templates)',
      'render',
      'runtime',
    ],
    'src/engine/index.ts',
  ),
  only('studio', ['core', 'render', 'engine', 'keeping', 'studio'], 'src/offline/index.ts'),
  {
    name: 'a station imports no other station and never the shell',
    from: { path: '^src/studio/stations/([^/]+)/' },
    to: { path: '^src/studio/(stations|shell|start)/', pathNot: '^src/studio/stations/$1/' },
    broken: ['src/studio/stations/data/a.tsx', 'src/studio/stations/list/index.ts'],
  },
  {
    name: 'shared imports neither stations nor shell',
    from: { path: '^src/studio/shared/' },
    to: { path: '^src/studio/(stations|shell|start)/' },
    broken: ['src/studio/shared/a.ts', 'src/studio/shell/index.ts'],
  },
  {
    name: 'only the studio starts the worker',
    from: { path: '^(src|cli)/', pathNot: `^src/(engine|studio)/|${isTest}` },
    to: { path: '^src/engine/(client|worker)\\.ts$' },
    broken: ['cli/a.ts', 'src/engine/client.ts'],
  },
  {
    name: 'the command line has no screens',
    from: { path: '^cli/' },
    to: { path: '^src/(render|studio|pages|keeping)/' },
    broken: ['cli/b.ts', 'src/render/index.ts'],
  },
  {
    name: 'nothing imports tests',
    from: { path: '^(src|cli)/', pathNot: isTest },
    to: { path: '^tests/' },
    broken: ['src/core/base/c.ts', 'tests/support/index.ts'],
  },
  {
    name: 'React only in the studio',
    from: { path: '^(src/(core|engine|keeping|render)|cli)/' },
    to: { path: 'node_modules/react' },
    broken: ['src/render/react.ts', 'node_modules/react/index.js'],
  },
  ...throughIndex,
];
