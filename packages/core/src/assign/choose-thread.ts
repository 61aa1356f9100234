/** Which of the sampler's threads one role of an exercise is worked in. */
import { caution, error, failure, type Problem, type Result, success } from '../base/index.ts'
import { kindOf, type ThreadKind } from '../materials/index.ts'
import { MAIN_ROLE, type ThreadRole } from '../notation/index.ts'
import type { Material, SamplerThread } from '../sampler/index.ts'
import { type Choice, given } from './choice.ts'

export interface ChosenThread {
  readonly thread: Choice<SamplerThread>
  readonly kind: ThreadKind
  /** By row of an interlocking fill; none where it is worked in one colour. */
  readonly shades: readonly SamplerThread[]
  readonly problems: readonly Problem[]
}

export interface ThreadQuestion {
  readonly role: ThreadRole
  readonly material: Material
  readonly threads: readonly SamplerThread[]
  /** The main thread, when another is chosen beside it. */
  readonly main: SamplerThread | null
}

/** Roles that are not seen for themselves: they are worked in the main thread's colour unless another is given. */
const LIKE_THE_MAIN: readonly ThreadRole[] = ['tie', 'padding']

export function chooseThread(question: ThreadQuestion): Result<ChosenThread> {
  const { role, material, threads } = question
  const path = ['materials', role]
  const shades: SamplerThread[] = []
  for (const [index, id] of (material.shades ?? []).entries()) {
    const shade = threads.find((one) => one.id === id)
    if (!shade) return failure(noThread([...path, 'shades', index], id))
    shades.push(shade)
  }
  let thread: Choice<SamplerThread> | null
  if (material.thread !== undefined) {
    const named = threads.find((one) => one.id === material.thread)
    if (!named) return failure(noThread([...path, 'thread'], material.thread))
    thread = given(named)
  } else thread = shades[0] ? given(shades[0]) : choose(question)
  if (!thread) return failure(error('assign.no-threads', [...path, 'thread']))
  const kind = kindOf(thread.value)
  if (!kind)
    return failure(error('assign.no-thread-kind', [...path, 'thread'], { kind: `${thread.value.kind}${thread.value.weight ? ` ${thread.value.weight}` : ''}` }))
  const other = shades.find((one) => one.kind !== thread.value.kind || one.weight !== thread.value.weight)
  const problems = other ? [caution('assign.shades', [...path, 'shades'], { other: other.colour.name, thread: thread.value.colour.name })] : []
  return success({ thread, kind, shades, problems })
}

function noThread(path: readonly (string | number)[], id: string): Problem {
  return error('assign.no-thread', path, { id })
}

function choose({ role, threads, main }: ThreadQuestion): Choice<SamplerThread> | null {
  if (main === null || role === MAIN_ROLE) {
    const first = threads[0]
    return first ? { value: first, chosen: true, reason: { code: 'thread.first', figures: {} } } : null
  }
  if (LIKE_THE_MAIN.includes(role)) return { value: main, chosen: true, reason: { code: 'thread.as-main', figures: {} } }
  const other = threads.find((one) => one.id !== main.id && one.kind === main.kind && one.weight === main.weight)
  return other
    ? { value: other, chosen: true, reason: { code: 'thread.other-colour', figures: {} } }
    : { value: main, chosen: true, reason: { code: 'thread.no-other-colour', figures: {} } }
}
