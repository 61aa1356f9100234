/** What must hold in any order: from the moves, from the cloth, from the teacher's pins. */
import type { Motion } from '../work/index.ts'
import type { CourseItem } from './course.ts'
import type { ClothReason } from './on-cloth.ts'
import { restsOn, restsOnBase } from './rests-on.ts'
import type { CourseSettings } from './wishes.ts'

/** `first`, or one of those that would do as well, stands before `then`. */
export interface Before {
  readonly kind: 'before'
  readonly first: string
  readonly or: readonly string[]
  readonly then: string
  readonly because:
    | { readonly why: 'motions'; readonly motions: readonly Motion[] }
    | { readonly why: 'base' }
    | { readonly why: 'cloth'; readonly reason: ClothReason }
    | { readonly why: 'detached' }
    | { readonly why: 'pinned-before' | 'pinned-after' | 'pinned-first' | 'pinned-last' }
}

export interface Together {
  readonly kind: 'together'
  readonly ids: readonly string[]
}

export interface InLesson {
  readonly kind: 'lesson'
  readonly id: string
  /** From 0. */
  readonly lesson: number
}

export type Rule = Before | Together | InLesson

/** The teacher set it, and can take it away. */
export function isPin(rule: Rule): boolean {
  return rule.kind !== 'before' || rule.because.why.startsWith('pinned')
}

export function rulesOf(course: readonly CourseItem[], settings: Pick<CourseSettings, 'lessonIds'>): readonly Rule[] {
  const known = new Set(course.map((item) => item.id))
  const befores = [...learning(course), ...cloth(course, known), ...pinned(course, known)]
  const rules: Rule[] = [...befores, ...detachedLast(course, befores)]
  for (const item of course) {
    const others = (item.pins.together ?? []).filter((id) => known.has(id) && id !== item.id)
    if (others.length > 0) rules.push({ kind: 'together', ids: [item.id, ...others] })
    const lesson = item.pins.lesson === undefined ? -1 : settings.lessonIds.indexOf(item.pins.lesson)
    if (lesson >= 0) rules.push({ kind: 'lesson', id: item.id, lesson })
  }
  return rules
}

function learning(course: readonly CourseItem[]): readonly Before[] {
  const rests = restsOn(course)
  const bases = restsOnBase(course)
  return course.flatMap((item) => {
    const motions = new Map<string, { first: string; or: readonly string[]; motions: Motion[] }>()
    for (const { on, or, motion } of rests.get(item.id) ?? []) {
      const key = [on, ...or].join(' ')
      motions.set(key, { first: on, or, motions: [...(motions.get(key)?.motions ?? []), motion] })
    }
    const befores = [...motions.values()].map(
      ({ first, or, motions: list }): Before => ({ kind: 'before', first, or, then: item.id, because: { why: 'motions', motions: list } }),
    )
    const base = bases.get(item.id)
    if (base && !befores.some(({ first, or }) => or.length === 0 && first === base.on))
      befores.push({ kind: 'before', first: base.on, or: base.or, then: item.id, because: { why: 'base' } })
    return befores
  })
}

function cloth(course: readonly CourseItem[], known: ReadonlySet<string>): readonly Before[] {
  return course.flatMap((item) =>
    item.after
      .filter(({ id }) => known.has(id) && id !== item.id)
      .map(({ id, because }): Before => ({ kind: 'before', first: id, or: [], then: item.id, because: { why: 'cloth', reason: because } })),
  )
}

function pinned(course: readonly CourseItem[], known: ReadonlySet<string>): readonly Before[] {
  return course.flatMap(({ id, pins }) => {
    const others = course.filter((other) => other.id !== id).map((other) => other.id)
    const named = (ids: readonly string[] | undefined): readonly string[] => (ids ?? []).filter((one) => known.has(one) && one !== id)
    return [
      ...named(pins.before).map((then): Before => ({ kind: 'before', first: id, or: [], then, because: { why: 'pinned-before' } })),
      ...named(pins.after).map((first): Before => ({ kind: 'before', first, or: [], then: id, because: { why: 'pinned-after' } })),
      ...(pins.first ? others : []).map((then): Before => ({ kind: 'before', first: id, or: [], then, because: { why: 'pinned-first' } })),
      ...(pins.last ? others : []).map((first): Before => ({ kind: 'before', first, or: [], then: id, because: { why: 'pinned-last' } })),
    ]
  })
}

/** What stands free or carries beads comes after all that lies flat, unless something flat has to follow it. */
function detachedLast(course: readonly CourseItem[], befores: readonly Before[]): readonly Before[] {
  const follows = new Map<string, string[]>()
  for (const { first, or, then } of befores) for (const one of [first, ...or]) follows.set(one, [...(follows.get(one) ?? []), then])
  return course
    .filter((item) => item.detached)
    .flatMap((item) => {
      const later = reachable(item.id, follows)
      return course
        .filter((other) => !other.detached && !later.has(other.id))
        .map((other): Before => ({ kind: 'before', first: other.id, or: [], then: item.id, because: { why: 'detached' } }))
    })
}

/** Exercises that pins together put into one lesson share a name. */
export function groupsOf(course: readonly Pick<CourseItem, 'id'>[], rules: readonly Rule[]): Map<string, string> {
  const group = new Map(course.map((item) => [item.id, item.id] as const))
  for (const rule of rules) {
    if (rule.kind !== 'together') continue
    const all = new Set(rule.ids.map((id) => group.get(id)))
    const name = group.get(rule.ids[0] as string) as string
    for (const [id, one] of group) if (all.has(one)) group.set(id, name)
  }
  return group
}

export function reachable(from: string, follows: ReadonlyMap<string, readonly string[]>): ReadonlySet<string> {
  const found = new Set<string>()
  const open = [from]
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    for (const then of follows.get(next) ?? []) {
      if (found.has(then)) continue
      found.add(then)
      open.push(then)
    }
  }
  return found
}
