/** What is wrong with a plan as it stands, each in a sentence with the nearest repair. */
import { lessonAim, MINUTES_STEP, minuteUnits, roomOf, type CoursePlan } from './cost.ts'
import type { CourseItem } from './course.ts'
import { capital, namesIn, ruleInWords } from './rule-words.ts'
import { type Rule, rulesOf } from './rules.ts'
import type { CourseSettings } from './wishes.ts'

export interface BrokenRule {
  readonly rule: Rule | { readonly kind: 'minutes'; readonly lesson: number } | { readonly kind: 'lessons'; readonly has: number; readonly wished: number }
  /** The exercise to look at. */
  readonly exercise: string
  readonly sentence: string
  readonly repair: { readonly sentence: string; readonly plan: CoursePlan }
}

export function brokenRules(course: readonly CourseItem[], plan: CoursePlan, settings: CourseSettings): readonly BrokenRule[] {
  const rules = rulesOf(course, settings)
  const name = namesIn(course)
  const broken = findBroken(course, rules, plan, settings)
  const fewest = (plans: readonly { sentence: string; plan: CoursePlan; moved: number }[]): { sentence: string; plan: CoursePlan } => {
    const [best] = plans
      .map((one) => ({ ...one, left: findBroken(course, rules, one.plan, settings).length }))
      .sort((a, b) => a.left - b.left || a.moved - b.moved)
    return best as { sentence: string; plan: CoursePlan }
  }
  return broken.map(({ rule, exercise }) => {
    const words = rule.kind === 'minutes' ? tooLong(course, plan, rule.lesson, settings) : rule.kind === 'lessons' ? tooMany(rule) : ruleInWords(rule, name)
    return { rule, exercise, sentence: `${capital(words)}.`, repair: fewest(repairs(rule, plan, name)) }
  })
}

type Wrong = Pick<BrokenRule, 'rule' | 'exercise'>

function findBroken(course: readonly CourseItem[], rules: readonly Rule[], plan: CoursePlan, settings: CourseSettings): readonly Wrong[] {
  const place = new Map(plan.lessons.flat().map((id, index) => [id, index] as const))
  const lesson = new Map(plan.lessons.flatMap((ids, index) => ids.map((id) => [id, index] as const)))
  const wrong: Wrong[] = []
  for (const rule of rules) {
    if (rule.kind === 'before') {
      const then = place.get(rule.then)
      const firsts = [rule.first, ...rule.or].flatMap((id) => place.get(id) ?? [])
      if (then !== undefined && firsts.length > 0 && firsts.every((first) => first > then)) wrong.push({ rule, exercise: rule.then })
    } else if (rule.kind === 'together') {
      const where = new Set(rule.ids.flatMap((id) => lesson.get(id) ?? []))
      if (where.size > 1) wrong.push({ rule, exercise: rule.ids[0] as string })
    } else if (lesson.has(rule.id) && lesson.get(rule.id) !== rule.lesson) wrong.push({ rule, exercise: rule.id })
  }
  const items = new Map(course.map((item) => [item.id, item] as const))
  for (const [index, ids] of plan.lessons.entries()) {
    const inIt = ids.flatMap((id) => items.get(id) ?? [])
    if (inIt.length > 1 && minuteUnits(inIt, settings) > roomOf(settings))
      wrong.push({ rule: { kind: 'minutes', lesson: index }, exercise: inIt.at(-1)?.id as string })
  }
  const held = plan.lessons.filter((ids) => ids.some((id) => items.has(id)))
  if (settings.lessons !== null && held.length > lessonAim(course, settings))
    wrong.push({ rule: { kind: 'lessons', has: held.length, wished: settings.lessons }, exercise: held.at(-1)?.[0] as string })
  return wrong
}

function tooMany({ has, wished }: { readonly has: number; readonly wished: number }): string {
  return `there are ${has} lessons, and you wish for ${wished}`
}

