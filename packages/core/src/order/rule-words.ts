/** Rules and pins as sentences. */
import { listInWords } from '../units/index.ts'
import { capitalised } from '../units/index.ts'
import type { CourseItem } from './course.ts'
import { motionWord } from './motion-words.ts'
import type { Before, Rule } from './rules.ts'

export type NameOf = (id: string) => string

export function namesIn(course: readonly Pick<CourseItem, 'id' | 'name'>[]): NameOf {
  const names = new Map(course.map((item) => [item.id, item.name] as const))
  return (id) => `\u201c${names.get(id) ?? id}\u201d`
}

/** Without a full stop, to stand in a list of reasons. */
export function ruleInWords(rule: Rule, name: NameOf): string {
  switch (rule.kind) {
    case 'before':
      return beforeInWords(rule, name)
    case 'together':
      return `you pinned ${listInWords(rule.ids.map(name))} into one lesson`
    case 'lesson':
      return `you pinned ${name(rule.id)} to lesson ${rule.lesson + 1}`
  }
}

export function beforeInWords({ first, or, then, because }: Before, name: NameOf): string {
  const teachers = orList([first, ...or].map(name))
  switch (because.why) {
    case 'motions':
      return `${name(then)} needs ${listInWords(because.motions.map(motionWord))}, which ${teachers} teaches more easily`
    case 'base':
      return `${name(then)} is built on the stitch of ${teachers}`
    case 'detached':
      return `${name(then)} stands free of the cloth, so ${name(first)} is worked before it`
    case 'pinned-before':
      return `you pinned ${name(first)} before ${name(then)}`
    case 'pinned-after':
      return `you pinned ${name(then)} after ${name(first)}`
    case 'pinned-first':
      return `you pinned ${name(first)} first`
    case 'pinned-last':
      return `you pinned ${name(then)} last`
    case 'cloth':
      return {
        said: `${name(then)} lies over ${name(first)} on the cloth`,
        raised: `${name(then)} stands raised where it meets ${name(first)}, so the flat one is worked first`,
        'fill-first': `${name(then)} outlines ${name(first)}, and your way is to fill first`,
        'outline-first': `${name(first)} outlines ${name(then)}, and your way is to outline first`,
      }[because.reason]
  }
}

export function orList(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} or ${words.at(-1) as string}`
}

export function capital(sentence: string): string {
  return capitalised(sentence)
}
