/** What a stitch's threads are called. */
import { MAIN_ROLE, type ThreadRole } from '../notation/index.ts'

const ROLE_WORDS: Readonly<Record<string, string>> = {
  main: 'main thread',
  laid: 'laid thread',
  tie: 'tie',
  whipping: 'whipping',
  lacing: 'lacing',
  padding: 'padding',
  second: 'second thread',
}

/** `roles`: all of the stitch's; a main thread that another ties down is the laid one. */
export function wordForRole(role: ThreadRole, roles: readonly ThreadRole[]): string {
  const part = partOfRole(role, roles)
  return ROLE_WORDS[part] ?? `${part.replaceAll('-', ' ')} thread`
}

/** What a thread is to its stitch, in whatever language: the role, but that a main thread which is tied down is `laid`. */
export function partOfRole(role: ThreadRole, roles: readonly ThreadRole[]): string {
  return role === MAIN_ROLE && roles.includes('tie') ? 'laid' : role
}
