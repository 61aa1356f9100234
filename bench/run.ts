/**
 * `npm run bench`: working a 40-exercise sampler of about 20 000 stitches, one edit of it, and the
 * library's wall and hand. Yardstick in the
 * same run: writing the same coordinates in a bare loop. Figures are medians of several rounds; quote the
 * ratios, not the milliseconds.
 */
import { roleThreads, workExercise, workSampler } from '@lemmata/core/exercise'
import { drawSampler, drawStep, lookOf, writeSvg } from '@lemmata/core/drawing'
import { practiceFor, practiceGuide } from '@lemmata/core/guide'
import { surroundingsOf } from '@lemmata/core/assign'
import { applyOperation, layAlone, layExercises, newSampler } from '@lemmata/core/sampler'
import { demonstrate } from '@lemmata/core/steps'
import { LIBRARY } from '@lemmata/core/stitches'
import { largeSampler } from './large-sampler.ts'

const ROUNDS = 7

function median(measure: () => number): number {
  const times = Array.from({ length: ROUNDS }, measure).sort((a, b) => a - b)
  return times[Math.floor(ROUNDS / 2)] as number
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
const yardstick = median(() => time(bareLoop))
const whole = median(() => time(() => workSampler(sampler)))
let turn = 0
// One edit as the page takes it: applied by the reducer, laid again, and only what is no longer the same worked.
const edit = median(() => {
  turn += 1
  return time(() => {
    const edited = applyOperation(sampler, { kind: 'set-parameters', id: 'e1', set: { L: 2.5 + turn / 1000 } })
    if (!edited.ok) throw new Error(edited.problems[0]?.message)
    const before = new Set(layExercises(sampler))
    const around = surroundingsOf(edited.value)
    return layExercises(edited.value).map((laid) => (before.has(laid) || !laid.ok ? null : workExercise(laid.value, around)))
  })
})
const curved = layExercises(sampler)[2]
const drag = median(() => time(() => (curved?.ok ? workExercise({ ...curved.value }, surroundingsOf(sampler)) : null)))
const draw = median(() => time(() => drawSampler(sampler, worked, { side: 'front', worked: true, marks: true, detail: 'edged' })))
const svg = median(() => time(() => writeSvg(drawSampler(sampler, worked, { side: 'front', worked: true, marks: true, detail: 'body' }))))

/** The library: each stitch on its practice guide, as the wall asks for it, and as the hand shows it move by move. */
const around = surroundingsOf(newSampler('Library'))
const swatches = LIBRARY.map((document) => ({
  document,
  exercise: layAlone({ id: document.id, name: document.name, stitch: document.id }, practiceGuide(document.practice ?? practiceFor(document), 40, 20, 60)),
}))
const wall = median(() => time(() => swatches.map(({ exercise }) => workExercise(exercise, around))))
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
row('bare loop (yardstick)', yardstick)
row('work the whole sampler', whole)
row('one edit of it', edit)
row('work one curved exercise (a drag)', drag)
row('draw it, edges and light', draw)
row('draw it and write SVG', svg)
row(`the wall: ${swatches.length} stitches worked`, wall)
row('a stitch worked for the hand (median)', usualHand)
row(`the same at its slowest (${slowestHand?.id ?? ''})`, slowestHand?.ms ?? 0)

function row(name: string, ms: number): void {
  process.stdout.write(`${name.padEnd(48)} ${ms.toFixed(2).padStart(9)} ms   ${(ms / yardstick).toFixed(2).padStart(8)} x yardstick\n`)
}