function tooLong(course: readonly CourseItem[], plan: CoursePlan, lesson: number, settings: CourseSettings): string {
  const items = course.filter((item) => plan.lessons[lesson]?.includes(item.id))
  return `Lesson ${lesson + 1} takes ${minuteUnits(items, settings) * MINUTES_STEP} minutes, and has ${settings.lessonMinutes}`
}

function repairs(rule: BrokenRule['rule'], plan: CoursePlan, name: (id: string) => string): { sentence: string; plan: CoursePlan; moved: number }[] {
  const order = plan.lessons.flat()
  const lessonOf = (id: string): number => plan.lessons.findIndex((ids) => ids.includes(id))
  const apart = (a: string, b: string): number => Math.abs(order.indexOf(a) - order.indexOf(b))
  switch (rule.kind) {
    case 'before': {
      const { first, then } = rule
      return [
        { sentence: `Move ${name(then)} to just after ${name(first)}.`, plan: put(plan, then, lessonOf(first), { after: first }), moved: apart(first, then) },
        { sentence: `Move ${name(first)} to just before ${name(then)}.`, plan: put(plan, first, lessonOf(then), { before: then }), moved: apart(first, then) },
        {
          sentence: `Move ${name(then)} into a lesson of its own after ${name(first)}.`,
          plan: put(plan, then, lessonOf(first), 'own'),
          moved: apart(first, then) + 1,
        },
      ]
    }
    case 'together': {
      const [anchor, ...rest] = rule.ids as readonly [string, ...string[]]
      const other = rest.find((id) => lessonOf(id) !== lessonOf(anchor)) ?? anchor
      return [
        {
          sentence: `Move ${name(other)} into the lesson of ${name(anchor)}.`,
          plan: put(plan, other, lessonOf(anchor), { after: anchor }),
          moved: apart(anchor, other),
        },
        {
          sentence: `Move ${name(anchor)} into the lesson of ${name(other)}.`,
          plan: put(plan, anchor, lessonOf(other), { after: other }),
          moved: apart(anchor, other),
        },
      ]
    }
    case 'lesson':
      return [{ sentence: `Move ${name(rule.id)} to lesson ${rule.lesson + 1}.`, plan: put(plan, rule.id, rule.lesson, 'end'), moved: 1 }]
    case 'lessons':
      return plan.lessons.slice(1).flatMap((ids, index) => {
        const before = plan.lessons[index] as readonly string[]
        if (ids.length === 0 || before.length === 0) return []
        const lessons = [...plan.lessons.slice(0, index), [...before, ...ids], ...plan.lessons.slice(index + 2)]
        return [{ sentence: `Join lessons ${index + 1} and ${index + 2}.`, plan: { lessons }, moved: ids.length }]
      })
    case 'minutes': {
      const ids = plan.lessons[rule.lesson] as readonly string[]
      const last = ids.at(-1) as string
      return [
        { sentence: `Move ${name(last)} to the next lesson.`, plan: put(plan, last, rule.lesson + 1, 'begin'), moved: 1 },
        { sentence: `Give ${name(last)} a lesson of its own.`, plan: put(plan, last, rule.lesson, 'own'), moved: 2 },
      ]
    }
  }
}

/** The plan with one exercise elsewhere: beside another, at an end of a lesson, or in a lesson of its own after that one. */
export function put(
  plan: CoursePlan,
  id: string,
  lesson: number,
  where: { readonly after: string } | { readonly before: string } | 'begin' | 'end' | 'own',
): CoursePlan {
  const lessons = plan.lessons.map((ids) => ids.filter((one) => one !== id))
  while (lessons.length <= lesson) lessons.push([])
  const there = lessons[lesson] as string[]
  if (where === 'own') lessons.splice(lesson + 1, 0, [id])
  else if (where === 'begin') there.unshift(id)
  else if (where === 'end') there.push(id)
  else {
    const beside = there.indexOf('after' in where ? where.after : where.before)
    there.splice('after' in where ? beside + 1 : beside, 0, id)
  }
  return { lessons: where === 'own' ? lessons.filter((ids) => ids.length > 0) : lessons }
}
