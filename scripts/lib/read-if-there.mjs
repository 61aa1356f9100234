import { readFileSync } from 'node:fs'

/** Null where there is no such file; every other trouble is told. */
export function readIfThere(file) {
  try {
    return readFileSync(file, 'utf8')
  } catch (error) {
    if (error.code === 'ENOENT') return null
    throw error
  }
}
