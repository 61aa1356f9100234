import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['packages/**/*.test.ts', 'apps/**/*.test.ts', 'apps/web/**/*.test.tsx', 'scripts/**/*.test.ts'],
    testTimeout: 30_000,
    hookTimeout: 60_000,
    setupFiles: ['./vitest.setup.ts'],
    // The server's tests share one private MariaDB; each file makes a database of its own.
    globalSetup: ['./apps/server/src/testing/start-database.ts'],
    reporters: ['default'],
  },
})
