/** The page's workers for stitches. Everything that is worked off the page's thread is asked of them. */
import type { Surroundings } from '@lemmata/core/assign'
import type { Result } from '@lemmata/core/base'
import { samplerBudget, tooMuchInAll, type WorkedExercise } from '@lemmata/core/exercise'
import type { StitchDocument } from '@lemmata/core/notation'
import type { LaidExercise } from '@lemmata/core/sampler'
import type { WallLook, WallPicture } from '../stitches/wall-picture.ts'
import { type Job, makeCrew, NOT_ASKED_YET, type Urgency } from './crew.ts'
import { type Packed, unpack } from './packed.ts'
import { runWorker } from './protocol.ts'
import { takeWorker, WORKERS } from './started.ts'
import type { WorkService } from './work.worker.ts'

const crew = makeCrew(() => runWorker<WorkService>(takeWorker, 'Working the stitches'), WORKERS)

/** While a sampler is still on its way. */
export const readyWorkers = (): void => crew.ready()

/** When another stage is gone to. */
export const reconsiderWork = (): void => crew.reconsider()

type Results = readonly Result<WorkedExercise>[]

const unpackAll = (packed: readonly Packed[]): Results => packed.map((one) => unpack(one) as Result<WorkedExercise>)

/** Exercises asked for at once: on a slow machine the first are seen while the others are still worked. */
const EXERCISES = 4
const SWATCHES = 8

export function workExercises<One extends { readonly laid: LaidExercise }>(
  all: readonly One[],
  around: Surroundings,
  urgency: Urgency | (() => Urgency),
  onGroup: (group: readonly One[], results: Results) => void,
): Job {
  return crew.inGroups(
    all,
    EXERCISES,
    urgency,
    async (service, group) =>
      unpackAll(
        await service.work(
          group.map((one) => one.laid),
          around,
        ),
      ),
    onGroup,
  )
}

export function paintWall(
  all: readonly StitchDocument[],
  around: Surroundings,
  look: WallLook,
  isAsked: boolean,
  onGroup: (group: readonly StitchDocument[], pictures: readonly WallPicture[]) => void,
): Job {
  return crew.inGroups(all, SWATCHES, isAsked ? 1 : NOT_ASKED_YET, (service, group) => service.paintWall(group, around, look), onGroup)
}

/** Worked at once, before anything that waits; as far as one sampler may go. */
export async function workElsewhere(laid: readonly LaidExercise[], around: Surroundings): Promise<Result<WorkedExercise>[]> {
  const results = new Map<LaidExercise, Result<WorkedExercise>>()
  const budget = samplerBudget()
  const job = workExercises(
    laid.map((one) => ({ laid: one })),
    around,
    0,
    (group, answers) => {
      group.forEach((one, index) => results.set(one.laid, budget.take(answers[index] as Result<WorkedExercise>)))
      if (budget.isSpent()) job.drop()
    },
  )
  await job.ended
  return laid.map((one) => results.get(one) ?? tooMuchInAll())
}
