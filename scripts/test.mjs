// `npm test`: sets up what is missing, then checks, unit tests and browser journeys. The last line
// counts them all.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, openSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root, run } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
const { checks } = await import('./check.mjs');

const results = join(root, '.cache/tests');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
// Beside the unit tests: neither waits for the other.
const said = join(results, 'checks.log');
const log = openSync(said, 'w');
const checking = once(
  spawn(process.execPath, ['scripts/check.mjs'], { cwd: root, stdio: ['ignore', log, log] }),
  'exit',
);

run('npx', [
  '--no-install',
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  '--outputFile.json=.cache/tests/units.json',
]);
const [status] = await checking;
const failedChecks = status ?? checks.length;
console.log(readFileSync(said, 'utf8'));
run('npx', ['--no-install', 'playwright', 'test']);

const read = (name) =>
  existsSync(join(results, name))
    ? JSON.parse(readFileSync(join(results, name), 'utf8'))
    : undefined;
const units = read('units.json');
const journeys = read('journeys.json');
// A runner that died without a report is one failure.
const passed =
  checks.length - failedChecks + (units?.numPassedTests ?? 0) + (journeys?.stats.expected ?? 0);
const wrong =
  failedChecks +
  (units === undefined
    ? 1
    : units.numFailedTests +
      units.testResults.filter(
        (file) => file.status === 'failed' && file.assertionResults.length === 0,
      ).length) +
  (journeys === undefined
    ? 1
    : journeys.stats.unexpected + journeys.stats.flaky + journeys.errors.length);
console.log(`${passed} passed, ${wrong} failed`);
process.exit(wrong === 0 ? 0 : 1);
