/** Everything that is kept as one file, taken while people write, and put back on an empty folder and over what is there. */
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

interface Service {
  readonly address: string
  readonly stop: () => Promise<void>
}
interface Scripts {
  readonly startService: (root: string, options: { readonly folder: string; readonly port: number; readonly fromSource: boolean }) => Promise<Service>
  readonly backup: (folder: string, file?: string) => Promise<string>
  readonly restore: (folder: string, file: string) => Promise<void>
}

const root = join(import.meta.dirname, '../../..')
let scripts: Scripts
let made: string
let folder: string
let file: string

beforeAll(async () => {
  made = mkdtempSync(join(tmpdir(), 'lemmata-backup-'))
  folder = join(made, 'first')
  file = join(made, 'all.sql.gz')
  scripts = { ...(await import(join(root, 'scripts/lib/service.mjs'))), ...(await import(join(root, 'scripts/lib/backup.mjs'))) } as Scripts
})
afterAll(() => rmSync(made, { recursive: true, force: true }))

const start = (where: string): Promise<Service> => scripts.startService(root, { folder: where, port: 0, fromSource: true })

/** A browser, as far as it is needed. */
async function visitor({ address }: Service) {
  let cookie = ''
  let csrf = ''
  const ask = async (method: string, path: string, body?: unknown): Promise<{ readonly status: number; readonly body: Record<string, unknown> }> => {
    const answer = await fetch(`${address}/api${path}`, {
      method,
      headers: { cookie, 'x-csrf-token': csrf, 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? cookie
    return { status: answer.status, body: (await answer.json().catch(() => ({}))) as Record<string, unknown> }
  }
  const session = async (method: string, path: string, body?: unknown): Promise<number> => {
    const answer = await ask(method, path, body)
    if (typeof answer.body.csrf === 'string') csrf = answer.body.csrf
    return answer.status
  }
  await session('GET', '/session')
  return { ask, session }
}

const HERS = { email: 'nora@example.org', name: 'Nora Fell', password: 'rain on the window' }
const textOf = (backup: string): string => gunzipSync(readFileSync(backup)).toString('utf8')

describe('a backup', () => {
  it('is of one moment, while people write: what was acknowledged before it is in it, and it is put back whole elsewhere', async () => {
    const service = await start(folder)
    const { ask, session } = await visitor(service)
    expect(await session('POST', '/accounts', HERS)).toBe(201)
    const { id, revision: first } = (await ask('POST', '/samplers', { name: 'Fog' })).body as { id: string; revision: number }
    let revision = first
    let isWriting = true
    const write = async (): Promise<void> => {
      while (isWriting) {
        const operations = [{ id: crypto.randomUUID(), operation: { kind: 'rename', name: `Fog ${revision + 1}` } }]
        const answer = await ask('POST', `/samplers/${id}/operations`, { baseRevision: revision, operations })
        if (answer.status !== 200) throw new Error(JSON.stringify(answer.body))
        revision += 1
      }
    }
    const writing = write()
    while (revision < first + 20) await new Promise((resolve) => setTimeout(resolve, 5))
    const before = revision
    await scripts.backup(folder, file)
    const after = revision
    isWriting = false
    await writing
    expect(after).toBeGreaterThan(before)
    await service.stop()
    const other = join(made, 'second')
    await scripts.restore(other, file)
    const restored = await start(other)
    const again = await visitor(restored)
    expect(await again.session('POST', '/session', HERS)).toBe(200)
    const sampler = (await again.ask('GET', `/samplers/${id}`)).body as { revision: number; document: { name: string } }
    expect(sampler.revision).toBeGreaterThanOrEqual(before)
    expect(sampler.revision).toBeLessThanOrEqual(after + 1)
    // Of one moment: the document, its revision and the record of operations are of one mind.
    expect(sampler.document.name).toBe(`Fog ${sampler.revision}`)
    expect(textOf(file).match(/"Fog \d+\\?"\}/g)).toHaveLength(sampler.revision - first)
    await restored.stop()
  }, 180_000)

  it('taken of what was restored is the same, letter for letter; what was there before is kept', async () => {
    const third = join(made, 'third')
    await scripts.restore(third, file)
    const same = await scripts.backup(third)
    expect(textOf(same)).toBe(textOf(file))
    await scripts.restore(third, file)
    const kept = readdirSync(join(third, 'backups')).filter((one) => one.startsWith('before-restore-'))
    expect(kept).toHaveLength(1)
    expect(textOf(join(third, 'backups', kept[0] ?? ''))).toBe(textOf(file))
    expect(readdirSync(third).filter((one) => one.endsWith('.cnf'))).toEqual([])
  }, 180_000)

  it('that is torn, damaged, of something else or not there changes nothing, and says so', async () => {
    const third = join(made, 'third')
    const was = textOf(await scripts.backup(third))
    const wrong = join(made, 'wrong.sql.gz')
    writeFileSync(wrong, readFileSync(file))
    truncateSync(wrong, Math.floor(readFileSync(file).length / 2))
    await expect(scripts.restore(third, wrong)).rejects.toThrow(/cannot be read to its end/)
    writeFileSync(wrong, 'no gzip')
    await expect(scripts.restore(third, wrong)).rejects.toThrow(/damaged or no backup/)
    writeFileSync(wrong, gzipSync('DROP TABLE teachers;'))
    await expect(scripts.restore(third, wrong)).rejects.toThrow(/is no backup of Lemmata/)
    writeFileSync(wrong, gzipSync(textOf(file).slice(0, -2000)))
    await expect(scripts.restore(third, wrong)).rejects.toThrow(/not written to its end/)
    // Whole as a file, and wrong inside.
    writeFileSync(wrong, gzipSync(textOf(file).replace('CREATE TABLE `samplers`', 'CREATE TABLE `samplers` of fog')))
    await expect(scripts.restore(third, wrong)).rejects.toThrow(/The database refused it/)
    await expect(scripts.restore(third, join(made, 'none'))).rejects.toThrow(/There is no file/)
    expect(textOf(await scripts.backup(third, join(made, 'after.sql.gz')))).toBe(was)
    await expect(scripts.backup(join(made, 'empty'))).rejects.toThrow(/nothing to back up/)
    expect(existsSync(join(third, 'start.lock'))).toBe(false)
  }, 180_000)
})
