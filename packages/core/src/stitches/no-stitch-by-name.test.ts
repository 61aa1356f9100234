/** Nothing but the library's data knows a stitch by its id. */
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { LIBRARY } from './index.ts'

const root = join(dirname(fileURLToPath(import.meta.url)), '../../../..')
/** Data, tests and what they share, and upgrades, which know what an old document meant. */
const ALLOWED = [/\/stitches\/library\//, /\.(test|spec)\.tsx?$/, /\/demo\//, /\/testing\//, /\/e2e\//, /\/bench\//, /\/upgrade\//]

function* sources(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    if (['node_modules', 'dist', '.data', '.git', 'docs', 'test-results'].includes(name)) continue
    const path = join(folder, name)
    if (statSync(path).isDirectory()) yield* sources(path)
    else if (/\.(ts|tsx|mjs)$/.test(name)) yield path
  }
}

it('no source file outside the library names a stitch id', () => {
  const offenders: string[] = []
  for (const file of sources(root)) {
    if (ALLOWED.some((allowed) => allowed.test(file))) continue
    const text = readFileSync(file, 'utf8')
    for (const { id } of LIBRARY) if (new RegExp(`['"\`]${id}['"\`]`).test(text)) offenders.push(`${file}: ${id}`)
  }
  expect(offenders).toEqual([])
})
