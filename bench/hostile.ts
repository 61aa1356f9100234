/**
 * `npm run bench:hostile`: samplers made to take as long and as much as they can, printed by one account while another prints and edits as
 * usual. How each ends and how long that takes, what memory is held, and how long the other one waits beside how long she waited before.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'
import { ask, signIn, signUp } from './asked.ts'

const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
type Guide = Sampler['drawing']['guides'][number]['guide']

const times = <One>(count: number, make: (index: number) => One): One[] => Array.from({ length: count }, (_, index) => make(index))
const round = (count: number, radius: number, at = 0): string =>
  `${times(count, (index) => {
    const turn = (2 * Math.PI * index) / count
    return `${index === 0 ? 'M' : 'L'} ${(1400 + radius * Math.cos(turn) + at).toFixed(2)} ${(1400 + radius * Math.sin(turn)).toFixed(2)}`
  }).join(' ')} Z`
/** Each point joined to one nearly opposite: it crosses itself as often as it can. */
const star = (count: number): string =>
  `${times(count, (index) => {
    const turn = (2 * Math.PI * index * (count / 2 - 1)) / count
    return `${index === 0 ? 'M' : 'L'} ${(1400 + 900 * Math.cos(turn)).toFixed(2)} ${(1400 + 900 * Math.sin(turn)).toFixed(2)}`
  }).join(' ')} Z`
const saw = (count: number): string => times(count, (index) => `${index === 0 ? 'M' : 'L'} ${10 + index * 0.5} ${index % 2 === 0 ? 10 : 2900}`).join(' ')
const spiral = (turns: number): string =>
  times(
    turns * 12,
    (index) => `${index === 0 ? 'M' : 'L'} ${(1400 + index * 0.08 * Math.cos(index / 2)).toFixed(2)} ${(1400 + index * 0.08 * Math.sin(index / 2)).toFixed(2)}`,
  ).join(' ')
const disc = 'M 100 1400 A 1300 1300 0 0 1 2700 1400 A 1300 1300 0 0 1 100 1400 Z'

function one(guide: Guide, stitch: string, more: Partial<Exercise> = {}, count = 1, guides = count): Sampler {
  const sampler = newSampler('Hail')
  return {
    ...sampler,
    cloth: { ...sampler.cloth, widthMm: 2900, heightMm: 2900 },
    workingHoop: undefined,
    drawing: { groups: [], guides: times(guides, (index) => ({ id: `g${index}`, guide })) },
    exercises: times(count, (index) => ({ id: `e${index}`, name: `Hail ${index}`, stitch, on: [{ guide: `g${index}` }], ...more })),
  }
}

/** The first two are what an attack once did; each of the others asks for something else without end. */
const HOSTILE: readonly (readonly [string, Sampler])[] = [
  [
    'ten fields of 10,000 crosses in one exercise',
    one({ kind: 'grid', at: [0, 0], cellMm: 1.5, columns: 100, rows: 100 }, 'cross-stitch', { on: times(10, (index) => ({ guide: `g${index}` })) }, 1, 10),
  ],
  ['a stitch a tenth of a millimetre long, round a table', one({ kind: 'line', path: disc }, 'back-stitch', { parameters: { L: 0.1 } })],
  ['a table filled with satin', one({ kind: 'shape', path: disc }, 'satin-stitch')],
  ['a table filled with seed stitches', one({ kind: 'shape', path: disc }, 'seed-stitch')],
  ['a table filled with French knots', one({ kind: 'shape', path: disc }, 'french-knot-filling')],
  ['a table filled with split stitches', one({ kind: 'shape', path: disc }, 'split-filling')],
  ['long and short in a star that crosses itself 400 times', one({ kind: 'shape', path: star(401) }, 'long-and-short')],
  ['satin in a shape of 3000 corners', one({ kind: 'shape', path: round(3000, 800) }, 'satin-stitch')],
  ['stem stitch along 700 sharp turns of three metres', one({ kind: 'line', path: saw(700) }, 'stem-stitch')],
  ['chain stitch along a spiral of 300 turns', one({ kind: 'line', path: spiral(300) }, 'chain-stitch')],
  ['needle lace over a table', one({ kind: 'shape', path: disc }, 'needle-lace')],
  ['padded satin over a table, forty times', one({ kind: 'shape', path: disc }, 'padded-satin', {}, 40)],
  ['200 pieces of a table each', one({ kind: 'line', path: disc }, 'running-stitch', { on: times(200, (index) => ({ guide: `g${index}` })) }, 1, 200)],
]

