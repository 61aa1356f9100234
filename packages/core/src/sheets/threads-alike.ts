/** Threads of an exercise that differ in their colour alone: told together, for they are parted and threaded alike. */
import type { UsedThread, WorkedExercise } from '../exercise/index.ts'
import { kindKey, needleKey } from '../materials/index.ts'
import { partOfRole, strandsInWords, wordForRole } from '../assign/index.ts'
import { needleIn, roleIn, strandsIn, threadIn } from '../language/index.ts'
import { capitalised } from '../units/index.ts'
import type { SheetWords } from './sheet-words.ts'

export interface ThreadsAlike {
  readonly first: UsedThread
  /** In the order in which they are taken up. */
  readonly all: readonly UsedThread[]
  /** What they do in the stitch; null where it has no other thread. */
  readonly part: string | null
}

export function threadsAlike({ threads, assigned }: Pick<WorkedExercise, 'threads' | 'assigned'>): readonly ThreadsAlike[] {
  const groups = new Map<string, UsedThread[]>()
  for (const used of threads) {
    const key = `${used.role} ${kindKey(used.thread)} ${used.strands.value} ${needleKey(used.needle.value)}`
    groups.set(key, [...(groups.get(key) ?? []), used])
  }
  const roles = [...new Set(threads.map((one) => one.role))]
  return [...groups.values()].map((all) => {
    const first = all[0] as UsedThread
    const part = roleIn(partOfRole(first.role, roles), wordForRole(first.role, roles), assigned.language)
    return { first, all, part: roles.length > 1 ? capitalised(part) : null }
  })
}

/** "Six strands of stranded cotton in Rainwater and Madder, embroidery 4 needle", a phrase for all that are alike. */
export function alikeInWords(done: Pick<WorkedExercise, 'threads' | 'assigned'>, said: SheetWords): readonly string[] {
  const { language } = done.assigned
  return threadsAlike(done).map(({ first, all, part }) => {
    const strands = strandsIn(first.strands.value, strandsInWords(first.strands.value), language)
    const colour = said.list(all.map((one) => one.thread.colour.name))
    const text = said.used({ strands, thread: threadIn(first.kind, language), colour, needle: needleIn(first.needle.value, language) })
    return part === null ? capitalised(text) : `${part}: ${text}`
  })
}
