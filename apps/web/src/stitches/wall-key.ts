/** What a wall is kept under, and whether it is: what a worker has to know, who never reads one. */
import { digestOf } from '../compute/digest-of.ts'
import { openStore } from '../keep/browser-store.ts'

export const WALL_STORE = 'lemmata-wall'

/** Under which a wall is kept: another program may work it otherwise. Null: nothing is kept here. */
export async function wallKey(program: string | null, ...from: readonly unknown[]): Promise<string | null> {
  const digest = program === null ? null : await digestOf(program, ...from)
  return digest && `/wall/${digest}`
}

export const isWallKept = async (key: string): Promise<boolean> => (await (await openStore(WALL_STORE))?.match(key)) !== undefined
