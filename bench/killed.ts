/**
 * `npm run bench:killed -- 200`: so many times the server, the database and whoever started both are killed with -9, in turn, while two
 * writers go on: one tells a learner's minutes, one renames a sampler, each again and again until it is acknowledged. Counts what was
 * acknowledged and is lost, what is there twice, and how long nobody was answered. Ends with 1 where there was one of the first two.
 */
import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ask, classCodes, joinAs, type Session, signIn } from './asked.ts'

const CYCLES = Number(process.argv.slice(2).find((one) => /^\d+$/.test(one)) ?? 30)
/** Between a recovery and the next killing, so that writers are in the middle of something. */
const PAUSE_MS = 300
const GIVE_UP_MS = 120_000

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
const folder = mkdtempSync(join(tmpdir(), 'lemmata-killed-'))
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

interface Running {
  readonly starter: ChildProcess
  readonly processes: () => Promise<{ readonly server: number; readonly database: number }>
}

/** As `npm start` does it, in a process of its own that can be killed. */
const STARTER = `
const { startService } = await import(process.argv[1])
const service = await startService(process.argv[2], { folder: process.argv[3], port: Number(process.argv[4]), onExit: (code) => process.exit(code) })
process.on('message', () => process.send(service.processes()))
process.send('ready')
`

async function start(port: number): Promise<Running> {
  const starter = spawn(process.execPath, ['--input-type=module', '-e', STARTER, join(root, 'scripts/lib/service.mjs'), root, folder, String(port)], {
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  })
  await new Promise<void>((resolve, reject) => {
    starter.once('message', () => resolve())
    starter.once('exit', (code) => reject(new Error(`the starter ended with ${code ?? 'a signal'}`)))
  })
  return {
    starter,
    processes: () =>
      new Promise((resolve) => {
        starter.once('message', (told) => resolve(told as { server: number; database: number }))
        starter.send('which')
      }),
  }
}

async function freePort(): Promise<number> {
  const server = createServer()
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const address = server.address()
  await new Promise((resolve) => server.close(resolve))
  return typeof address === 'object' && address ? address.port : 0
}

const answers = (api: string): Promise<boolean> =>
  fetch(`${api}/health`, { signal: AbortSignal.timeout(2000) }).then(
    (answer) => answer.ok,
    () => false,
  )

async function untilAnswered(api: string): Promise<number> {
  const began = performance.now()
  while (!(await answers(api))) {
    if (performance.now() - began > GIVE_UP_MS) throw new Error('it does not come back')
    await wait(20)
  }
  return performance.now() - began
}

/** Sends what `send` makes until it is acknowledged, then the next: whatever was cut off is sent once more as it was. */
async function writeUntil(isOver: () => boolean, send: (id: string) => Promise<boolean>): Promise<string[]> {
  const acknowledged: string[] = []
  for (let id: string = crypto.randomUUID(); !isOver(); ) {
    if (!(await send(id).catch(() => false))) {
      await wait(10)
      continue
    }
    acknowledged.push(id)
    id = crypto.randomUUID()
  }
  return acknowledged
}

interface Named {
  readonly id: string
  readonly revision: number
}

async function renaming(api: string, session: Session, sampler: string): Promise<(id: string) => Promise<boolean>> {
  let { revision } = await ask<Named>(api, session, 'GET', `/samplers/${sampler}`)
  return async (id) => {
    const answer = await fetch(`${api}/samplers/${sampler}/operations`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: session.cookie, 'x-csrf-token': session.csrf },
      body: JSON.stringify({ baseRevision: revision, operations: [{ id, operation: { kind: 'rename', name: `Rain ${id}` } }] }),
      signal: AbortSignal.timeout(5000),
    })
    const told = (await answer.json()) as { readonly revision?: number; readonly current?: Named }
    // What was kept before the answer was cut off stands in the newest state: asked again from there, it is known.
    if (answer.status === 409 && told.current) revision = told.current.revision
    if (answer.ok) revision = told.revision ?? revision
    return answer.ok
  }
}

