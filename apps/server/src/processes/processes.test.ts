/** Two processes that serve together: one is killed and the other goes on, and what is counted is counted of both. */
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

interface Service {
  readonly address: string
  readonly demo: { readonly email: string; readonly password: string }
  readonly processes: () => { readonly server: number }
  readonly stop: () => Promise<void>
}
type Start = (root: string, options: { readonly folder: string; readonly port: number; readonly fromSource: boolean; readonly env: object }) => Promise<Service>

const root = join(import.meta.dirname, '../../../..')
let folder: string
let service: Service
let cookie = ''

/** Each on a connection of its own, so that it comes to whichever process is next. */
const ask = (path: string, { method = 'GET', body, headers = {} }: { method?: string; body?: object; headers?: Record<string, string> } = {}) =>
  fetch(`${service.address}/api${path}`, {
    method,
    headers: { connection: 'close', cookie, ...headers, ...(body ? { 'content-type': 'application/json' } : {}) },
    ...(body ? { body: JSON.stringify(body) } : {}),
  })
const cookieOf = (answer: Response): string => (answer.headers.getSetCookie()[0] ?? '').split(';')[0] ?? ''

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lemmata-processes-'))
  const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: Start }
  service = await startService(root, { folder, port: 0, fromSource: true, env: { PROCESSES: '2' } })
  const answer = await ask('/session')
  cookie = cookieOf(answer)
  const { csrf } = (await answer.json()) as { csrf: string }
  const signedIn = await ask('/session', { method: 'POST', body: service.demo, headers: { 'x-csrf-token': csrf } })
  expect(signedIn.status).toBe(200)
  cookie = cookieOf(signedIn) || cookie
})
afterAll(async () => {
  const leader = service.processes().server
  const all = [leader, ...servers(leader)]
  await service.stop()
  // Neither the one that led them nor one that it led is left.
  expect(all.filter((pid) => existsSync(`/proc/${pid}`))).toEqual([])
  rmSync(folder, { recursive: true, force: true })
})

/** Processes that serve, as the system knows them. */
const servers = (leader: number): readonly number[] => {
  const file = `/proc/${leader}/task/${leader}/children`
  return existsSync(file) ? readFileSync(file, 'utf8').trim().split(' ').filter(Boolean).map(Number) : []
}
async function until(holds: () => boolean | Promise<boolean>): Promise<void> {
  while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 50))
}
/** Of all that were asked for who is signed in. */
const answered = async (): Promise<number> => {
  const text = await (await ask('/metrics')).text()
  return [...text.matchAll(/lemmata_http_request_seconds_count\{[^}]*route="[^"]*session"[^}]*\} (\d+)/g)].reduce((sum, [, count]) => sum + Number(count), 0)
}

describe('two processes', () => {
  it('know whoever has signed in at one of them, and tell of both, whichever is asked', async () => {
    // One may only just be beginning: the first that listens makes the service ready.
    await until(() => servers(service.processes().server).length === 2)
    // While one of them has not yet come so far as to tell its figures, nothing is told of any: signing in asked twice.
    let before = 0
    await until(async () => {
      before = await answered()
      return before >= 2
    })
    const told = await Promise.all(
      Array.from({ length: 12 }, async () => ((await (await ask('/session')).json()) as { teacher: { email: string } | null }).teacher?.email),
    )
    expect(new Set(told)).toEqual(new Set([service.demo.email]))
    await until(async () => (await answered()) === before + 12)
  })

  it('print in one queue: of seven of one account five are taken, whichever process they come to', async () => {
    const samplers = (await (await ask('/samplers')).json()) as { id: string }[]
    const printed = await Promise.all(Array.from({ length: 7 }, () => ask(`/samplers/${samplers[0]?.id ?? ''}/sheet.pdf`)))
    expect(printed.map(({ status }) => status).sort()).toEqual([200, 200, 200, 200, 200, 429, 429])
    const pdfs = await Promise.all(
      printed
        .filter(({ ok }) => ok)
        .map(async (one) =>
          Buffer.from(await one.arrayBuffer())
            .subarray(0, 5)
            .toString(),
        ),
    )
    expect(new Set(pdfs)).toEqual(new Set(['%PDF-']))
  })

  it('go on when one is killed, and are two again', async () => {
    const leader = service.processes().server
    const [first] = servers(leader)
    process.kill(first as number, 'SIGKILL')
    await until(() => !servers(leader).includes(first as number))
    expect((await ask('/session')).status).toBe(200)
    await until(() => servers(leader).length === 2)
    expect((await ask('/session')).status).toBe(200)
    expect(service.processes().server).toBe(leader)
  })

  it('end with the one that leads them, and are begun anew at the same address', async () => {
    const leader = service.processes().server
    const led = servers(leader)
    process.kill(leader, 'SIGKILL')
    await until(() => led.every((pid) => !existsSync(`/proc/${pid}`)) && service.processes().server !== leader)
    await until(() => servers(service.processes().server).length === 2)
    await until(() =>
      ask('/session').then(
        ({ ok }) => ok,
        () => false,
      ),
    )
  })
})
