import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium'

const PORT = Number(process.env['FINE_KERF_TEST_PORT'] ?? 4273)

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 2,
  fullyParallel: true,
  // A noisy machine may cost one try; what passes only at the second is named, and closes the count.
  retries: 1,
  forbidOnly: process.env['CI'] !== undefined,
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // What is kept for a server that is gone costs every test half its time; `offline.spec.ts` allows it.
    serviceWorkers: 'block',
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'node --import tsx server/main.ts',
    url: `http://127.0.0.1:${PORT}/`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
