import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { chromiumArguments, chromiumPath } from './scripts/chromium.mjs';

const port = Number(process.env['TEST_PORT'] ?? 4381);

// Journeys run on the built application: only there the security policy is sent.
export default defineConfig({
  testDir: 'tests/journeys',
  // A busy machine is several times slower; nothing here is about time.
  timeout: 400_000,
  expect: { timeout: 60_000 },
  // A page that is drawn without a graphics card keeps two cores busy.
  workers: Math.max(1, Math.floor(availableParallelism() / 2)),
  reporter: [['line'], ['json', { outputFile: '.cache/tests/journeys.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // Journeys without a server let it in: see `offline.spec.ts`.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath,
      args: chromiumArguments,
    },
  },
  webServer: {
    command: 'node scripts/start.mjs',
    env: { PORT: String(port), HOST: '127.0.0.1' },
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
    timeout: 400_000,
  },
});
