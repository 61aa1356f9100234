/**
 * Threads and needles of the whole course: for every thread of every exercise what it could be worked in, in the colour that it
 * has. Strands and needles that the teacher gave stay; where nothing is left by them, the smallest part of them that is to blame is named.
 */
import { rankChoices, type RankedChoice, widthIn } from '../assign/index.ts'
import type { ExerciseId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import { neighboursOf } from '../extent/index.ts'
import { choiceOfNeedle, isCounted, kindKey, makeBundle, type Needle, needleKey, type ThreadKind, type ThreadOfKind } from '../materials/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { Material, Sampler, SamplerThread } from '../sampler/index.ts'
import { type Stores, storedThreads } from '../stores/index.ts'
import { followingRows } from './following.ts'
import { EACH_NEEDLE } from './needle-course.ts'
import { ownPieces } from './own-pieces.ts'
import type { TogetherModel } from './together-model.ts'

export interface ThreadSetting {
  readonly from: ThreadOfKind
  readonly kind: ThreadKind
  readonly strands: number
  readonly needle: Needle
}

export interface ThreadRow {
  readonly exercise: ExerciseId
  readonly name: string
  readonly role: ThreadRole
  readonly colour: SamplerThread['colour']
  readonly now: ThreadSetting
  readonly choices: readonly RankedChoice[]
}

export interface ThreadCourse {
  readonly rows: readonly ThreadRow[]
  /** Nothing serves them: why, as the smallest part of what was given that leaves nothing; none where nothing serves at all. */
  readonly left: readonly { readonly exercise: ExerciseId; readonly name: string; readonly role: ThreadRole; readonly blame: readonly Pin[] }[]
  readonly model: TogetherModel
}

export type Pin = 'strands' | 'needle'

/** A further thread to buy weighs as much as a further needle; one that lies in the drawer already a third of it. Judgement. */
export const NEW_THREAD = EACH_NEEDLE
export const ON_HAND = 0.3

export interface CourseOfThreads {
  readonly sampler: Pick<Sampler, 'brief' | 'cloth' | 'lessons' | 'exercises'>
  readonly done: readonly WorkedExercise[]
  /** Kinds to choose from; those that are worked in now are among them. */
  readonly threads: readonly ThreadOfKind[]
  readonly needles?: readonly Needle[] | undefined
  readonly stores?: Stores | undefined
}

export function threadCourse({ sampler, done, threads, needles, stores }: CourseOfThreads): ThreadCourse {
  const counted = isCounted(sampler.cloth.kind)
  const rows: ThreadRow[] = []
  const left: ThreadCourse['left'][number][] = []
  for (const worked of done) {
    const { exercise, assigned } = worked
    // As the others are worked now: what they become is not known yet.
    const neighbours = neighboursOf(sampler, done, worked)
    for (const one of assigned.threads) {
      const { role, thread, kind, strands, needle } = one
      const now: ThreadSetting = { from: thread.value, kind, strands: strands.value, needle: needle.value }
      const mine = new Map([...threads, thread.value].map((from) => [kindKey(from), from]))
      const all = rankChoices({ exercise, assigned, role, level: sampler.brief.level, counted, threads: [...mine.values()], needles, neighbours })
      const given = exercise.materials?.[role] ?? {}
      const choices = all.filter((choice) => PINS.every((pin) => keeps(pin, given, choice)))
      const about = { exercise: exercise.id, name: exercise.name, role }
      if (choices.length === 0) left.push({ ...about, blame: blameOf(given, all) })
      else rows.push({ ...about, colour: thread.value.colour, now, choices })
    }
    for (const { role, thread, kind, strands, needle } of ownPieces(worked)) {
      const now = { from: thread, kind, strands: strands.value, needle: needle.value }
      const bundle = makeBundle(kind, strands.value)
      const costs = { width: 0, length: 0, worked: 0, feel: 0, look: 0, needle: 0 }
      const as: RankedChoice = { ...now, bundle, widthMm: widthIn(assigned, role, bundle), verdict: 'best', costs, cost: 0 }
      rows.push({ exercise: exercise.id, name: exercise.name, role, colour: thread.colour, now, choices: [as] })
    }
  }
  return { rows, left, model: modelOf(rows, stores, followingRows(sampler, rows)) }
}

const PINS: readonly Pin[] = ['strands', 'needle']

function keeps(pin: Pin, { strands, needle }: Material, choice: RankedChoice): boolean {
  if (pin === 'strands') return strands === undefined || choice.strands === strands
  const to = choiceOfNeedle(choice.needle)
  return needle === undefined || (to.kind === needle.kind && to.size === needle.size && to.shaftMm === needle.shaftMm)
}

/** One pin alone if it leaves nothing, both where only both do. */
function blameOf(given: Material, all: readonly RankedChoice[]): readonly Pin[] {
  if (all.length === 0) return []
  const alone = PINS.filter((pin) => !all.some((choice) => keeps(pin, given, choice)))
  return alone.length > 0 ? alone.slice(0, 1) : PINS
}

/** A thread is a kind in a colour: that is what one buys. */
export const threadKey = (from: ThreadOfKind, colour: SamplerThread['colour']): string => `${kindKey(from)} ${colour.hex.toLowerCase()}`

function modelOf(rows: readonly ThreadRow[], stores: Stores | undefined, following: TogetherModel['following']): TogetherModel {
  const threads = new Map<string, { place: number; cost: number }>()
  const needles = new Map<string, number>()
  const placeOfThread = (from: ThreadOfKind, colour: SamplerThread['colour']): number => {
    const key = threadKey(from, colour)
    const known = threads.get(key)
    if (known) return known.place
    const has = stores !== undefined && storedThreads(stores, { ...from, colour }).some((one) => one.left > 0)
    threads.set(key, { place: threads.size, cost: has ? ON_HAND : NEW_THREAD })
    return threads.size - 1
  }
  const placeOfNeedle = (needle: Needle): number => {
    const key = needleKey(needle)
    if (!needles.has(key)) needles.set(key, needles.size)
    return needles.get(key) as number
  }
  const options = rows.map(({ choices, colour }) =>
    choices.map(({ from, needle, cost }) => ({ thread: placeOfThread(from, colour), needle: placeOfNeedle(needle), cost })),
  )
  return { rows: options, threads: [...threads.values()].map((one) => one.cost), needles: [...needles.values()].map(() => EACH_NEEDLE), following }
}
