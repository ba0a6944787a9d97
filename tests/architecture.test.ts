import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { cruise, type IReporterOutput } from 'dependency-cruiser';
import { expect, test } from 'vitest';

/** The core's rooms and whom each may import; itself always. The rules of ARCHITECTURE.md. */
const core: Readonly<Record<string, readonly string[]>> = {
  base: [],
  values: ['base'],
  formats: ['base', 'values'],
  'by-example': ['base', 'values', 'formats'],
  items: ['base', 'values'],
  templates: ['base', 'values', 'formats'],
  layout: ['base', 'templates'],
  lists: ['base', 'values', 'templates'],
  pictures: ['base'],
  project: ['base', 'values', 'formats', 'items', 'templates', 'lists', 'pictures'],
};

const rules = [
  {
    name: 'no circles',
    severity: 'error',
    from: {},
    to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
  },
  ...Object.entries(core).map(([room, others]) => ({
    name: `core/${room} imports only ${others.join(', ') || 'nothing'}`,
    severity: 'error',
    from: { path: `^src/core/${room}/`, pathNot: '\\.test\\.ts$' },
    to: { path: '^src/', pathNot: `^src/core/(${[room, ...others].join('|')})/` },
  })),
  only('engine', ['core', 'engine', 'keeping']),
  only('keeping', ['core', 'keeping']),
  only('offline', ['offline']),
  only('render', ['core/(layout|lists|templates)', 'render']),
  only('studio', ['core', 'render', 'engine', 'keeping', 'studio']),
  {
    name: 'a station imports no other station and never the shell',
    severity: 'error',
    from: { path: '^src/studio/stations/([^/]+)/' },
    to: { path: '^src/studio/(stations|shell|start)/', pathNot: '^src/studio/stations/$1/' },
  },
  {
    name: 'shared imports neither stations nor shell',
    severity: 'error',
    from: { path: '^src/studio/shared/' },
    to: { path: '^src/studio/(stations|shell|start)/' },
  },
  {
    name: 'only the client knows the worker, and only pages load the client',
    severity: 'error',
    from: { path: '^(src|cli)/', pathNot: '^src/(engine|studio)/' },
    to: { path: '^src/engine/(client|worker)\\.ts$' },
  },
  {
    name: 'the command line has no screens',
    severity: 'error',
    from: { path: '^cli/' },
    to: { path: '^src/(render|studio|pages|keeping)/' },
  },
  {
    name: 'nothing imports tests',
    severity: 'error',
    from: { path: '^(src|cli)/', pathNot: '\\.test\\.ts$' },
    to: { path: '^tests/' },
  },
  {
    name: 'React only in the studio',
    severity: 'error',
    from: { path: '^(src/(core|engine|keeping|render)|cli)/' },
    to: { path: 'node_modules/react' },
  },
] as const;

function only(room: string, others: readonly string[]) {
  return {
    name: `${room} imports only ${others.join(', ')}`,
    severity: 'error',
    from: { path: `^src/${room}/`, pathNot: '\\.test\\.ts$' },
    to: { path: '^src/', pathNot: `^src/(${others.join('|')})/` },
  } as const;
}

test('every room imports only what it may', async () => {
  const result: IReporterOutput = await cruise(
    ['src', 'cli'],
    {
      ruleSet: { forbidden: [...rules] as never },
      tsPreCompilationDeps: true,
      doNotFollow: { path: 'node_modules' },
    },
    undefined,
    { tsConfig: undefined },
  );
  if (typeof result.output === 'string') throw new Error(result.output);
  const broken = result.output.summary.violations.map(
    ({ rule, from, to }) => `${rule.name}: ${from} -> ${to}`,
  );
  expect(broken).toEqual([]);
  expect(result.output.summary.totalCruised).toBeGreaterThan(80);
}, 60_000);

const files = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });

test('a room of the core is entered by its index from outside', () => {
  const strays = files('src')
    .filter((file) => /\.tsx?$/.test(file))
    .flatMap((file) => {
      const own = /^src\/core\/([^/]+)\//.exec(file)?.[1];
      const deep = [
        ...readFileSync(file, 'utf8').matchAll(
          /from '(?:\.\.\/)+(?:core\/)?(base|values|items|templates|layout|lists|project)\/[^']+'/g,
        ),
      ];
      return deep.filter((found) => found[1] !== own).map((found) => `${file}: ${found[0]}`);
    });
  expect(strays).toEqual([]);
});

test('files stay one thing: none past 500 lines, one in ten past 300 at most', () => {
  const lengths = [...files('src'), ...files('cli')]
    .filter((file) => /\.tsx?$/.test(file) && !file.endsWith('.test.ts'))
    .map((file) => [readFileSync(file, 'utf8').split('\n').length, file] as const)
    .sort((a, b) => b[0] - a[0]);
  expect(lengths.filter(([lines]) => lines > 500)).toEqual([]);
  expect(lengths.filter(([lines]) => lines > 300).length).toBeLessThanOrEqual(lengths.length / 10);
});

test('the core knows neither page nor Node', () => {
  const config = JSON.parse(readFileSync('src/core/tsconfig.json', 'utf8')) as {
    compilerOptions: unknown;
  };
  expect(config.compilerOptions).toEqual({ lib: ['ES2023'], types: [] });
});

test('no code is made from text, anywhere', () => {
  const made = [...files('src'), ...files('cli')]
    .filter((file) => /\.(tsx?|astro)$/.test(file) && !file.endsWith('.test.ts'))
    .filter((file) =>
      /\beval\(|new Function\b|dangerouslySetInnerHTML|innerHTML|set:html/.test(
        readFileSync(file, 'utf8'),
      ),
    );
  expect(made).toEqual([]);
});

test('a test makes every code of a finding happen', () => {
  const all = [...files('src'), ...files('cli'), ...files('tests')];
  const tests = all
    .filter((file) => /\.(test|spec)\.ts$/.test(file))
    .map((file) => readFileSync(file, 'utf8'))
    .join('\n');
  const codes = all
    .filter((file) => file.endsWith('findings.ts') && file.startsWith('src/core/'))
    .flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/(?:error|warning)\(\s*'([a-z-]+)'/g)].map(
        (found) => found[1] ?? '',
      ),
    );
  expect(codes.length).toBeGreaterThan(30);
  expect(codes.filter((code) => !tests.includes(`'${code}'`))).toEqual([]);
});
