/** The ways in which an exercise could be worked, to be shown beside each other: other schools of its stitch, what is allowed instead, what else its guides serve. */
import { type Exercise, type Sampler, USUAL_WAYS, type WaysOfWorking } from '../sampler/index.ts'
import { findStitch } from '../stitches/index.ts'
import { possibleSubstitutes, substituted } from './substitutes.ts'
import type { WorkedExercise } from './work-exercise.ts'

export interface WayToShow {
  /** One of its kind in the list: `own`, `school:from-above`, `stitch:back-stitch`. */
  readonly id: string
  readonly kind: 'own' | 'school' | 'allowed' | 'other'
  /** The stitch's, with its school's where there are several. */
  readonly name: string
  readonly exercise: Exercise
}

/**
 * As the exercise is worked comes first, then other schools of its stitch, then the stitches allowed instead of it, then whatever else
 * can be worked on its guides. Every one is an exercise on the same guides, to be worked like any other.
 */
export function waysToShow({ exercise, assigned, pieces }: WorkedExercise, { stitches }: Pick<Sampler, 'stitches'>): readonly WayToShow[] {
  const { document, variant } = assigned
  const named = (id: string | null): string => {
    const school = id === null ? undefined : findStitch(document.id, stitches)?.variants?.[id]
    return school ? `${document.name}: ${school.name.toLowerCase()}` : document.name
  }
  const own: WayToShow = { id: 'own', kind: 'own', name: named(variant), exercise }
  const allowed = new Map((exercise.substitutes ?? []).map((one) => [one.stitch as string, one]))
  const instead = possibleSubstitutes({ exercise, pieces }, stitches).map((stitch): WayToShow => {
    const substitute = allowed.get(stitch.id)
    return {
      id: `stitch:${stitch.id}`,
      kind: substitute ? 'allowed' : 'other',
      name: stitch.name,
      exercise: substituted(exercise, substitute ?? { stitch: stitch.id }),
    }
  })
  const schools = otherSchools({ exercise, assigned, pieces }, stitches).map((one): WayToShow => ({ ...one, kind: 'school', name: named(one.school) }))
  return [own, ...schools, ...instead.filter((one) => one.kind === 'allowed'), ...instead.filter((one) => one.kind === 'other')]
}

/** Every school but the one that is worked; the plain stitch is one of them, where a way of working chose another. */
function otherSchools(
  { exercise, assigned, pieces }: Pick<WorkedExercise, 'exercise' | 'assigned' | 'pieces'>,
  stitches: Sampler['stitches'],
): readonly { readonly id: string; readonly school: string | null; readonly exercise: Exercise }[] {
  const { variant: _chosen, parameters: _lengths, ...kept } = exercise
  const found = findStitch(exercise.stitch, stitches)
  const variants = Object.entries(found?.variants ?? {})
  const kinds = pieces.map((piece) => piece.drawn.kind as string)
  const others = variants
    .filter(([id, one]) => id !== assigned.variant && kinds.every((kind) => (one.when?.guide ?? kind) === kind && (one.guide ?? [kind]).includes(kind)))
    .map(([id]) => ({ id: `school:${id}`, school: id, exercise: { ...kept, variant: id } }))
  const now = assigned.variant === null ? undefined : found?.variants?.[assigned.variant]
  // What chose this school, answered as it usually is.
  const usual = Object.keys(now?.when ?? {}).filter((way): way is keyof WaysOfWorking => way in USUAL_WAYS)
  const leads = usual.length > 0 && usual.every((way) => USUAL_WAYS[way] !== now?.when?.[way])
  const answered = Object.fromEntries(usual.map((way) => [way, USUAL_WAYS[way]]))
  const plain = leads ? [{ id: 'school:plain', school: null, exercise: { ...kept, waysOfWorking: { ...exercise.waysOfWorking, ...answered } } }] : []
  return [...plain, ...others]
}
