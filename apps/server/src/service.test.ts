/** The application as a service: begun again when a part of it is killed, gone without a trace when it is stopped. */
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { type AddressInfo, createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'

interface Service {
  readonly address: string
  readonly processes: () => { readonly server: number; readonly database: number }
  readonly stop: () => Promise<void>
}
type Start = (root: string, options: { readonly folder: string; readonly port?: number; readonly fromSource: boolean }) => Promise<Service>

const root = join(import.meta.dirname, '../../..')
let folder: string
let startService: Start
const start = (): Promise<Service> => startService(root, { folder, port: 0, fromSource: true })

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lemmata-service-'))
  ;({ startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: Start })
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

/** Asked until it holds: how long that takes is the machine's. */
async function until(holds: () => boolean | Promise<boolean>): Promise<void> {
  while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 50))
}

const isHealthy = (address: string): Promise<boolean> =>
  fetch(`${address}/api/health`).then(
    (answer) => answer.ok,
    () => false,
  )

describe('a running service', () => {
  it('comes back at its address when its server, then its database is killed, and leaves nothing behind when it is stopped', async () => {
    const service = await start()
    const first = service.processes()
    expect(await isHealthy(service.address)).toBe(true)
    process.kill(first.server, 'SIGKILL')
    await until(() => service.processes().server !== first.server && isHealthy(service.address))
    const second = service.processes()
    expect(second.database).toBe(first.database)
    process.kill(second.database, 'SIGKILL')
    await until(() => service.processes().database !== second.database && isHealthy(service.address))
    expect(service.processes().server).toBe(second.server)
    const last = service.processes()
    await service.stop()
    expect([last.server, last.database].filter(isAlive)).toEqual([])
  }, 120_000)

  it('says that it is running already; a lock whose number is another program\u2019s by now is none', async () => {
    const service = await start()
    await expect(start()).rejects.toThrow(/is running already/)
    const lock = readFileSync(join(folder, 'start.lock'), 'utf8')
    await service.stop()
    // The same number, of a process that began at another time.
    writeFileSync(join(folder, 'start.lock'), `${process.pid} 1`)
    expect(lock).toMatch(new RegExp(`^${process.pid} \\d+$`))
    await (await start()).stop()
  }, 120_000)

  it('starts with settings, secret and port that are empty or torn, and has its data', async () => {
    for (const torn of ['', '{"port": 12', '{}']) {
      writeFileSync(join(folder, 'mariadb/settings.json'), torn)
      writeFileSync(join(folder, 'session-secret'), torn)
      writeFileSync(join(folder, 'port'), torn)
      const service = await start()
      expect(await isHealthy(service.address)).toBe(true)
      await service.stop()
    }
  }, 180_000)

  it('ends with whoever started it, even where that one was killed without a word', async () => {
    const script = `
      const { startService } = await import(${JSON.stringify(join(root, 'scripts/lib/service.mjs'))})
      const service = await startService(${JSON.stringify(root)}, { folder: ${JSON.stringify(folder)}, port: 0, fromSource: true })
      process.send(service.processes())`
    const starter = spawn(process.execPath, ['--input-type=module', '-e', script], { stdio: ['ignore', 'ignore', 'inherit', 'ipc'] })
    const [processes] = (await once(starter, 'message')) as [ReturnType<Service['processes']>]
    starter.kill('SIGKILL')
    await until(() => !isAlive(processes.server) && !isAlive(processes.database))
  }, 120_000)
})

describe('what is in the way of a start is one sentence', () => {
  const withPort = async (port: string): Promise<unknown> => {
    vi.stubEnv('PORT', port)
    try {
      return await startService(root, { folder, fromSource: true }).then(
        () => null,
        (error: unknown) => (error as Error).message,
      )
    } finally {
      vi.unstubAllEnvs()
    }
  }

  it('a port that is none, and one that is taken', async () => {
    expect(await withPort('abc')).toMatch(/^PORT is .abc., which is no port/)
    expect(await withPort('70000')).toMatch(/which is no port/)
    const other = createServer().listen(0, '127.0.0.1')
    await once(other, 'listening')
    const { port } = other.address() as AddressInfo
    expect(await withPort(String(port))).toMatch(new RegExp(`^Port ${port} is taken`))
    other.close()
  })

  it('a folder that cannot be one, a disk that is full, and whatever else the machine says; what is not known is told in full', async () => {
    const { inOneSentence } = (await import(join(root, 'scripts/lib/say.mjs'))) as { inOneSentence: (error: unknown) => string | null }
    const file = join(folder, 'a-file')
    writeFileSync(file, '')
    const thrown = await startService(root, { folder: join(file, 'below'), fromSource: true }).catch((error: unknown) => error)
    expect(inOneSentence(thrown)).toMatch(/should be a folder and is a file/)
    for (const code of ['ENOSPC', 'EROFS', 'EACCES']) expect(inOneSentence(Object.assign(new Error(code), { code, path: '/there' }))).toMatch(/^.*\/there.*\.$/)
    expect(inOneSentence(new Error('new'))).toBeNull()
  })
})