interface Service {
  readonly address: string
  readonly processes: () => { readonly server: number }
  readonly stop: () => Promise<void>
}
const { startService } = (await import(join(root, 'scripts/lib/service.mjs'))) as { startService: (root: string, options: object) => Promise<Service> }
const folder = mkdtempSync(join(tmpdir(), 'lemmata-hostile-'))
const service = await startService(root, { folder, port: 0 })
const say = (what: string, figure: string): void => void process.stdout.write(`${what.padEnd(58)} ${figure}\n`)
const memoryMb = (): number => Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${service.processes().server}/status`, 'utf8'))?.[1] ?? 0) / 1024)
const p99 = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(0.99 * all.length))] ?? 0

try {
  const api = `${service.address}/api`
  const [usual, hostile] = [await signIn(api), await signUp(api, `hail-${process.pid}@example.org`)]
  const [desk] = await ask<readonly { readonly id: string }[]>(api, usual, 'GET', '/samplers')
  const copy = await ask<{ readonly id: string; revision: number }>(api, usual, 'POST', `/samplers/${desk?.id ?? ''}/copy`, {})
  const waits = { edit: [] as number[], print: [] as number[] }
  const timed = async (into: number[], act: () => Promise<unknown>): Promise<void> => {
    const began = performance.now()
    await act()
    into.push(performance.now() - began)
  }
  const edit = async (): Promise<void> => {
    const operations = [{ id: crypto.randomUUID(), operation: { kind: 'rename', name: `Rain ${copy.revision}` } }]
    copy.revision = (
      await ask<{ revision: number }>(api, usual, 'POST', `/samplers/${copy.id}/operations`, { baseRevision: copy.revision, operations })
    ).revision
  }
  const print = async (): Promise<void> => {
    const answer = await fetch(`${api}/samplers/${copy.id}/sheet.pdf`, { headers: { cookie: usual.cookie } })
    if (!answer.ok) throw new Error(`print: ${answer.status} ${await answer.text()}`)
    await answer.arrayBuffer()
  }
  let working = true
  const work = async (): Promise<void> => {
    while (working) {
      await timed(waits.print, print)
      for (let turn = 0; turn < 8; turn += 1) await timed(waits.edit, edit)
    }
  }
  // What runs first is compiled first.
  await print()
  waits.edit = []
  const idle = work()
  await new Promise((resolve) => setTimeout(resolve, 25_000))
  working = false
  await idle
  const before = { edit: p99(waits.edit), print: p99(waits.print) }
  say('alone', `an edit p99 ${before.edit.toFixed(0)} ms, a print p99 ${before.print.toFixed(0)} ms (${waits.edit.length}, ${waits.print.length})`)
  Object.assign(waits, { edit: [], print: [] })
  working = true
  const beside = work()
  let largest = memoryMb()
  const watching = setInterval(() => {
    largest = Math.max(largest, memoryMb())
  }, 50)
  const atFirst = largest
  for (const [name, document] of HOSTILE) {
    const made = await fetch(`${api}/samplers`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: hostile.cookie, 'x-csrf-token': hostile.csrf },
      body: JSON.stringify({ document }),
    })
    if (!made.ok) {
      say(name, `not taken: ${made.status} ${(((await made.json()) as { error?: { message?: string } }).error?.message ?? '').slice(0, 90)}`)
      continue
    }
    const { id } = (await made.json()) as { id: string }
    largest = memoryMb()
    const began = performance.now()
    const answer = await fetch(`${api}/samplers/${id}/sheet.pdf`, { headers: { cookie: hostile.cookie } })
    const said = answer.ok
      ? `printed, ${Math.round((await answer.arrayBuffer()).byteLength / 1000)} kB`
      : `${answer.status} ${((await answer.json()) as { error: { message: string } }).error.message.slice(0, 80)}`
    say(name, `${((performance.now() - began) / 1000).toFixed(1)} s, ${largest} MB; ${said}`)
  }
  clearInterval(watching)
  working = false
  await beside
  say(
    'beside all of them',
    `an edit p99 ${p99(waits.edit).toFixed(0)} ms, ${(p99(waits.edit) / before.edit).toFixed(1)} x alone; a print p99 ${p99(waits.print).toFixed(0)} ms, ${(p99(waits.print) / before.print).toFixed(1)} x alone (${waits.edit.length}, ${waits.print.length}); at first ${atFirst} MB`,
  )
} finally {
  await service.stop()
  rmSync(folder, { recursive: true, force: true })
}
