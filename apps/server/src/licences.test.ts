/** What comes from the registry: pinned to its digest, under a licence that lets us use it so, and no script run that is not named. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

interface Locked {
  readonly name: string
  readonly version: string
  readonly licence: string | null
  readonly isPinned: boolean
  readonly runsScript: boolean
  readonly isTool: boolean
}
interface Licences {
  readonly readLock: (root: string) => readonly Locked[]
  readonly licencesInWords: (root: string) => string
}

const root = join(import.meta.dirname, '../../..')
// A script of built-in modules, without types of its own.
const { readLock, licencesInWords } = (await import(join(root, 'scripts/lib/licences.mjs'))) as Licences
const text = (file: string): string => readFileSync(join(root, file), 'utf8')

/** Used as they are, none of them asks anything of what is built with them but to be named; MPL and LGPL, that their own files stay open. */
const FINE = /^\(?(MIT|MIT-0|ISC|0BSD|BSD-2-Clause|BSD-3-Clause|BSL-1\.0|Apache-2\.0|BlueOak-1\.0\.0|CC0-1\.0|MPL-2\.0|LGPL-3\.0-or-later|OFL-1\.1)\)?$/

describe('what comes from the registry', () => {
  it('is pinned, each to its digest, and names no host', () => {
    expect(readLock(root).length).toBeGreaterThan(500)
    expect(readLock(root).filter((one) => !one.isPinned)).toEqual([])
    expect(text('package-lock.json')).not.toMatch(/"resolved": "http/)
  })

  it('runs no script when it is installed but those that are named', () => {
    const allowed = (JSON.parse(text('package.json')) as { allowScripts: Record<string, boolean> }).allowScripts
    expect(readLock(root).flatMap(({ name, runsScript }) => (runsScript && allowed[name] !== true ? [name] : []))).toEqual([])
  })

  it('is under licences that let us use it, as the page that lists them says', () => {
    const used = readLock(root).filter((one) => !one.isTool)
    expect(used.filter(({ licence }) => licence === null || !licence.split(/ AND | OR /).every((one) => FINE.test(one)))).toEqual([])
    expect(text('docs/licences.md')).toBe(licencesInWords(root))
  })
})
