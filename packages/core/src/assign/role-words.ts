/** What a stitch's threads are called. */
import { MAIN_ROLE, type ThreadRole } from '../notation/index.ts'

const ROLE_WORDS: Readonly<Record<string, string>> = {
  main: 'main thread',
  tie: 'tie',
  whipping: 'whipping',
  lacing: 'lacing',
  padding: 'padding',
  second: 'second thread',
}

/** `roles`: all of the stitch's; a main thread that another ties down is the laid one. */
export function wordForRole(role: ThreadRole, roles: readonly ThreadRole[]): string {
  if (role === MAIN_ROLE && roles.includes('tie')) return 'laid thread'
  return ROLE_WORDS[role] ?? `${role.replaceAll('-', ' ')} thread`
}
