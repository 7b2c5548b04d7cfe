import { defineConfig } from 'vitest/config'

// The machines that run them are noisy; no test measures time.
const common = { environment: 'node', testTimeout: 60_000 } as const

export default defineConfig({
  test: {
    maxWorkers: 2,
    projects: [
      {
        // The core and what draws from it keep nothing between tests, so its modules are loaded once for all files.
        test: {
          ...common,
          name: 'pure',
          isolate: false,
          include: [
            'src/core/**/*.test.ts',
            'src/devices/**/*.test.ts',
            'src/screens/**/*.test.ts',
            'src/ui/**/*.test.{ts,tsx}',
            'tests/reference/**/*.test.ts',
            'tests/docs/**/*.test.ts',
          ],
        },
      },
      {
        // What stands in the browser: each file has its own window and storage.
        test: {
          ...common,
          name: 'browser',
          include: ['src/state/**/*.test.ts', 'src/data/**/*.test.ts', 'tests/faults/**/*.test.ts', 'server/**/*.test.ts'],
        },
      },
    ],
  },
})
