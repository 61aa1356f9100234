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
/** The middle one of three is quoted. */
const ROUNDS = 3
/** After so many of these the week is asked for again. */
const ASKS_EACH = 2

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
async function measure(api: string): Promise<void> {
  const codes = await classCodes(api, await signIn(api))
  const began = performance.now()
  const keys: string[] = []
  for (let index = 0; index < LEARNERS; index += 1) keys.push(await joinAs(api, codes[index % codes.length] ?? '', `Learner ${index + 1}`))
  say(`${LEARNERS} learners joined, one after the other`, `${Math.round(performance.now() - began)} ms`)
  const [alone = ''] = keys
  const exercises = await Promise.all(keys.slice(0, codes.length).map((key) => firstExercise(api, key)))
  const rounds: Round[] = []
  for (let round = 0; round < ROUNDS; round += 1) rounds.push(await oneRound(api, keys, alone, exercises))
  for (const what of ['opened', 'again', 'tells'] as const) {
    const [idle, together] = [rounds.flatMap((one) => one.idle[what]), rounds.flatMap((one) => one.together[what])]
    const times = rounds.map((one) => percentile(one.together[what], 0.99) / percentile(one.idle[what], 0.99))
    say(`one alone, ${WHAT[what]}`, `median ${ms(percentile(idle, 0.5))}, p99 ${ms(percentile(idle, 0.99))}`)
    say(`${LEARNERS} at once, ${WHAT[what]}`, `median ${ms(percentile(together, 0.5))}, p99 ${ms(percentile(together, 0.99))} (${together.length})`)
    say('  p99, times as long as alone', `${times.map((one) => one.toFixed(1)).join(', ')}: the middle ${percentile(times, 0.5).toFixed(1)}; at most 5`)
  }
  const burst = await Promise.all(keys.map((key) => timed(() => week(api, key, true))))
  say(`all ${LEARNERS} in the same moment`, `median ${ms(percentile(burst, 0.5))}, the last after ${ms(Math.max(...burst))}`)
}

interface Times {
  readonly opened: readonly number[]
  readonly again: readonly number[]
  readonly tells: readonly number[]
}

interface Round {
  readonly idle: Times
  readonly together: Times
}

const WHAT = { opened: 'her week, opened first', again: 'her week, asked again', tells: 'what she tells' } as const

/** One alone, and right after it all of them: a machine that stands still now and then does so in both. */
async function oneRound(api: string, keys: readonly string[], alone: string, exercises: readonly string[]): Promise<Round> {
  const idle = {
    opened: await several(() => week(api, alone, true)),
    again: await several(() => week(api, alone)),
    tells: await several(() => tell(api, alone, exercises[0] ?? '')),
  }
  const [opened, again, tells]: [number[], number[], number[]] = [[], [], []]
  await Promise.all(
    keys.map(async (key, index) => {
      await wait((OPEN_WITHIN_MS * index) / LEARNERS)
      opened.push(await timed(() => week(api, key, true)))
      const until = performance.now() + GO_ON_MS
      // As people do: at no set time, so that now and then several do it in the same moment.
      await wait(TELLS_EACH_MS * chance(index))
      while (performance.now() < until) {
        tells.push(await timed(() => tell(api, key, exercises[index % exercises.length] ?? '')))
        // Her page asks again now and then, not after each tick.
        if (tells.length % ASKS_EACH === 0) again.push(await timed(() => week(api, key)))
        await wait(TELLS_EACH_MS)
      }
    }),
  )
  return { idle, together: { opened, again, tells } }
}

async function several(act: () => Promise<void>): Promise<readonly number[]> {
  const all: number[] = []
  for (let index = 0; index < 200; index += 1) all.push(await timed(act))
  return all
}

/** Between 0 and 1, at a run's every repetition the same; no two that follow each other have to do with each other. */
function chance(index: number): number {
  const far = Math.sin((index + 1) * 12.9898) * 43_758.5453
  return far - Math.floor(far)
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
