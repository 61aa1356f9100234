/** The thread of one learner's kit, colour by colour: which needlefuls, for what, and what is added for unpicking. */
import type { ExerciseId } from '../base/index.ts'
import type { WorkedExercise } from '../exercise/index.ts'
import type { ThreadKind } from '../materials/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { Brief, Level, SamplerThread } from '../sampler/index.ts'

/** Needlefuls of one exercise in one colour, as they are cut. */
export interface Needlefuls {
  readonly exercise: ExerciseId
  readonly role: ThreadRole
  readonly strands: number
  readonly lengthMm: number
  readonly count: number
}

export interface KitThread {
  readonly thread: SamplerThread
  readonly kind: ThreadKind
  /** In the order of teaching. */
  readonly needlefuls: readonly Needlefuls[]
  /** Added to them: as long and as thick as most of this colour. */
  readonly spare: number
  /** With the spare ones, by length and strands. */
  readonly cut: readonly { readonly lengthMm: number; readonly strands: number; readonly count: number }[]
}

/** Thread that is unpicked and lost, of what is worked: judgement, where no class has told of it. */
const UNPICKED: Readonly<Record<Level, number>> = { experienced: 0.1, improver: 0.2, beginner: 0.35 }

/** What a kit has for unpicking, of what is worked. */
export const unpickedShare = ({ level, unpicked }: Pick<Brief, 'level' | 'unpicked'>): number => unpicked?.share ?? UNPICKED[level]

/** `done` in the order of teaching; a thread stands where it is first used. */
export function threadsForKit(done: readonly WorkedExercise[], brief: Pick<Brief, 'level' | 'unpicked'>): readonly KitThread[] {
  const found = new Map<string, { thread: SamplerThread; kind: ThreadKind; needlefuls: Needlefuls[] }>()
  for (const { exercise, threads } of done)
    for (const { thread, kind, role, strands, needlefulMm, use } of threads) {
      const one = found.get(thread.id) ?? { thread, kind, needlefuls: [] }
      one.needlefuls.push({ exercise: exercise.id, role, strands: strands.value, lengthMm: needlefulMm, count: use.needlefuls })
      found.set(thread.id, one)
    }
  return [...found.values()].map((one) => withSpare(one, unpickedShare(brief)))
}

function withSpare(
  { thread, kind, needlefuls }: Pick<KitThread, 'thread' | 'kind'> & { readonly needlefuls: readonly Needlefuls[] },
  share: number,
): KitThread {
  const byCut = new Map<string, { lengthMm: number; strands: number; count: number }>()
  for (const { lengthMm, strands, count } of needlefuls) {
    const key = `${lengthMm} ${strands}`
    byCut.set(key, { lengthMm, strands, count: (byCut.get(key)?.count ?? 0) + count })
  }
  const cut = [...byCut.values()].sort((a, b) => b.count - a.count || b.strands - a.strands || b.lengthMm - a.lengthMm)
  const all = cut.reduce((total, one) => total + one.count, 0)
  const spare = Math.ceil(share * all - 1e-9)
  return { thread, kind, needlefuls, spare, cut: cut.map((one, index) => (index === 0 ? { ...one, count: one.count + spare } : one)) }
}
