import { defineConfig } from '@playwright/test'

/** The real server on a private MariaDB of its own, in headless Chromium. */
export default defineConfig({
  testDir: 'e2e',
  // A busy machine of two cores is ten times slower than an idle one; a test that hangs is still found.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  workers: 1,
  fullyParallel: false,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : [['list']],
  globalSetup: './e2e/start-service.ts',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    actionTimeout: 45_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-quic',
      ],
    },
  },
})
