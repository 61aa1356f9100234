/**
 * Who names whom in a sampler: the one table that removal, validation and import read. Each row says how to find
 * the names of one kind in one place, and, where a name may simply go with what it names, how to take it out.
 */
import type { Piece } from './pieces.ts'
import type { Exercise, GuideGroup, KeptOrder, Lesson, Material, Materials, Pins, Sampler, Substitute } from './types.ts'

/** What can be named by its id. */
export type Named = 'thread' | 'stitch' | 'guide' | 'exercise' | 'lesson'

export interface Reference {
  readonly names: Named
  readonly id: string
  /** From the document's root. */
  readonly path: readonly (string | number)[]
  /** The exercise, group, stitch or order that names it. */
  readonly by: { readonly kind: 'exercise' | 'group' | 'stitch' | 'lesson' | 'kept-order'; readonly id: string; readonly name: string }
}

interface ReferenceRow {
  readonly names: Named
  readonly of: (sampler: Sampler) => readonly Reference[]
  /** Takes the names of one id out; null where whoever uses it must let go first. */
  readonly without: ((sampler: Sampler, id: string) => Sampler) | null
}

type Path = Reference['path']

const byExercise = ({ id, name }: Exercise): Reference['by'] => ({ kind: 'exercise', id, name })

function inExercises(names: Named, of: (exercise: Exercise) => readonly (readonly [string, Path])[]): ReferenceRow['of'] {
  return (sampler) =>
    sampler.exercises.flatMap((exercise, index) =>
      of(exercise).map(([id, path]): Reference => ({ names, id, path: ['exercises', index, ...path], by: byExercise(exercise) })),
    )
}

function threadsIn(materials: Materials | undefined, path: Path): (readonly [string, Path])[] {
  return Object.entries(materials ?? {}).flatMap(([role, material]) => {
    const { thread, shades = [] } = material as Material
    const shaded = shades.map((id, index) => [id, [...path, role, 'shades', index]] as const)
    return thread === undefined ? shaded : [[thread, [...path, role, 'thread']] as const, ...shaded]
  })
}

const PIN_LISTS = ['before', 'after', 'together'] as const

const ROWS: readonly ReferenceRow[] = [
  {
    names: 'thread',
    of: inExercises('thread', (exercise) => [
      ...threadsIn(exercise.materials, ['materials']),
      ...Object.entries(exercise.pieces ?? {}).flatMap(([piece, change]) => threadsIn(change.materials, ['pieces', piece, 'materials'])),
      ...(exercise.substitutes ?? []).flatMap((substitute, index) => threadsIn(substitute.materials, ['substitutes', index, 'materials'])),
    ]),
    without: null,
  },
  { names: 'stitch', of: inExercises('stitch', (exercise) => [[exercise.stitch, ['stitch']]]), without: null },
  {
    names: 'stitch',
    of: inExercises('stitch', (exercise) => (exercise.substitutes ?? []).map((one, index) => [one.stitch, ['substitutes', index, 'stitch']])),
    without: (sampler, id) =>
      changeExercises(sampler, (exercise) =>
        withList<Exercise, 'substitutes'>(
          exercise,
          'substitutes',
          keep<Substitute>(exercise.substitutes, (one) => one.stitch !== id),
        ),
      ),
  },
  {
    names: 'stitch',
    of: (sampler) =>
      sampler.stitches.flatMap((stitch, index) =>
        stitch.base === undefined
          ? []
          : [
              {
                names: 'stitch',
                id: stitch.base,
                path: ['stitches', index, 'base'],
                by: { kind: 'stitch', id: stitch.id, name: stitch.name },
              } satisfies Reference,
            ],
      ),
    without: null,
  },
  { names: 'guide', of: inExercises('guide', (exercise) => exercise.on.map((on, index) => [on.guide, ['on', index, 'guide']])), without: null },
  {
    names: 'guide',
    of: inExercises('guide', (exercise) => Object.keys(exercise.pieces ?? {}).map((piece) => [guideOfPiece(piece), ['pieces', piece]])),
    without: null,
  },
  {
    names: 'guide',
    of: (sampler) =>
      sampler.drawing.groups.flatMap((group, index) =>
        group.members.map(
          (id, place): Reference => ({
            names: 'guide',
            id,
            path: ['drawing', 'groups', index, 'members', place],
            by: { kind: 'group', id: group.id, name: group.name ?? group.id },
          }),
        ),
      ),
    without: (sampler, id) => {
      const groups = mapKept(
        sampler.drawing.groups,
        (group): GuideGroup => (group.members.includes(id) ? { ...group, members: group.members.filter((member) => member !== id) } : group),
      )
      return groups === sampler.drawing.groups ? sampler : { ...sampler, drawing: { ...sampler.drawing, groups } }
    },
  },
  {
    names: 'exercise',
    of: (sampler) =>
      sampler.lessons.flatMap((lesson, index) =>
        lesson.exercises.map(
          (id, place): Reference => ({
            names: 'exercise',
            id,
            path: ['lessons', index, 'exercises', place],
            by: { kind: 'lesson', id: lesson.id, name: lesson.title },
          }),
        ),
      ),
    without: (sampler, id) => {
      const lessons = mapKept(
        sampler.lessons,
        (lesson): Lesson => (lesson.exercises.includes(id) ? { ...lesson, exercises: lesson.exercises.filter((one) => one !== id) } : lesson),
      )
      return lessons === sampler.lessons ? sampler : { ...sampler, lessons }
    },
  },
  {
    names: 'exercise',
    of: (sampler) =>
      sampler.keptOrders.flatMap((order, index) =>
        order.lessons.flatMap((lesson, at) =>
          lesson.map(
            (id, place): Reference => ({
              names: 'exercise',
              id,
              path: ['keptOrders', index, 'lessons', at, place],
              by: { kind: 'kept-order', id: order.id, name: order.name },
            }),
          ),
        ),
      ),
    without: (sampler, id) => {
      const keptOrders = mapKept(
        sampler.keptOrders,
        (order): KeptOrder =>
          order.lessons.some((lesson) => lesson.includes(id))
            ? { ...order, lessons: order.lessons.map((lesson) => lesson.filter((one) => one !== id)) }
            : order,
      )
      return keptOrders === sampler.keptOrders ? sampler : { ...sampler, keptOrders }
    },
  },
  {
    names: 'exercise',
    of: inExercises('exercise', (exercise) => (exercise.over ?? []).map((id, index) => [id, ['over', index]])),
    without: (sampler, id) =>
      changeExercises(sampler, (exercise) =>
        withList<Exercise, 'over'>(
          exercise,
          'over',
          keep(exercise.over, (one) => one !== id),
        ),
      ),
  },
  {
    names: 'exercise',
    of: inExercises('exercise', (exercise) =>
      PIN_LISTS.flatMap((list) => (exercise.pins?.[list] ?? []).map((id, index) => [id, ['pins', list, index]] as const)),
    ),
    without: (sampler, id) =>
      changePins(sampler, (pins) =>
        PIN_LISTS.reduce<Pins>(
          (now, list) =>
            withList(
              now,
              list,
              keep(now[list], (one) => one !== id),
            ),
          pins,
        ),
      ),
  },
  {
    names: 'lesson',
    of: inExercises('lesson', (exercise) => (exercise.pins?.lesson === undefined ? [] : [[exercise.pins.lesson, ['pins', 'lesson']]])),
    without: (sampler, id) =>
      changePins(sampler, (pins) => {
        if (pins.lesson !== id) return pins
        const { lesson: _gone, ...rest } = pins
        return rest
      }),
  },
]

