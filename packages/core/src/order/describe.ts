/** A plan explained: for each exercise its rise, what is new in it, what comes back, and why it stands there. */
import { countWord } from '../units/index.ts'
import type { Motion } from '../work/index.ts'
import type { CourseItem } from './course.ts'
import { type CostTerms, costOf, type CoursePlan, type Ramp, rampOf, RETURN_FROM, RETURN_TO } from './cost.ts'
import { motionWord } from './motion-words.ts'
import { restsOn, restsOnBase } from './rests-on.ts'
import { listInWords } from '../units/index.ts'
import type { CourseSettings } from './wishes.ts'

export interface PlannedStep {
  readonly id: string
  readonly place: number
  /** From 0. */
  readonly lesson: number
  readonly difficulty: number
  readonly rise: number
  /** What the straight ramp has at this place. */
  readonly ramp: number
  readonly tooSteep: boolean
  readonly newMotions: readonly Motion[]
  /** Motions met before, and how many lessons ago first. */
  readonly comesBack: readonly { readonly motion: Motion; readonly lessons: number }[]
  readonly why: string
}

/** When a motion is first met, and in which lessons it comes back. */
export interface MotionStory {
  readonly motion: Motion
  readonly first: number
  readonly later: readonly number[]
  /** It comes back two to four lessons after its first. */
  readonly returns: boolean
}

export interface PlanDescription {
  readonly steps: readonly PlannedStep[]
  readonly motions: readonly MotionStory[]
  readonly cost: CostTerms
  readonly ramp: Ramp
}

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth', 'Ninth', 'Tenth']

export function describePlan(course: readonly CourseItem[], plan: CoursePlan, settings: CourseSettings): PlanDescription {
  const known = new Map(course.map((item) => [item.id, item] as const))
  const ramp = rampOf(course)
  const rests = restsOn(course)
  const bases = restsOnBase(course)
  const met = new Map<Motion, number[]>()
  const steps: PlannedStep[] = []
  for (const [lesson, ids] of plan.lessons.entries()) {
    for (const item of ids.flatMap((id) => known.get(id) ?? [])) {
      const place = steps.length
      const rise = item.difficulty - (steps.at(-1)?.difficulty ?? 0)
      const newMotions = item.motions.filter((motion) => !met.has(motion))
      const comesBack = item.motions.flatMap((motion) => {
        const first = met.get(motion)?.[0]
        return first === undefined || first === lesson ? [] : [{ motion, lessons: lesson - first }]
      })
      for (const motion of item.motions) met.set(motion, [...(met.get(motion) ?? []), lesson])
      const needs = [...new Set([...(rests.get(item.id) ?? []).map((one) => one.on), bases.get(item.id)?.on])].flatMap((id) =>
        id ? [known.get(id)?.name ?? id] : [],
      )
      steps.push({
        id: item.id,
        place,
        lesson,
        difficulty: item.difficulty,
        rise,
        ramp: ramp.from + ramp.rise * place,
        tooSteep: place > 0 && rise > ramp.limit,
        newMotions,
        comesBack,
        why: explain({ place, difficulty: item.difficulty, rise, needs, newMotions, comesBack }),
      })
    }
  }
  const motions = [...met].map(([motion, lessons]): MotionStory => {
    const first = lessons[0] as number
    const later = [...new Set(lessons.filter((lesson) => lesson > first))]
    return { motion, first, later, returns: later.some((lesson) => lesson - first >= RETURN_FROM && lesson - first <= RETURN_TO) }
  })
  return { steps, motions: motions.sort((a, b) => a.first - b.first || (a.motion < b.motion ? -1 : 1)), cost: costOf(plan, course, settings), ramp }
}

interface Explained extends Pick<PlannedStep, 'place' | 'difficulty' | 'rise' | 'newMotions' | 'comesBack'> {
  readonly needs: readonly string[]
}

function explain({ place, difficulty, rise, needs, newMotions, comesBack }: Explained): string {
  const parts: string[] = []
  if (needs.length > 0) parts.push(`rests on ${listInWords(needs)}`)
  parts.push(newMotions.length === 0 ? 'brings nothing new' : `brings ${newThings(newMotions)}`)
  const back = comesBack.filter(({ lessons }) => lessons >= RETURN_FROM && lessons <= RETURN_TO)
  if (back.length > 0) parts.push(`comes back to ${listInWords(back.map(({ motion }) => motionWord(motion)))}`)
  parts.push(place === 0 ? `difficulty ${Math.round(difficulty)}` : `step ${rise >= 0 ? '+' : '\u2212'}${Math.abs(Math.round(rise))}`)
  return `${ORDINALS[place] ?? `Number ${place + 1}`}: ${parts.join('; ')}.`
}

function newThings(motions: readonly Motion[]): string {
  const words = listInWords(motions.map(motionWord))
  return motions.length === 1 ? `one new motion, ${words}` : `${countWord(motions.length)} new motions, ${words}`
}
