import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: [
      'src/**/*.test.{ts,tsx}',
      'tests/reference/**/*.test.ts',
      'tests/docs/**/*.test.ts',
      'tests/faults/**/*.test.ts',
      'server/**/*.test.ts',
    ],
    environment: 'node',
    // The machines that run them are noisy; no test measures time.
    testTimeout: 60_000,
  },
})
