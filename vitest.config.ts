import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // A busy machine is several times slower; nothing here is about time.
    testTimeout: 600_000,
    // No test leaves anything behind for another one, so modules are loaded once for a thread.
    pool: 'threads',
    isolate: false,
    maxWorkers: 2,
    setupFiles: ['tests/support/habits.ts'],
    include: [
      'src/**/*.test.ts',
      'cli/**/*.test.ts',
      'tests/conformance/**/*.test.ts',
      'tests/fuzz/**/*.test.ts',
      'tests/habits/**/*.test.ts',
      'tests/by-example/**/*.test.ts',
      'tests/architecture/**/*.test.ts',
      'tests/layout/**/*.test.ts',
      'tests/*.test.ts',
    ],
  },
});
