// What holds without running anything: style, types, unused code. Exits with the number of checks that failed.
import { ensureInstalled, run } from './setup.mjs';

ensureInstalled();
const npx = (...args) =>
  run('npx', ['--no-install', ...args], { env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' } });

export const checks = [
  ['style', () => npx('biome', 'check', '--error-on-warnings', '.')],
  ['types of the core', () => npx('tsc', '-p', 'src/core/tsconfig.json')],
  ['types of the offline worker', () => npx('tsc', '-p', 'src/offline/tsconfig.json')],
  ['types of pages and all else', () => npx('astro', 'check', '--minimumSeverity', 'warning')],
  ['unused code', () => npx('knip')],
];

export function failedChecks() {
  return checks.filter(([name, check]) => {
    console.log(`Checking ${name} …`);
    return check() !== 0;
  });
}

if (import.meta.url === `file://${process.argv[1]}`) {
  const failed = failedChecks();
  for (const [name] of failed) console.error(`Not well: ${name}`);
  process.exit(failed.length);
}
