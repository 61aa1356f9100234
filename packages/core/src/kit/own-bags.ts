/** Bags of learners who chose otherwise: what is taken out of the usual bag and put in instead, and what is cut for it besides. */
import type { Learner } from '../classes/index.ts'
import { workForLearner, type WorkedExercise } from '../exercise/index.ts'
import { type Needle, needleKey, type ThreadKind } from '../materials/index.ts'
import { type Sampler, type SamplerThread, teachingOrder } from '../sampler/index.ts'
import { type ColourToCut, colourToCut, needlesFor } from './plan-kit.ts'
import { threadsForKit } from './thread-for-kit.ts'

/** Threads of one colour, as long and as thick as one another. */
export interface ThreadsOfBag {
  readonly thread: SamplerThread
  readonly kind: ThreadKind
  readonly strands: number
  readonly lengthMm: number
  readonly count: number
}

export interface OwnBag {
  readonly learner: Learner
  /** In the usual bag and not in hers. */
  readonly out: readonly ThreadsOfBag[]
  readonly in: readonly ThreadsOfBag[]
  readonly needlesIn: readonly Needle[]
}

export interface OwnBags {
  /** Only those that differ. */
  readonly bags: readonly OwnBag[]
  /** What is cut beside the usual kits, by colour; what is taken out of them lies to spare. */
  readonly besides: readonly ColourToCut[]
}

/** `done`: every exercise as the class works it. */
export function ownBags(sampler: Sampler, done: readonly WorkedExercise[], learners: readonly Learner[]): OwnBags {
  const usual = threadsOf(sampler, done)
  const usualNeedles = new Set(needlesFor(done).map((one) => needleKey(one.needle)))
  const bags = learners.flatMap((learner): OwnBag[] => {
    if (Object.keys(learner.choices).length === 0) return []
    const { exercises } = workForLearner(sampler, learner, done)
    const own = threadsOf(sampler, exercises)
    const needlesIn = needlesFor(exercises).flatMap(({ needle }) => (usualNeedles.has(needleKey(needle)) ? [] : [needle]))
    const bag = { learner, out: moreThan(usual, own), in: moreThan(own, usual), needlesIn }
    return bag.out.length + bag.in.length + needlesIn.length > 0 ? [bag] : []
  })
  return { bags, besides: cutBesides(bags.flatMap((one) => one.in)) }
}

type ByCut = ReadonlyMap<string, ThreadsOfBag>
const keyOf = ({ thread, strands, lengthMm }: Omit<ThreadsOfBag, 'count' | 'kind'>): string => `${strands} ${lengthMm} ${thread.id}`

function threadsOf(sampler: Sampler, done: readonly WorkedExercise[]): ByCut {
  const order = teachingOrder(sampler).map((one) => one.id)
  const taught = [...done].sort((a, b) => order.indexOf(a.exercise.id) - order.indexOf(b.exercise.id))
  return gathered(threadsForKit(taught, sampler.brief).flatMap(({ thread, kind, cut }) => cut.map((one) => ({ thread, kind, ...one }))))
}

function gathered(all: readonly ThreadsOfBag[]): ByCut {
  const found = new Map<string, ThreadsOfBag>()
  for (const one of all) found.set(keyOf(one), { ...one, count: one.count + (found.get(keyOf(one))?.count ?? 0) })
  return found
}

const moreThan = (these: ByCut, those: ByCut): readonly ThreadsOfBag[] =>
  [...these].flatMap(([key, one]) => {
    const count = one.count - (those.get(key)?.count ?? 0)
    return count > 0 ? [{ ...one, count }] : []
  })

function cutBesides(all: readonly ThreadsOfBag[]): readonly ColourToCut[] {
  const byColour = new Map<string, ThreadsOfBag[]>()
  for (const one of gathered(all).values()) byColour.set(one.thread.id, [...(byColour.get(one.thread.id) ?? []), one])
  return [...byColour.values()].flatMap((cut) => {
    const [first] = cut
    return first ? [colourToCut({ thread: first.thread, kind: first.kind, needlefuls: [], spare: 0, cut }, 1)] : []
  })
}
