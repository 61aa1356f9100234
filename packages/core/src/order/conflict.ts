/**
 * Rules and pins that cannot all be kept: the smallest set of them that contradict each other. Rules of order contradict each
 * other in circles, and the smallest set is the shortest circle; lessons contradict by their minutes or their number.
 */
import { MINUTES_STEP, roomOf, unitsOf } from './cost.ts'
import type { CourseItem } from './course.ts'
import { namesIn, ruleInWords } from './rule-words.ts'
import { type Before, groupsOf, isPin, reachable, type Rule } from './rules.ts'
import type { CourseSettings } from './wishes.ts'

export interface Conflict {
  readonly rules: readonly Rule[]
  readonly sentence: string
}

export function findConflict(course: readonly CourseItem[], rules: readonly Rule[], settings: CourseSettings): Conflict | null {
  let found = detect(course, rules, settings)
  if (!found) return null
  // What can be left out while the rest still contradicts itself is left out.
  for (const rule of found.rules) {
    const less = detect(
      course,
      found.rules.filter((other) => other !== rule),
      settings,
    )
    if (less) found = { rules: found.rules.filter((other) => less.rules.includes(other)), more: less.more }
  }
  return conflictOf(course, found.rules, found.more)
}

/** Rules among which there is a contradiction, and what the minutes or the places have to do with it. */
interface Detected {
  readonly rules: readonly Rule[]
  readonly more: string
}

function detect(course: readonly CourseItem[], rules: readonly Rule[], settings: CourseSettings): Detected | null {
  return circle(course, rules) ?? stuck(course, rules) ?? crowded(course, rules, settings) ?? outOfReach(course, rules, settings)
}

export function conflictOf(course: readonly CourseItem[], rules: readonly Rule[], more = ''): Conflict {
  const words = rules.map((rule) => ruleInWords(rule, namesIn(course)))
  return { rules, sentence: `These cannot all be kept: ${words.join('; ')}${more}. ${advice(rules)}` }
}

function advice(rules: readonly Rule[]): string {
  const pinned = rules.some(isPin)
  return pinned ? 'Take one of the pins away.' : 'Change what lies over what on the cloth, or set one of them aside.'
}

interface Edge {
  readonly to: string
  readonly rules: readonly Rule[]
}

/** Rules of order that run in a circle; exercises pinned together count as one, lessons pinned apart as before and after. */
function circle(course: readonly CourseItem[], rules: readonly Rule[]): Detected | null {
  const plain = new Map<string, Edge[]>()
  const joined = new Map<string, Edge[]>()
  const group = groupsOf(course, rules)
  const add = (edges: Map<string, Edge[]>, from: string, to: string, because: readonly Rule[]): void =>
    void edges.set(from, [...(edges.get(from) ?? []), { to, rules: because }])
  for (const rule of rules) {
    if (rule.kind !== 'before' || rule.or.length > 0) continue
    const [a, b] = [group.get(rule.first) as string, group.get(rule.then) as string]
    add(plain, rule.first, rule.then, [rule])
    // Within one lesson either may come first.
    if (a !== b) add(joined, a, b, [rule])
  }
  const lessons = rules.filter((rule) => rule.kind === 'lesson')
  for (const one of lessons)
    for (const other of lessons) if (one.lesson < other.lesson) add(joined, group.get(one.id) as string, group.get(other.id) as string, [one, other])
  const found = shortestCircle(plain)
  if (found) return { rules: found, more: '' }
  const through = shortestCircle(joined)
  // Which of the pins together it needs is seen when they are left out one by one.
  return through && { rules: [...through, ...rules.filter((rule) => rule.kind === 'together')], more: '' }
}

/**
 * Rules that may be kept in several ways, of which every one runs in a circle: what can stand is placed, again and again, until
 * nothing more can. Exercises pinned together are placed together, lessons that are pinned one after the other.
 */
function stuck(course: readonly CourseItem[], rules: readonly Rule[]): Detected | null {
  const group = groupsOf(course, rules)
  const lessons = rules.filter((rule) => rule.kind === 'lesson')
  const befores = rules.filter((rule) => rule.kind === 'before')
  const placed = new Set<string>()
  const isPlaced = (id: string): boolean => placed.has(group.get(id) as string)
  const mayStand = (name: string): boolean =>
    befores.every(({ first, or, then }) => group.get(then) !== name || [first, ...or].some((one) => group.get(one) === name || isPlaced(one))) &&
    lessons.every((one) => group.get(one.id) !== name || lessons.every((other) => other.lesson >= one.lesson || isPlaced(other.id)))
  const waiting = new Set(group.values())
  for (let moved = true; moved; ) {
    moved = false
    for (const name of waiting)
      if (mayStand(name)) {
        placed.add(name)
        waiting.delete(name)
        moved = true
      }
  }
  if (waiting.size === 0) return null
  const among = rules.filter((rule) => (rule.kind === 'before' ? !isPlaced(rule.then) : rule.kind === 'together' || !isPlaced(rule.id)))
  return { rules: among, more: '' }
}

