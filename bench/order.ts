/**
 * `npm run bench:order`: the best order of seeded courses. Small ones beside a general mixed-integer solver on the
 * same model, both to a proven optimum; large ones with their gap to the bound. Yardstick in the same run: costing a
 * thousand plans of forty exercises from their whole history. Quote the ratios, not the milliseconds.
 */
import { costOf, type CourseItem, type CourseSettings, filledLessons, findOrder, orderProblem, rulesOf, USUAL_WISHES } from '@lemmata/core/order'
import { sequenceFrom } from '@lemmata/core/geometry'
import type { Motion } from '@lemmata/core/work'
import highs from 'highs'
import { orderProgram } from './order-model.ts'

const MOTIONS: readonly Motion[] = ['split', 'wrap', 'edge', 'catch-loop', 'pass-under', 'keep-side', 'lay', 'shared-hole', 'cross-loop', 'angle']
const FAMILIES = ['line', 'loop', 'knot', 'fill', 'band']
const settings: CourseSettings = { lessonMinutes: 90, lessons: null, lessonIds: [], wishes: USUAL_WISHES }
/** A general solver is stopped after so long. */
const MOST_S = 120

function course(count: number, seed: number): CourseItem[] {
  const next = sequenceFrom(seed)
  return Array.from({ length: count }, (_, index): CourseItem => {
    const id = `e${String(index).padStart(3, '0')}`
    const motions = MOTIONS.filter(() => next() < 0.2)
    // The more motions, the harder: so that each motion is first taught by one exercise, as the written-out model has it.
    const difficulty = 5 + 10 * motions.length + 9 * next()
    const family = FAMILIES[Math.floor(next() * FAMILIES.length)] as string
    return {
      id,
      name: id,
      difficulty,
      minutes: 15 + 60 * next(),
      homeMinutes: 0,
      showMinutes: 2,
      firstMinutes: 0,
      motions,
      family,
      stitch: id,
      base: null,
      passes: 1,
      measures: 1,
      after: [],
      detached: false,
      pins: {},
    }
  })
}

function time<T>(what: () => T): { ms: number; value: T } {
  const start = performance.now()
  const value = what()
  return { ms: performance.now() - start, value }
}

const forty = course(40, 1)
const plan = { lessons: filledLessons(forty, settings) }
const thousand = (): void => {
  for (let turn = 0; turn < 1000; turn += 1) costOf(plan, forty, settings)
}
thousand()
const yardstick = time(thousand).ms
process.stdout.write(`a thousand plans of forty costed (yardstick): ${yardstick.toFixed(0)} ms\n\n`)
process.stdout.write('exercises  seed        ours                         general solver\n')
for (const [count, seed] of [
  [6, 1],
  [6, 2],
  [8, 1],
  [8, 2],
  [10, 1],
] as const) {
  const items = course(count, seed)
  const ours = time(() => findOrder(items, settings))
  const problem = orderProblem(items, settings, rulesOf(items, settings))
  if (!problem || !ours.value.found) continue
  const solver = await highs()
  const theirs = time(() => solver.solve(orderProgram(problem), { time_limit: MOST_S }))
  const proven = theirs.value.Status === 'Optimal'
  const theirCost = theirs.value.ObjectiveValue + problem.lessonsCost
  const agree = proven && Math.abs(theirCost - ours.value.cost.total) < 1e-3
  process.stdout.write(
    `${String(count).padStart(9)} ${String(seed).padStart(5)}   ${ratio(ours.ms)} cost ${ours.value.cost.total.toFixed(3)}   ${ratio(theirs.ms)} ${proven ? `cost ${theirCost.toFixed(3)}` : `not proven in ${MOST_S} s, ${theirs.value.Status}`}${proven ? (agree ? ', the same' : ', NOT THE SAME') : ''}\n`,
  )
}
process.stdout.write('\n')
for (const [count, seeds] of [
  [14, 5],
  [40, 8],
  [100, 3],
] as const) {
  for (let seed = 1; seed <= seeds; seed += 1) {
    const items = course(count, seed)
    const { ms, value } = time(() => findOrder(items, settings))
    if (!value.found) continue
    const gap = 100 * (1 - value.bound / value.cost.total)
    process.stdout.write(
      `${String(count).padStart(9)} ${String(seed).padStart(5)}   ${ratio(ms)} ${(ms / 1000).toFixed(1)} s   cost ${value.cost.total.toFixed(1)}, ${value.optimal ? 'proven' : `gap ${gap.toFixed(1)}%`}, ${value.steps} steps\n`,
    )
  }
}

function ratio(ms: number): string {
  return `${(ms / yardstick).toFixed(1).padStart(7)} x`
}
