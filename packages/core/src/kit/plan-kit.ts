/** What a class is given: thread cut and parted, needles, cloth, hoop and tools; what is bought for it. */
import { type CutForClass, cutForClass, sparesFor } from '../cutting/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { findMarkMethod, type MarkMethod } from '../marking/index.ts'
import { type Needle, needleKey, type ThreadKind } from '../materials/index.ts'
import { type Sampler, type SamplerThread, teachingOrder } from '../sampler/index.ts'
import { cutPutUps } from './cut-put-ups.ts'
import { type Bundles, type Parted, partStrands } from './part-strands.ts'
import { type KitThread, threadsForKit } from './thread-for-kit.ts'

/** One colour for all kits, as it is cut on the table. */
export interface ColourToCut {
  readonly thread: SamplerThread
  readonly kind: ThreadKind
  readonly kit: KitThread
  /** One for each length that this colour is cut in; nearly always one. */
  readonly lengths: readonly { readonly lengthMm: number; readonly bundles: readonly Bundles[]; readonly parted: Parted }[]
  readonly putUps: number
  /** Left of what was bought, mm of the put-up in all its strands. */
  readonly leftMm: number
}

export interface NeedleForKit {
  readonly needle: Needle
  /** Exercises that are worked with it. */
  readonly exercises: readonly string[]
}

export interface Kit {
  readonly learners: number
  readonly spares: number
  /** One for each learner, the spares, and the teacher's own where cloth is counted. */
  readonly kits: number
  readonly leftHanded: number
  readonly colours: readonly ColourToCut[]
  /** In every kit, one of each. */
  readonly needles: readonly NeedleForKit[]
  /** A hole is opened before the needle: it, or the laid thread, would not pass. */
  readonly stiletto: boolean
  readonly cloth: CutForClass
  readonly marking: MarkMethod | null
  /** Threads on the card of one kit. */
  readonly threadsOnCard: number
}

/** Why a needle was taken, where its hole is opened first. */
const OPENED = ['needle.plunges-opened', 'needle.cloth']

/** `done`: of every exercise, in any order. */
export function planKit(sampler: Sampler, done: readonly WorkedExercise[]): Kit {
  const { learners, leftHanded, marking } = sampler.brief
  const spares = sparesFor(sampler.brief)
  const kits = learners + spares
  const order = teachingOrder(sampler).map((one) => one.id)
  const taught = [...done].sort((a, b) => order.indexOf(a.exercise.id) - order.indexOf(b.exercise.id))
  const colours = threadsForKit(taught, sampler.brief).map((kit) => colourToCut(kit, kits))
  const method = marking?.method === undefined ? null : findMarkMethod(marking.method)
  return {
    learners,
    spares,
    kits,
    leftHanded: Math.min(leftHanded, learners),
    colours,
    needles: needlesFor(taught),
    stiletto: taught.some(({ threads }) => threads.some(({ needle }) => OPENED.includes(needle.reason.code))),
    cloth: cutForClass(sampler),
    marking: method,
    threadsOnCard: colours.reduce((total, { kit }) => total + kit.cut.reduce((sum, one) => sum + one.count, 0), 0),
  }
}

export function colourToCut(kit: KitThread, kits: number): ColourToCut {
  const { strands, lengthMm: putUpMm } = kit.kind.putUp
  const byLength = new Map<number, Bundles[]>()
  for (const { lengthMm, strands: bundle, count } of kit.cut)
    byLength.set(lengthMm, [...(byLength.get(lengthMm) ?? []), { strands: bundle, count: count * kits }])
  const lengths = [...byLength]
    .map(([lengthMm, bundles]) => ({ lengthMm, bundles, parted: partStrands(bundles, strands) }))
    .sort((a, b) => b.lengthMm - a.lengthMm)
  const { putUps, leftMm } = cutPutUps(
    lengths.map(({ lengthMm, parted }) => ({ lengthMm, count: parted.lengths })),
    putUpMm,
  )
  return { thread: kit.thread, kind: kit.kind, kit, lengths, putUps, leftMm }
}

export function needlesFor(done: readonly WorkedExercise[]): readonly NeedleForKit[] {
  const found = new Map<string, { needle: Needle; exercises: Set<string> }>()
  for (const { exercise, threads } of done)
    for (const { needle } of threads) {
      const key = needleKey(needle.value)
      const one = found.get(key) ?? { needle: needle.value, exercises: new Set<string>() }
      one.exercises.add(exercise.id)
      found.set(key, one)
    }
  return [...found.values()]
    .map(({ needle, exercises }) => ({ needle, exercises: [...exercises] }))
    .sort((a, b) => a.needle.family.id.localeCompare(b.needle.family.id) || a.needle.size - b.needle.size)
}
