/** Starts the whole service on a folder of its own before the tests, and stops it after them. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

interface Service {
  readonly address: string
  readonly stop: () => Promise<void>
}

export default async function startForTests(): Promise<() => Promise<void>> {
  const root = join(dirname(fileURLToPath(import.meta.url)), '..')
  // A script of built-in modules, without types of its own.
  const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: (root: string, options: object) => Promise<Service> }
  const folder = mkdtempSync(join(tmpdir(), 'lemmata-e2e-'))
  // Every test has a teacher of her own, and all come from one address.
  const service = await startService(root, { folder, port: 0, env: { MOST_SIGN_UPS: '1000' } })
  process.env.LEMMATA_ADDRESS = service.address
  process.env.LEMMATA_FOLDER = folder
  return async () => {
    await service.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
