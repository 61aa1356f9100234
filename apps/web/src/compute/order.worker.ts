/** Seeks orders and fills gaps off the page's thread; a search is ended by ending its worker. */
import type { Surroundings } from '@lemmata/core/assign'
import { workExercise, type WorkedExercise } from '@lemmata/core/exercise'
import {
  type CourseItem,
  type CoursePlan,
  type CourseSettings,
  findOrder,
  gainsOf,
  type OrderAnswer,
  type OrderGain,
  type OrderProgress,
} from '@lemmata/core/order'
import { type Easing, fillGap, type Gap, type GapFilling, waysToEase } from '@lemmata/core/plan'
import type { LaidExercise } from '@lemmata/core/sampler'
import { allStitches } from '@lemmata/core/stitches'
import { expose } from 'comlink'

/** Progress is told when a better order is found, and each fiftieth of the way. */
const EACH = 1 / 50

const service = {
  find(course: readonly CourseItem[], settings: CourseSettings, onProgress: (progress: OrderProgress) => void): OrderAnswer {
    let told = -1
    let cost = Infinity
    return findOrder(course, settings, (progress) => {
      if (progress.share - told >= EACH || progress.cost < cost) {
        told = progress.share
        cost = progress.cost
        onProgress(progress)
      }
      return true
    })
  },
  gains(course: readonly CourseItem[], plan: CoursePlan, settings: CourseSettings): readonly OrderGain[] {
    return gainsOf(course, plan, settings)
  },
  ease(laid: LaidExercise, around: Surroundings): readonly Easing[] {
    const done = workExercise(laid, around)
    return done.ok ? waysToEase(done.value, around) : []
  },
  fill(gap: Extract<Gap, { kind: 'steep' }>, exercises: readonly LaidExercise[], earlier: readonly string[], around: Surroundings): readonly GapFilling[] {
    const worked = new Map<string, WorkedExercise>()
    for (const laid of exercises) {
      const done = workExercise(laid, around)
      if (done.ok) worked.set(laid.exercise.id, done.value)
    }
    return fillGap(gap, worked, earlier, allStitches(around.stitches), around)
  },
}

export type OrderService = typeof service
expose(service)
