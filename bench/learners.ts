/**
 * `npm run bench:learners`: two hundred learners on this week's page at once, on the real server: all open it within ten seconds, and go on
 * telling what they do. How long an answer takes beside one learner alone in the same run; and what a first visit loads on a phone.
 */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { classCodes, joinAs, signIn } from './asked.ts'

const LEARNERS = 200
const OPEN_WITHIN_MS = 10_000
const GO_ON_MS = 30_000
/** Each tells something so often: a tick, a row done, minutes. */
const TELLS_EACH_MS = 10_000
/** After so many of these the week is asked for again: each minute. */
const ASKS_EACH = 6

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
async function measure(api: string): Promise<void> {
  const codes = await classCodes(api, await signIn(api))
  const began = performance.now()
  const keys: string[] = []
  for (let index = 0; index < LEARNERS; index += 1) keys.push(await joinAs(api, codes[index % codes.length] ?? '', `Learner ${index + 1}`))
  say(`${LEARNERS} learners joined, one after the other`, `${Math.round(performance.now() - began)} ms`)
  const [alone = ''] = keys
  const exercises = await Promise.all(keys.slice(0, codes.length).map((key) => firstExercise(api, key)))
  const idle = {
    opened: await idleP99('her week, opened first', () => week(api, alone, true)),
    weeks: await idleP99('her week, asked again', () => week(api, alone)),
    tells: await idleP99('what she tells', () => tell(api, alone, exercises[0] ?? '')),
  }
  const opened: number[] = []
  const weeks: number[] = []
  const tells: number[] = []
  await Promise.all(
    keys.map(async (key, index) => {
      await wait((OPEN_WITHIN_MS * index) / LEARNERS)
      opened.push(await timed(() => week(api, key, true)))
      const until = performance.now() + GO_ON_MS
      // Not all in the same moment: each a little later than the one before her.
      await wait(((index * 7919) % LEARNERS) * (TELLS_EACH_MS / LEARNERS))
      while (performance.now() < until) {
        tells.push(await timed(() => tell(api, key, exercises[index % codes.length] ?? '')))
        // Her page asks again now and then, not after each tick.
        if (tells.length % ASKS_EACH === 0) weeks.push(await timed(() => week(api, key)))
        await wait(TELLS_EACH_MS)
      }
    }),
  )
  for (const [what, all, alone_] of [
    ['her week, opened first', opened, idle.opened],
    ['her week, asked again', weeks, idle.weeks],
    ['what they tell', tells, idle.tells],
  ] as const) {
    const p99 = percentile(all, 0.99)
    say(`${LEARNERS} at once, ${what}`, `median ${ms(percentile(all, 0.5))}, p99 ${ms(p99)}: ${(p99 / alone_).toFixed(1)} x idle (${all.length})`)
  }
  const burst = await Promise.all(keys.map((key) => timed(() => week(api, key, true))))
  say(`all ${LEARNERS} in the same moment`, `median ${ms(percentile(burst, 0.5))}, the last after ${ms(Math.max(...burst))}`)
}

async function idleP99(what: string, act: () => Promise<void>): Promise<number> {
  const all: number[] = []
  for (let index = 0; index < 200; index += 1) all.push(await timed(act))
  const p99 = percentile(all, 0.99)
  say(`one alone, ${what}`, `median ${ms(percentile(all, 0.5))}, p99 ${ms(p99)}`)
  return p99
}

/** What each device has already: as the page does, it asks for no more than has changed. */
const versions = new Map<string, string>()

async function week(api: string, key: string, isFirst = false): Promise<void> {
  const known = isFirst ? undefined : versions.get(key)
  const answer = await fetch(`${api}/learn/week${known === undefined ? '' : `?known=${encodeURIComponent(known)}`}`, {
    headers: { authorization: `Bearer ${key}` },
  })
  const said = (await answer.json()) as { readonly version: string }
  if (!answer.ok) throw new Error(`her week: ${answer.status}`)
  versions.set(key, said.version)
}

async function firstExercise(api: string, key: string): Promise<string> {
  const answer = await fetch(`${api}/learn/week`, { headers: { authorization: `Bearer ${key}` } })
  return ((await answer.json()) as { sampler: { exercises: readonly { id: string }[] } }).sampler.exercises[0]?.id ?? ''
}

async function tell(api: string, key: string, exercise: string): Promise<void> {
  const event = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: 'minutes', exercise, minutes: 1 }
  const answer = await fetch(`${api}/learn/events`, {
    method: 'POST',
    headers: { authorization: `Bearer ${key}`, 'content-type': 'application/json' },
    body: JSON.stringify({ events: [event] }),
  })
  await answer.arrayBuffer()
  if (!answer.ok) throw new Error(`telling: ${answer.status}`)
}

async function timed(act: () => Promise<void>): Promise<number> {
  const began = performance.now()
  await act()
  return performance.now() - began
}

const wait = (forMs: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, forMs))
const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? 0
const ms = (value: number): string => `${value.toFixed(1)} ms`
const say = (what: string, figure: string): void => void process.stdout.write(`${what.padEnd(48)} ${figure}\n`)

// Last: what it calls is there by then.
const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as {
  startService: (root: string, options: object) => Promise<{ readonly address: string; readonly stop: () => Promise<void> }>
}
const folder = mkdtempSync(join(tmpdir(), 'lemmata-bench-'))
const service = await startService(root, { folder, port: 0 })
try {
  await measure(`${service.address}/api`)
} finally {
  await service.stop()
  rmSync(folder, { recursive: true, force: true })
}
