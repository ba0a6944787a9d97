import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // A busy machine is several times slower; nothing here is about time.
    testTimeout: 600_000,
    include: [
      'src/**/*.test.ts',
      'cli/**/*.test.ts',
      'tests/conformance/**/*.test.ts',
      'tests/fuzz/**/*.test.ts',
      'tests/by-example/**/*.test.ts',
      'tests/architecture/**/*.test.ts',
      'tests/*.test.ts',
    ],
  },
});
