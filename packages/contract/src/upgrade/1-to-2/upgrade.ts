/**
 * Version 1 to version 2: the same stitches in the same places, in the same thread, in the same order.
 *
 * - An exercise's guide becomes a drawn guide of its own, with the exercise's name and layer.
 * - Its thread becomes the main one. Where version 1 called the tying thread the first (couching and laid work), the laid
 *   thread is now the main one: a second thread that was given is laid; where none was given, both are the exercise's own.
 * - The order is the lessons'. Names of what is not there any more are left out.
 * - Learners' versions are taken out: they belong to a class.
 */
import type { Learner } from '@lemmata/core/classes'
import { findThreadKind } from '@lemmata/core/materials'
import { type DrawnGuide, dropDangling, type Exercise, type KeptOrder, type Lesson, type Material, type Materials, type Sampler } from '@lemmata/core/sampler'
import type { ExerciseVersion1, SamplerVersion1 } from './sampler-1.ts'

type Given = Pick<ExerciseVersion1, 'thread' | 'strands' | 'needle'> & Partial<Pick<ExerciseVersion1, 'secondThread' | 'secondStrands' | 'secondNeedle'>>

/** What the second thread of the library's stitches did; `laid`: the first one tied it down. */
const SECOND: Readonly<Record<string, 'whipping' | 'lacing' | 'padding' | 'laid'>> = {
  'whipped-running': 'whipping',
  'whipped-back': 'whipping',
  'whipped-stem': 'whipping',
  'whipped-chain': 'whipping',
  'threaded-running': 'lacing',
  'threaded-back': 'lacing',
  'double-threaded-back': 'lacing',
  'pekinese-stitch': 'lacing',
  'threaded-palestrina': 'lacing',
  'overcast-trailing': 'padding',
  'couching-stitch': 'laid',
  'triple-couching': 'laid',
  'couched-filling': 'laid',
  'zigzag-couching': 'laid',
  'diamond-couching': 'laid',
  'laid-lattice': 'laid',
}

export function upgrade1To2(one: SamplerVersion1): { readonly sampler: Sampler; readonly learners: readonly Learner[] } {
  const { version: _old, exercises, lessons, keptOrders, learnerVersions, format, name, units, brief, cloth, workingHoop, displayHoop, threads, stitches } = one
  const own = new Set(stitches.map((stitch) => stitch.id))
  const guides = exercises.map((exercise, index): DrawnGuide => {
    const { name: called, layer, guide } = exercise
    return { id: `g${index + 1}`, name: called, ...(layer ? { layer } : {}), guide }
  })
  const sampler: Sampler = {
    ...{ format, version: 2, name, units, brief, cloth },
    ...(workingHoop ? { workingHoop } : {}),
    ...(displayHoop ? { displayHoop } : {}),
    threads,
    drawing: { guides, groups: [] },
    exercises: exercises.map((exercise, index) => upgradeExercise(exercise, `g${index + 1}`, own, threads)),
    lessons: taughtOnce(lessons),
    keptOrders: (keptOrders ?? []).map(({ id, name: called, lessons: kept }): KeptOrder => ({ id, name: called, lessons: kept })),
    stitches,
  }
  return { sampler: dropDangling(sampler), learners: learnerVersions ?? [] }
}

function upgradeExercise(given: ExerciseVersion1, guide: string, own: ReadonlySet<string>, threads: Sampler['threads']): Exercise {
  const { guide: _drawn, layer: _layer, thread, strands, needle, secondThread, secondStrands, secondNeedle, substitutes, after, ...rest } = given
  const materials = materialsFor(given.stitch, { thread, strands, needle, secondThread, secondStrands, secondNeedle }, own, threads)
  return {
    ...rest,
    on: [{ guide }],
    ...(materials ? { materials } : {}),
    ...(substitutes
      ? {
          substitutes: substitutes.map(({ stitch, parameters, ...threadOf }) => {
            const others = materialsFor(stitch, threadOf, own, threads)
            return { stitch, ...(parameters ? { parameters } : {}), ...(others ? { materials: others } : {}) }
          }),
        }
      : {}),
    ...(after ? { over: after } : {}),
  }
}

/** A thread that is not in the sampler any more is left to be chosen, as it was. */
function materialsFor(stitch: string, given: Given, own: ReadonlySet<string>, threads: Sampler['threads']): Materials | null {
  const known = (id: string | undefined): string | undefined => (threads.some((one) => one.id === id) ? id : undefined)
  const first = material(known(given.thread), given.strands, given.needle)
  const second = material(known(given.secondThread), atMost(given.secondStrands, known(given.secondThread), threads), given.secondNeedle)
  const role = own.has(stitch) ? 'second' : (SECOND[stitch] ?? 'second')
  if (role !== 'laid') return found({ main: first, [role]: second })
  const laidWith = second.thread ?? first.thread
  const laid = material(laidWith, atMost(second.strands ?? first.strands, laidWith, threads), second.needle)
  return found({
    main: laid,
    tie: material(second.thread === undefined ? undefined : first.thread, second.strands === undefined ? undefined : first.strands, first.needle),
  })
}

/** A second thread of another kind was worked in as many strands as it has, whatever was asked for. */
function atMost(strands: number | undefined, id: string | undefined, threads: Sampler['threads']): number | undefined {
  const thread = threads.find((one) => one.id === id)
  const kind = thread && findThreadKind(thread.kind, thread.weight)
  return strands === undefined || !kind ? strands : Math.min(strands, kind.mostStrands)
}

function material(thread: string | undefined, strands: number | undefined, needle: Material['needle']): Material {
  return { ...(thread === undefined ? {} : { thread }), ...(strands === undefined ? {} : { strands }), ...(needle === undefined ? {} : { needle }) }
}

/** What is said, if anything is. */
function found(all: Readonly<Record<string, Material>>): Materials | null {
  const said = Object.entries(all).filter(([, one]) => Object.keys(one).length > 0)
  return said.length > 0 ? Object.fromEntries(said) : null
}

/** An exercise that stood in two lessons stays in the first. */
function taughtOnce(lessons: readonly Lesson[]): readonly Lesson[] {
  const taught = new Set<string>()
  return lessons.map((lesson) => ({
    ...lesson,
    exercises: lesson.exercises.filter((id) => {
      if (taught.has(id)) return false
      taught.add(id)
      return true
    }),
  }))
}