function shortestCircle(edges: ReadonlyMap<string, readonly Edge[]>): readonly Rule[] | null {
  let best: readonly Rule[] | null = null
  for (const start of edges.keys()) {
    const came = new Map<string, { from: string; edge: Edge }>()
    const open = [start]
    for (let index = 0; index < open.length && !came.has(start); index += 1) {
      for (const edge of edges.get(open[index] as string) ?? []) {
        if (came.has(edge.to)) continue
        came.set(edge.to, { from: open[index] as string, edge })
        open.push(edge.to)
      }
    }
    if (!came.has(start)) continue
    const used: Rule[] = []
    let at = start
    do {
      const step = came.get(at) as { from: string; edge: Edge }
      used.unshift(...step.edge.rules)
      at = step.from
    } while (at !== start)
    const unique = [...new Set(used)]
    if (best === null || unique.length < best.length) best = unique
  }
  return best
}

/** More minutes in one lesson than it has: by a pin together, or by pins to the same lesson. */
function crowded(course: readonly CourseItem[], rules: readonly Rule[], settings: CourseSettings): Detected | null {
  const room = roomOf(settings)
  const group = groupsOf(course, rules)
  const sizes = new Map<string, number>()
  const places = new Map<string, Rule[]>()
  const put = (place: string, rule: Rule | null, size: number): void => {
    sizes.set(place, (sizes.get(place) ?? 0) + size)
    if (rule) places.set(place, [...(places.get(place) ?? []), rule])
  }
  for (const item of course) {
    const pin = rules.find((rule) => rule.kind === 'lesson' && rule.id === item.id)
    const together = rules.filter((rule) => rule.kind === 'together' && rule.ids.includes(item.id))
    const size = unitsOf(item, settings)
    if (pin?.kind === 'lesson') put(`lesson ${pin.lesson}`, pin, size)
    for (const rule of together.slice(0, 1)) put(`group ${group.get(item.id) as string}`, rule, size)
  }
  for (const [place, size] of sizes) {
    const because = [...new Set(places.get(place))]
    if (size > room && (because.length > 1 || because[0]?.kind === 'together'))
      return { rules: because, more: `; they take ${size * MINUTES_STEP} minutes, and a lesson has ${settings.lessonMinutes}` }
  }
  return null
}

/** Too much, or too little, that may stand before an exercise pinned to a lesson. */
function outOfReach(course: readonly CourseItem[], rules: readonly Rule[], settings: CourseSettings): Detected | null {
  const room = roomOf(settings)
  const befores = rules.filter((rule): rule is Before => rule.kind === 'before' && rule.or.length === 0)
  const forward = new Map<string, string[]>()
  const backward = new Map<string, string[]>()
  for (const { first, then } of befores) {
    forward.set(first, [...(forward.get(first) ?? []), then])
    backward.set(then, [...(backward.get(then) ?? []), first])
  }
  for (const rule of rules) {
    if (rule.kind !== 'lesson') continue
    const item = course.find((one) => one.id === rule.id) as CourseItem
    const before = reachable(rule.id, backward)
    const must = course.filter((one) => before.has(one.id)).reduce((total, one) => total + unitsOf(one, settings), 0)
    if (must + unitsOf(item, settings) > (rule.lesson + 1) * room) {
      const leading = befores.filter((one) => before.has(one.first) && (before.has(one.then) || one.then === rule.id))
      return { rules: [rule, ...leading], more: `; what must come before takes ${must * MINUTES_STEP} minutes` }
    }
    const behind = reachable(rule.id, forward)
    const may = course.length - 1 - behind.size
    if (may < rule.lesson) {
      const following = befores.filter((one) => behind.has(one.then) && (behind.has(one.first) || one.first === rule.id))
      return { rules: [rule, ...following], more: `; only ${may} of the others may stand before it, one for each earlier lesson at least` }
    }
  }
  return null
}
