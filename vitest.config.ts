import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: [
      'src/**/*.test.ts',
      'cli/**/*.test.ts',
      'tests/conformance/**/*.test.ts',
      'tests/*.test.ts',
    ],
  },
});
