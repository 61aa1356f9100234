/** A private MariaDB for the server's tests, begun once; each test file makes a database of its own in it. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { TestProject } from 'vitest/node'

export interface TestDatabase {
  readonly host: string
  readonly port: number
  readonly database: string
  readonly user: string
  readonly password: string
}

declare module 'vitest' {
  interface ProvidedContext {
    database: TestDatabase
  }
}

interface Running extends TestDatabase {
  readonly stop: () => Promise<void>
}

export default async function startDatabase(project: TestProject): Promise<() => Promise<void>> {
  const root = join(dirname(fileURLToPath(import.meta.url)), '../../../..')
  // A script of built-in modules, without types of its own.
  const { startMariaDb } = (await import(join(root, 'scripts/lib/mariadb.mjs'))) as { startMariaDb: (folder: string) => Promise<Running> }
  const folder = mkdtempSync(join(tmpdir(), 'lemmata-db-'))
  const { stop, ...database } = await startMariaDb(folder)
  project.provide('database', { host: database.host, port: database.port, database: database.database, user: database.user, password: database.password })
  return async () => {
    await stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