/** The guide that a piece is a copy of. */
export function guideOfPiece(piece: Piece['id']): string {
  return piece.slice(0, piece.lastIndexOf('/'))
}

export function referencesOf(sampler: Sampler): readonly Reference[] {
  return ROWS.flatMap((row) => row.of(sampler))
}

/** Those who must let go before it can be removed. */
export function usersOf(sampler: Sampler, names: Named, id: string): readonly Reference[] {
  return ROWS.filter((row) => row.names === names && row.without === null)
    .flatMap((row) => row.of(sampler))
    .filter((one) => one.id === id)
}

/** The sampler without the names that go along with what they name; the same object where there were none. */
export function withoutNamesOf(sampler: Sampler, names: Named, id: string): Sampler {
  return ROWS.reduce((now, row) => (row.names === names && row.without ? row.without(now, id) : now), sampler)
}

/** Names of what is not there. A stitch that is nobody's own is looked for in the library, which may grow: it is said when it is worked. */
export function danglingReferences(sampler: Sampler): readonly Reference[] {
  const there: Readonly<Record<Exclude<Named, 'stitch'>, ReadonlySet<string>>> = {
    thread: new Set(sampler.threads.map((one) => one.id)),
    guide: new Set(sampler.drawing.guides.map((one) => one.id)),
    exercise: new Set(sampler.exercises.map((one) => one.id)),
    lesson: new Set(sampler.lessons.map((one) => one.id)),
  }
  return referencesOf(sampler).filter((one) => one.names !== 'stitch' && !there[one.names].has(one.id))
}

/** Every name of what is not there taken out, as far as it may be; what is left is a fault of the document. */
export function dropDangling(sampler: Sampler): Sampler {
  return danglingReferences(sampler).reduce((now, one) => withoutNamesOf(now, one.names, one.id), sampler)
}

function changeExercises(sampler: Sampler, change: (exercise: Exercise) => Exercise): Sampler {
  const exercises = mapKept(sampler.exercises, change)
  return exercises === sampler.exercises ? sampler : { ...sampler, exercises }
}

function changePins(sampler: Sampler, change: (pins: Pins) => Pins): Sampler {
  return changeExercises(sampler, (exercise) => {
    if (!exercise.pins) return exercise
    const pins = change(exercise.pins)
    if (pins === exercise.pins) return exercise
    if (Object.keys(pins).length > 0) return { ...exercise, pins }
    const { pins: _none, ...rest } = exercise
    return rest
  })
}

/** The same list where nothing goes. */
function keep<T>(list: readonly T[] | undefined, stays: (one: T) => boolean): readonly T[] | undefined {
  return list?.every(stays) ? list : list?.filter(stays)
}

/** An emptied list is not written; the same object where the list is the same. */
function withList<T extends object, Key extends keyof T>(one: T, key: Key, list: readonly unknown[] | undefined): T {
  if (list === one[key]) return one
  if (list && list.length > 0) return { ...one, [key]: list }
  const { [key]: _gone, ...rest } = one
  return rest as T
}

/** The same list where nothing changed. */
function mapKept<T>(list: readonly T[], change: (one: T) => T): readonly T[] {
  const next = list.map(change)
  return next.every((one, index) => one === list[index]) ? list : next
}