async function telling(api: string, key: string): Promise<(id: string) => Promise<boolean>> {
  const { sampler } = (await (await fetch(`${api}/learn/week`, { headers: { authorization: `Bearer ${key}` } })).json()) as {
    sampler: { exercises: readonly { id: string }[] }
  }
  const exercise = sampler.exercises[0]?.id ?? ''
  return async (id) => {
    const answer = await fetch(`${api}/learn/events`, {
      method: 'POST',
      headers: { authorization: `Bearer ${key}`, 'content-type': 'application/json' },
      body: JSON.stringify({ events: [{ id, at: '2027-01-14T18:30:00.000Z', kind: 'minutes', exercise, minutes: 1 }] }),
      signal: AbortSignal.timeout(5000),
    })
    const told = (await answer.json()) as { readonly kept?: readonly string[] }
    return answer.ok && (told.kept ?? []).includes(id)
  }
}

const port = await freePort()
let running = await start(port)
const api = `http://127.0.0.1:${port}/api`
try {
  await untilAnswered(api)
  const session = await signIn(api)
  const [sampler] = await ask<readonly Named[]>(api, session, 'GET', '/samplers')
  const [code = ''] = await classCodes(api, session)
  const key = await joinAs(api, code, 'Ivar')
  const first = await ask<Named>(api, session, 'GET', `/samplers/${sampler?.id ?? ''}`)
  let isOver = false
  const writers = [writeUntil(() => isOver, await renaming(api, session, first.id)), writeUntil(() => isOver, await telling(api, key))] as const
  const away: Record<string, number[]> = { server: [], database: [], starter: [] }
  for (let cycle = 0; cycle < CYCLES; cycle += 1) {
    const what = (['server', 'database', 'starter'] as const)[cycle % 3] ?? 'server'
    if (what === 'starter') {
      running.starter.removeAllListeners('exit')
      running.starter.kill('SIGKILL')
      const began = performance.now()
      // Its server and its database end by themselves; the next waits for them.
      for (;;) {
        const next = await start(port).catch(() => null)
        if (next) {
          running = next
          break
        }
        if (performance.now() - began > GIVE_UP_MS) throw new Error('it cannot be started again')
        await wait(100)
      }
      await untilAnswered(api)
      away[what]?.push(performance.now() - began)
    } else {
      process.kill((await running.processes())[what], 'SIGKILL')
      away[what]?.push(await untilAnswered(api))
    }
    await wait(PAUSE_MS)
    if ((cycle + 1) % 10 === 0) process.stdout.write(`${cycle + 1} killed\n`)
  }
  isOver = true
  const [renamed, told] = await Promise.all(writers)
  const last = await ask<Named & { readonly document: { readonly name: string } }>(api, session, 'GET', `/samplers/${first.id}`)
  const everything = (await (await fetch(`${api}/learn/everything`, { headers: { authorization: `Bearer ${key}` } })).json()) as {
    readonly events: readonly { readonly id: string }[]
  }
  const kept = everything.events.map((one) => one.id)
  const lost = told.filter((id) => !kept.includes(id)).length
  const twice = kept.length - new Set(kept).size
  const revisions = last.revision - first.revision
  for (const [what, all] of Object.entries(away))
    process.stdout.write(`${what} killed ${all.length} times: away for ${seconds(all, 0.5)} s (median), ${seconds(all, 0.95)} s (p95)\n`)
  process.stdout.write(`${told.length} minutes acknowledged: ${lost} lost, ${twice} twice\n`)
  // One cut off at the very end may be kept and not acknowledged.
  process.stdout.write(
    `${renamed.length} renamings acknowledged, ${revisions} revisions: ${Math.max(0, renamed.length - revisions)} lost, ${Math.max(0, revisions - renamed.length - 1)} twice\n`,
  )
  if (lost + twice > 0 || renamed.length > revisions || revisions > renamed.length + 1) process.exitCode = 1
} finally {
  running.starter.removeAllListeners('exit')
  running.starter.kill('SIGTERM')
  await wait(3000)
  rmSync(folder, { recursive: true, force: true })
}

function seconds(all: readonly number[], share: number): string {
  const sorted = [...all].sort((a, b) => a - b)
  return ((sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0) / 1000).toFixed(1)
}
