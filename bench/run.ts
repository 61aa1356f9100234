/**
 * `npm run bench`: working a 40-exercise sampler of about 20 000 stitches, one edit of it, and the
 * library's wall and hand. Yardstick in the
 * same run, taken in turn with what is measured, so that a slow moment of the machine is in both: writing the same
 * coordinates in a bare loop. Figures are medians of several rounds; quote the ratios, not the milliseconds.
 */
import { roleThreads, workExercise, workSampler } from '@lemmata/core/exercise'
import { drawSampler, drawStep, lookOf, writeSvg } from '@lemmata/core/drawing'
import { practiceFor, practiceGuide } from '@lemmata/core/guide'
import { surroundingsOf } from '@lemmata/core/assign'
import { applyOperation, layAlone, layExercises, newSampler } from '@lemmata/core/sampler'
import { demonstrate } from '@lemmata/core/steps'
import { LIBRARY } from '@lemmata/core/stitches'
import { largeSampler } from './large-sampler.ts'

const ROUNDS = 9

function median(measure: () => number): number {
  return middle(Array.from({ length: ROUNDS }, measure))
}

function middle(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number
}

function time(what: () => unknown): number {
  const start = performance.now()
  what()
  return performance.now() - start
}

const sampler = largeSampler()
const worked = workSampler(sampler).done
const stitches = worked.reduce((total, one) => total + one.stitches, 0)
const segments = worked.flatMap((one) => one.pieces.flatMap((piece) => piece.worked.segments))
const points = segments.reduce((sum, segment) => sum + segment.points.length, 0)

/** The least that any program would do: make as many points with three coordinates, in lists of the same lengths. */
function bareLoop(): unknown {
  const lists: { x: number; y: number; z: number }[][] = []
  for (const segment of segments) {
    const list: { x: number; y: number; z: number }[] = []
    for (let index = 0; index < segment.points.length; index += 1) list.push({ x: index * 0.1, y: index * 0.2, z: 0 })
    lists.push(list)
  }
  return lists
}

bareLoop()
const yardsticks: number[] = []

/** In turn with the yardstick. */
function beside(what: () => unknown): Measured {
  const times: number[] = []
  const ratios: number[] = []
  what()
  for (let round = 0; round < ROUNDS; round += 1) {
    const yardstick = time(bareLoop)
    const ms = time(what)
    yardsticks.push(yardstick)
    times.push(ms)
    ratios.push(ms / yardstick)
  }
  return { ms: middle(times), ratio: middle(ratios) }
}

interface Measured {
  readonly ms: number
  readonly ratio: number
}

const whole = beside(() => workSampler(sampler))
let turn = 0
// One edit as the page takes it: applied by the reducer, laid again, and only what is no longer the same worked.
const edit = beside(() => {
  turn += 1
  const edited = applyOperation(sampler, { kind: 'set-parameters', id: 'e1', set: { L: 2.5 + turn / 1000 } })
  if (!edited.ok) throw new Error(edited.problems[0]?.code)
  const before = new Set(layExercises(sampler))
  const surroundings = surroundingsOf(edited.value)
  return layExercises(edited.value).map((laid) => (before.has(laid) || !laid.ok ? null : workExercise(laid.value, surroundings)))
})
const curved = layExercises(sampler)[2]
const drag = beside(() => (curved?.ok ? workExercise({ ...curved.value }, surroundingsOf(sampler)) : null))
const draw = beside(() => drawSampler(sampler, worked, { side: 'front', worked: true, marks: true, detail: 'edged' }))
const svg = beside(() => writeSvg(drawSampler(sampler, worked, { side: 'front', worked: true, marks: true, detail: 'body' })))

/** The library: each stitch on its practice guide, as the wall asks for it, and as the hand shows it move by move. */
const around = surroundingsOf(newSampler('Library'))
const swatches = LIBRARY.map((document) => ({
  document,
  exercise: layAlone({ id: document.id, name: document.name, stitch: document.id }, practiceGuide(document.practice ?? practiceFor(document), 40, 20, 60)),
}))
const wall = beside(() => swatches.map(({ exercise }) => workExercise(exercise, around)))
const hands = swatches
  .flatMap(({ document, exercise }) => {
    const result = workExercise(exercise, around)
    if (!result.ok) return []
    const { parameters, materials, document: whole } = result.value.assigned
    const asked = { document: whole, parameters, materials, threads: roleThreads(result.value.assigned), hand: 'right' } as const
    const work = (): unknown => demonstrate(asked)
    const shown = (): unknown => {
      const demonstration = demonstrate(asked)
      const step = demonstration.ok ? demonstration.value.steps.at(-1) : undefined
      if (!demonstration.ok || !step) return null
      const look = lookOf(result.value.assigned)
      return drawStep({ demonstration: demonstration.value, step, look, widthMm: 100, heightMm: 52, detail: 'full', cloth: '#ffffff', numberMm: 4.4 })
    }
    return [{ id: document.id, ms: median(() => time(work)), drawn: median(() => time(shown)) }]
  })
  .sort((a, b) => a.ms - b.ms)
if (process.argv.includes('--hands')) for (const { id, ms } of hands.slice(-12)) process.stdout.write(`${id.padEnd(26)} ${ms.toFixed(1)} ms\n`)
const usualHand = hands[Math.floor(hands.length / 2)]?.ms ?? 0
const slowestHand = hands[hands.length - 1]

process.stdout.write(`${sampler.exercises.length} exercises, ${stitches} stitches, ${points} points\n\n`)
const yardstick = middle(yardsticks)
row('bare loop (yardstick)', { ms: yardstick, ratio: 1 })
row('work the whole sampler', whole)
row('one edit of it', edit)
row('work one curved exercise (a drag)', drag)
row('draw it, edges and light', draw)
row('draw it and write SVG', svg)
row(`the wall: ${swatches.length} stitches worked`, wall)
row('a stitch worked for the hand (median)', { ms: usualHand, ratio: usualHand / yardstick })
row(`the same at its slowest (${slowestHand?.id ?? ''})`, { ms: slowestHand?.ms ?? 0, ratio: (slowestHand?.ms ?? 0) / yardstick })

function row(name: string, { ms, ratio }: Measured): void {
  process.stdout.write(`${name.padEnd(48)} ${ms.toFixed(2).padStart(9)} ms   ${ratio.toFixed(2).padStart(8)} x yardstick\n`)
}
