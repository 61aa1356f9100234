/** Where the ramp is too steep and what would fill it; motions that are met once and never again. */
import type { Surroundings } from '../assign/index.ts'
import { workExercise, type WorkedExercise } from '../exercise/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import { layAlone } from '../sampler/index.ts'
import type { Motion } from '../work/index.ts'
import { type EasingChange, waysToEase } from './compare.ts'
import { type CourseItem, motionsOf, taughtMotions, type PlanDescription } from '../order/index.ts'

export type Gap =
  | { readonly kind: 'steep'; readonly before: string; readonly then: string; readonly rise: number; readonly limit: number }
  | { readonly kind: 'alike'; readonly family: string; readonly ids: readonly string[] }
  | { readonly kind: 'no-return'; readonly motion: Motion; readonly first: string; readonly met: 'once' | 'badly-spaced' }

/** So many of one family in a row are dull. */
const ALIKE = 4

export function findGaps({ steps, motions, ramp }: PlanDescription, course: readonly Pick<CourseItem, 'id' | 'family'>[]): readonly Gap[] {
  const steep = steps.flatMap((step, index): Gap[] =>
    step.tooSteep ? [{ kind: 'steep', before: (steps[index - 1] as (typeof steps)[number]).id, then: step.id, rise: step.rise, limit: ramp.limit }] : [],
  )
  const lessons = 1 + Math.max(0, ...steps.map((step) => step.lesson))
  const lost = motions.flatMap((story): Gap[] => {
    const first = steps.find((step) => step.newMotions.includes(story.motion))
    // What is first met in the last two lessons cannot come back.
    if (story.returns || !first || story.first + 2 >= lessons) return []
    return [{ kind: 'no-return', motion: story.motion, first: first.id, met: story.later.length === 0 ? 'once' : 'badly-spaced' }]
  })
  return [...steep, ...alikeRuns(steps.flatMap((step) => course.find((item) => item.id === step.id) ?? [])), ...lost]
}

function alikeRuns(order: readonly Pick<CourseItem, 'id' | 'family'>[]): readonly Gap[] {
  const runs: { family: string; ids: string[] }[] = []
  for (const { id, family } of order) {
    const run = runs.at(-1)
    if (run?.family === family) run.ids.push(id)
    else runs.push({ family, ids: [id] })
  }
  return runs.filter((run) => run.ids.length >= ALIKE).map((run): Gap => ({ kind: 'alike', ...run }))
}

export interface GapFilling {
  /** An exercise that could stand in the gap, not yet laid on the cloth. */
  readonly stitch: string
  readonly name: string
  readonly difficulty: number
  readonly set: EasingChange
  readonly because: string
}

const MOST_OFFERED = 3

/**
 * What to put into a rise: the next exercise made easier, and stitches that ask for nothing but what has been met and
 * what the next brings, rated on their own practice guides; those nearest the middle of the rise first.
 */
export function fillGap(
  gap: Extract<Gap, { kind: 'steep' }>,
  course: ReadonlyMap<string, WorkedExercise>,
  earlier: readonly string[],
  library: readonly StitchDocument[],
  around: Surroundings,
): readonly GapFilling[] {
  const then = course.get(gap.then)
  const before = course.get(gap.before)
  if (!then || !before) return []
  const [low, high] = [before.difficulty.score, then.difficulty.score]
  const middle = (low + high) / 2
  const known = new Set([...earlier.flatMap((id) => motionsIn(course.get(id))), ...motionsIn(then)])
  const offers: GapFilling[] = []
  for (const easing of waysToEase(then, around)) {
    const difficulty = high - easing.points
    if (difficulty <= low + 1) continue
    offers.push({
      stitch: then.exercise.stitch,
      name: then.assigned.document.name,
      difficulty,
      set: easing.set,
      because: `the same motion first made easier. ${easing.sentence}`,
    })
  }
  const used = new Set([...course.values()].map((done) => done.exercise.stitch))
  for (const document of library) {
    if (used.has(document.id)) continue
    const guide = practiceGuide(document.practice ?? practiceFor(document), 0, 0, 60)
    const result = workExercise(layAlone({ id: document.id, name: document.name, stitch: document.id }, guide), around)
    if (!result.ok) continue
    const difficulty = result.value.difficulty.score
    const motions = motionsIn(result.value)
    if (difficulty <= low + 1 || difficulty >= high - 1 || motions.some((motion) => !known.has(motion))) continue
    offers.push({ stitch: document.id, name: document.name, difficulty, set: {}, because: 'it asks for nothing new besides.' })
  }
  return offers.sort((a, b) => Math.abs(a.difficulty - middle) - Math.abs(b.difficulty - middle) || (a.stitch < b.stitch ? -1 : 1)).slice(0, MOST_OFFERED)
}

function motionsIn(done: WorkedExercise | undefined): readonly Motion[] {
  return done ? taughtMotions(motionsOf(done)) : []
}
