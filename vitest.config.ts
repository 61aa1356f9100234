import { defineConfig } from 'vitest/config'

/** Where nothing is built a worker has no address: what begins one is tested in a browser. */
const noWorkers = {
  name: 'no-workers',
  enforce: 'pre' as const,
  resolveId: (source: string) => (source.endsWith('?beside-page') ? '\0no-worker' : null),
  load: (id: string) => (id === '\0no-worker' ? "export default ''" : null),
}

export default defineConfig({
  plugins: [noWorkers],
  test: {
    include: ['packages/**/*.test.ts', 'apps/**/*.test.ts', 'apps/web/**/*.test.tsx', 'scripts/**/*.test.ts'],
    // A busy machine is several times slower than an idle one; a test that hangs is still found.
    testTimeout: 180_000,
    hookTimeout: 180_000,
    setupFiles: ['./vitest.setup.ts'],
    // One core is not kept back for a watching editor: on two, all of them take half as long.
    maxWorkers: '100%',
    // The server's tests share one private MariaDB; each file makes a database of its own.
    globalSetup: ['./apps/server/src/testing/start-database.ts'],
    reporters: ['default'],
  },
})
