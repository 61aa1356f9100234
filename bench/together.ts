/**
 * Threads and needles of a large course together: 40 exercises, 30 threads, 20 needles, costs as they come of a seeded dice. Says how
 * long the solver takes and how far its answer is from the proven bound.
 */
import { costOfAll, provenValues, type Solved, solutionOf, type TogetherModel, writeTogether } from '@lemmata/core/together'
import loadHighs from 'highs'

const dice = (seed: number) => () => {
  seed = (seed * 1_664_525 + 1_013_904_223) % 4_294_967_296
  return seed / 4_294_967_296
}

/** Like a course: an exercise has a width and a needle's thickness that it wants; threads and needles have theirs, and cost by how far they are off. */
function course(seed: number, rows: number, threads: number, needles: number): TogetherModel {
  const roll = dice(seed)
  const width = Array.from({ length: threads }, () => 0.2 + 1.1 * roll())
  const shaft = Array.from({ length: needles }, () => 0.4 + 1.2 * roll())
  const hard = width.map(() => roll() < 0.4)
  return {
    threads: width.map(() => (roll() < 0.5 ? 0.3 : 1)),
    needles: shaft.map(() => 1),
    // Ten lessons' worth of rows worked one after the other.
    following: Array.from({ length: rows - 1 }, (_, row) => [row, row + 1] as const).filter(([row]) => row % 4 !== 3),
    rows: Array.from({ length: rows }, () => {
      const wanted = 0.25 + 0.9 * roll()
      const wantsHard = roll() < 0.3
      return width.flatMap((one, thread) => {
        const off = 10 * Math.log(one / wanted) ** 2 + (hard[thread] === wantsHard ? 0 : 0.2)
        return shaft.flatMap((mm, needle) => {
          const share = mm / (0.27 + 0.95 * one) - 1
          if (share < -0.3 || share > 0.5) return []
          const fit = share >= -0.13 && share <= 0.2 ? (Math.abs(share) < 0.04 ? 0 : 0.12 + Math.abs(share)) : 0.9 + Math.abs(share)
          return [{ thread, needle, cost: off + fit }]
        })
      })
    }),
  }
}

interface Answer extends Solved {
  readonly ObjectiveValue: number
}

const highs = await loadHighs()
for (const [rows, threads, needles] of [
  [20, 15, 12],
  [40, 30, 20],
  [80, 30, 20],
] as const)
  for (const seed of [1, 2, 3]) {
    const model = course(seed, rows, threads, needles)
    const written = performance.now()
    const lp = writeTogether(model)
    const from = performance.now()
    const answer = highs.solve(lp) as Answer
    const { Status, ObjectiveValue } = answer
    const ms = performance.now() - from
    const relaxed = highs.solve(lp.replace(/Binary[\s\S]*End/, 'End')) as Answer
    const taken = costOfAll(model, solutionOf(model, provenValues(answer) ?? new Map()))
    const options = model.rows.reduce((sum, one) => sum + one.length, 0)
    process.stdout.write(
      `${rows} x ${threads} x ${needles}, course ${seed}: ${options} options, written in ${Math.round(from - written)} ms, ${Status.toLowerCase()} ${ObjectiveValue.toFixed(3)} in ${Math.round(ms)} ms, taken at ${taken.toFixed(3)}; without whole numbers ${relaxed.ObjectiveValue.toFixed(3)}, ${((ObjectiveValue / relaxed.ObjectiveValue - 1) * 100).toFixed(1)} % under it\n`,
    )
  }
