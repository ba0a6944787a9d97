import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { cruise, type ICruiseOptions } from 'dependency-cruiser';
import { expect, test } from 'vitest';
import { type Rule, rules } from './rules';

/** By rule, the imports that break it. */
async function broken(own: readonly Rule[], baseDir: string, folders: readonly string[]) {
  const forbidden = own.map(({ name, from, to }) => ({ name, severity: 'error', from, to }));
  const options: ICruiseOptions = {
    baseDir,
    validate: true,
    ruleSet: { forbidden: forbidden as never },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
  };
  const { output } = await cruise([...folders], options);
  if (typeof output === 'string') throw new Error(output);
  const { violations, totalCruised } = output.summary;
  return {
    totalCruised,
    imports: violations.map(({ rule, from, to }) => `${rule.name}: ${from} -> ${to}`),
    names: new Set(violations.map(({ rule }) => rule.name)),
  };
}

test('every room imports only what it may, by the door, and nothing in a circle', async () => {
  const found = await broken(rules, process.cwd(), ['src', 'cli']);
  expect(found.imports).toEqual([]);
  expect(found.totalCruised).toBeGreaterThan(400);
}, 600_000);

test('every room of the core has its rule', () => {
  const rooms = readdirSync('src/core', { withFileTypes: true }).filter((each) =>
    each.isDirectory(),
  );
  const without = rooms.filter(
    ({ name }) => !rules.some((rule) => rule.name.startsWith(`core/${name} imports`)),
  );
  expect(without.map(({ name }) => name)).toEqual([]);
});

test('each of these rules can fail', async () => {
  for (const rule of rules) {
    const folder = mkdtempSync(join(tmpdir(), 'house-'));
    for (const [at, file] of rule.broken.entries()) {
      const next = rule.broken[at + 1];
      mkdirSync(join(folder, dirname(file)), { recursive: true });
      const to = next === undefined ? '' : relative(dirname(file), next).replace(/\.tsx?$/, '');
      const text =
        next === undefined
          ? 'export const a = 1;'
          : `import '${to.startsWith('.') ? to : `./${to}`}';`;
      if (rule.broken.indexOf(file) === at) writeFileSync(join(folder, file), text);
    }
    const { names } = await broken([rule], folder, rule.broken.slice(0, -1));
    rmSync(folder, { recursive: true });
    expect([rule.name, [...names]]).toEqual([rule.name, [rule.name]]);
  }
}, 600_000);

const files = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? files(path) : [path];
  });

test('files stay one thing: none past 500 lines, one in ten past 300 at most', () => {
  const lengths = [...files('src'), ...files('cli')]
    .filter((file) => /\.tsx?$/.test(file) && !file.endsWith('.test.ts'))
    .map((file) => [readFileSync(file, 'utf8').split('\n').length, file] as const)
    .sort((a, b) => b[0] - a[0]);
  expect(lengths.filter(([lines]) => lines > 500)).toEqual([]);
  expect(lengths.filter(([lines]) => lines > 300).length).toBeLessThanOrEqual(lengths.length / 10);
});

test('no folder holds more than 15 files beside their tests', () => {
  const byFolder = new Map<string, number>();
  for (const file of [...files('src'), ...files('cli')]) {
    if (!/\.tsx?$/.test(file) || /\.test\.ts$|\.d\.ts$/.test(file)) continue;
    const folder = dirname(file);
    byFolder.set(folder, (byFolder.get(folder) ?? 0) + 1);
  }
  expect(byFolder.size).toBeGreaterThan(40);
  expect([...byFolder].filter(([, fileCount]) => fileCount > 15)).toEqual([]);
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
    .filter((file) => /^(src|cli)\/.*\.tsx?$/.test(file) && !file.endsWith('.test.ts'))
    .flatMap((file) => [
      ...readFileSync(file, 'utf8').matchAll(
        /(?:error|warning|note)\(\s*'([a-z-]+)'|code: '([a-z-]+)'/g,
      ),
    ])
    .map(([, made, written]) => made ?? written ?? '');
  expect(codes.length).toBeGreaterThan(60);
  expect(
    codes.filter(
      (code) => !tests.includes(`'${code}'`) && !tests.includes(`[data-finding=${code}]`),
    ),
  ).toEqual([]);
});
