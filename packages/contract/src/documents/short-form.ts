/**
 * The short form of an exercise, always accepted on reading: its own `guide` in place of `on`, and `thread`, `strands`,
 * `needle`, `secondThread`, `secondStrands`, `secondNeedle` in place of `materials`. A file that holds a single exercise
 * is a sampler of one.
 */
import type { Problem } from '@lemmata/core/base'
import { MAIN_ROLE, rolesOf } from '@lemmata/core/notation'
import { newSampler } from '@lemmata/core/sampler'
import { findStitch } from '@lemmata/core/stitches'

type Loose = Readonly<Record<string, unknown>>

const isObject = (given: unknown): given is Loose => typeof given === 'object' && given !== null && !Array.isArray(given)
const listIn = (given: unknown): readonly unknown[] => (Array.isArray(given) ? given : [])

export interface Expanded {
  readonly document: unknown
  /** By the place of a drawn guide: the place of the exercise that it was written in. */
  readonly drawnIn: ReadonlyMap<number, number>
}

/** What cannot be understood is left as it is: the schema says what is wrong with it. */
export function expandShortForm(given: unknown): Expanded {
  const whole = isLoneExercise(given) ? around(given) : given
  const drawnIn = new Map<number, number>()
  if (!isObject(whole) || !Array.isArray(whole.exercises)) return { document: whole, drawnIn }
  const drawing = isObject(whole.drawing) ? whole.drawing : {}
  const guides = [...listIn(drawing.guides)]
  const own = listIn(whole.stitches)
  const exercises = whole.exercises.map((exercise: unknown, index) => {
    const before = guides.length
    const expanded = expandExercise(exercise, guides, own)
    if (guides.length > before) drawnIn.set(before, index)
    return expanded
  })
  const document = {
    ...whole,
    ...(drawnIn.size > 0 ? { drawing: { ...drawing, guides } } : {}),
    exercises,
  }
  return { document, drawnIn }
}

/** A fault of a guide is said where it was written: in its exercise. */
export function asWritten(path: Problem['path'], drawnIn: Expanded['drawnIn']): Problem['path'] {
  const [drawing, guides, at, ...rest] = path
  const exercise = drawing === 'drawing' && guides === 'guides' && typeof at === 'number' ? drawnIn.get(at) : undefined
  return exercise === undefined ? path : ['exercises', exercise, ...rest]
}

function expandExercise(given: unknown, guides: unknown[], own: readonly unknown[]): unknown {
  if (!isObject(given)) return given
  const { guide, layer, after, substitutes, ...rest } = withMaterials(given, own)
  const on = guide === undefined || rest.on !== undefined ? {} : { on: [{ guide: draw(guide, layer, rest.name, guides) }] }
  return {
    ...rest,
    ...on,
    ...(after === undefined || rest.over !== undefined ? {} : { over: after }),
    ...(substitutes === undefined
      ? {}
      : { substitutes: Array.isArray(substitutes) ? substitutes.map((one: unknown) => (isObject(one) ? withMaterials(one, own) : one)) : substitutes }),
  }
}

/** Drawn under the next id that is free. */
function draw(guide: unknown, layer: unknown, name: unknown, guides: unknown[]): string {
  const taken = new Set(guides.map((one) => (isObject(one) ? one.id : undefined)))
  let number = guides.length + 1
  while (taken.has(`g${number}`)) number += 1
  guides.push({ id: `g${number}`, ...(typeof name === 'string' && name.trim() !== '' ? { name } : {}), ...(layer === undefined ? {} : { layer }), guide })
  return `g${number}`
}

function withMaterials(given: Loose, own: readonly unknown[]): Loose {
  const { thread, strands, needle, secondThread, secondStrands, secondNeedle, ...rest } = given
  const material = (of: Loose): Loose => Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined))
  const main = material({ thread, strands, needle })
  const second = material({ thread: secondThread, strands: secondStrands, needle: secondNeedle })
  const said = {
    ...(Object.keys(main).length > 0 ? { [MAIN_ROLE]: main } : {}),
    ...(Object.keys(second).length > 0 ? { [secondRole(given.stitch, own)]: second } : {}),
  }
  return Object.keys(said).length > 0 && rest.materials === undefined ? { ...rest, materials: said } : rest
}

/** The stitch's first thread besides the main one. */
function secondRole(stitch: unknown, own: readonly unknown[]): string {
  const written = own.find((one) => isObject(one) && one.id === stitch)
  const passes = isObject(written) ? listIn(written.passes) : (findStitch(String(stitch))?.passes ?? [])
  const known = passes.filter((pass): pass is { thread?: string } => isObject(pass))
  const roles = rolesOf({ passes: known as never })
  return roles[1] ?? 'second'
}

function isLoneExercise(given: unknown): given is Loose & { exercise: unknown } {
  return isObject(given) && 'exercise' in given && !('exercises' in given)
}

/** Everything a lone exercise leaves out: calico, one stranded cotton under the id it names. */
function around(given: Loose & { exercise: unknown }): unknown {
  const plain = newSampler('One exercise')
  const exercise = isObject(given.exercise) ? { id: 'e1', name: 'Exercise', ...given.exercise } : given.exercise
  const named = isObject(exercise) ? namedThreads(exercise) : []
  const threads = given.threads ?? (named.length > 0 ? named : ['t1']).map((id) => ({ ...plain.threads[0], id }))
  const cloth = isObject(given.cloth) ? { ...plain.cloth, ...given.cloth } : (given.cloth ?? plain.cloth)
  const { format, version, name, units, workingHoop, lessons, keptOrders } = plain
  return {
    ...{ format, version, name, units, workingHoop, lessons, keptOrders },
    brief: given.brief ?? plain.brief,
    cloth,
    threads,
    drawing: given.drawing ?? plain.drawing,
    stitches: given.stitches ?? [],
    exercises: [exercise],
  }
}

function namedThreads(exercise: Loose): readonly string[] {
  const materials = isObject(exercise.materials) ? Object.values(exercise.materials).map((one) => (isObject(one) ? one.thread : undefined)) : []
  return [...new Set([exercise.thread, exercise.secondThread, ...materials].filter((one) => typeof one === 'string'))]
}
