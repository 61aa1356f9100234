/**
 * `npm run bench:teachers`: teachers at work on the real server. How many samplers are read and how many edits are kept in a second by eight
 * at once; and by two hundred, each with a sampler of her own and an edit every two seconds, how long an edit takes beside one alone.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ask, type Session, signIn } from './asked.ts'
import { rate } from './rate.ts'

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
const FOR_MS = 6000
const TEACHERS = 200
const EDITS_EACH_MS = 2000
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

interface Desk {
  readonly id: string
  revision: number
}

async function edit(api: string, session: Session, desk: Desk): Promise<void> {
  const operations = [{ id: crypto.randomUUID(), operation: { kind: 'rename', name: `Rain ${desk.revision}` } }]
  desk.revision = (
    await ask<{ revision: number }>(api, session, 'POST', `/samplers/${desk.id}/operations`, { baseRevision: desk.revision, operations })
  ).revision
}

async function timed(act: () => Promise<unknown>): Promise<number> {
  const began = performance.now()
  await act()
  return performance.now() - began
}

const percentile = (all: readonly number[], share: number): number =>
  [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(share * all.length))] ?? 0
const say = (what: string, figure: string): void => void process.stdout.write(`${what.padEnd(56)} ${figure}\n`)

interface Service {
  readonly address: string
  readonly stop: () => Promise<void>
}

const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: (root: string, options: object) => Promise<Service> }
const folder = mkdtempSync(join(tmpdir(), 'lemmata-teachers-'))
const service = await startService(root, { folder, port: 0 })
try {
  const api = `${service.address}/api`
  const session = await signIn(api)
  const [large] = await ask<readonly Desk[]>(api, session, 'GET', '/samplers')
  const desks: Desk[] = []
  for (let index = 0; index < TEACHERS; index += 1) desks.push(await ask<Desk>(api, session, 'POST', `/samplers/${large?.id ?? ''}/copy`, {}))
  // What runs first is compiled first.
  await rate(8, FOR_MS, (index) => edit(api, session, desks[index] as Desk))
  say('samplers read in a second, by 8 at once', (await rate(8, FOR_MS, (index) => ask(api, session, 'GET', `/samplers/${desks[index]?.id ?? ''}`))).toFixed(0))
  say('edits kept in a second, by 8 at once', (await rate(8, FOR_MS, (index) => edit(api, session, desks[index] as Desk))).toFixed(0))
  const alone: number[] = []
  for (let turn = 0; turn < 200; turn += 1) alone.push(await timed(() => edit(api, session, desks[0] as Desk)))
  say('an edit, one teacher alone', `median ${percentile(alone, 0.5).toFixed(0)} ms, p99 ${percentile(alone, 0.99).toFixed(0)} ms`)
  for (const count of [50, TEACHERS]) {
    const all: number[] = []
    const until = performance.now() + 3 * FOR_MS
    await Promise.all(
      desks.slice(0, count).map(async (desk, index) => {
        await wait((EDITS_EACH_MS * index) / count)
        while (performance.now() < until) {
          const took = await timed(() => edit(api, session, desk))
          all.push(took)
          await wait(Math.max(0, EDITS_EACH_MS - took))
        }
      }),
    )
    const p99 = percentile(all, 0.99)
    say(
      `an edit, ${count} teachers, one every two seconds each`,
      `median ${percentile(all, 0.5).toFixed(0)} ms, p99 ${p99.toFixed(0)} ms: ${(p99 / percentile(alone, 0.99)).toFixed(1)} x alone (${all.length})`,
    )
  }
} finally {
  await service.stop()
  rmSync(folder, { recursive: true, force: true })
}
