/** A database of the browser's own: opened when it is first asked for, and again after it had to be closed. */
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'

export type Ask<Schema extends DBSchema> = () => Promise<IDBPDatabase<Schema>>

/**
 * Null where the browser has none; asking fails where it may not be opened. `make` is asked for what is in it where it is not there yet, or
 * is of an older version.
 */
export function browserDatabase<Schema extends DBSchema>(name: string, version: number, make: (database: IDBPDatabase<Schema>) => void): Ask<Schema> | null {
  if (typeof indexedDB === 'undefined') return null
  let opened: Promise<IDBPDatabase<Schema>> | null = null
  return () => {
    opened ??= openDB<Schema>(name, version, {
      upgrade: make,
      // Another page has it removed or made anew, and would wait for as long as this one holds it.
      blocking: (_ours, _theirs, { target }) => {
        ;(target as IDBDatabase).close()
        opened = null
      },
      terminated: () => {
        opened = null
      },
    }).catch((thrown: unknown) => {
      opened = null
      throw thrown
    })
    return opened
  }
}
