/** The file of a book: read aloud in its order, and folded with every page once. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { newClass } from '@lemmata/core/classes'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type BookPrint, layBook, printBook } from './index.ts'

const sampler: Sampler = {
  ...newSampler('Drizzle'),
  drawing: { groups: [], guides: [{ id: 'g1', guide: { kind: 'line', path: 'M 60 60 L 120 60' } }] },
  exercises: [{ id: 'e1', name: 'Steady rain', stitch: 'back-stitch', on: [{ guide: 'g1' }] }],
  lessons: [{ id: 'l1', title: 'Rain', exercises: ['e1'] }],
}
let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'lemmata-book-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

async function fileOf(more: Partial<BookPrint> = {}): Promise<string> {
  const printed = await printBook({ sampler, page: 'a4', made: new Date(0), ...more })
  if (!printed.ok) throw new Error(printed.problems[0]?.code)
  const file = join(folder, `${Object.keys(more).join('-')}.pdf`)
  writeFileSync(file, printed.value)
  return file
}
const structure = (file: string): string => execFileSync('pdfinfo', ['-struct-text', file], { encoding: 'utf8', maxBuffer: 1e8 })

describe('read aloud', () => {
  it('it says its headings, lists and tables, steps by their letters, and what pictures show', async () => {
    const told = structure(await fileOf())
    expect(told).toMatch(/H1 \(block\)\s+"Drizzle"/)
    expect(told).toMatch(/H1 \(block\)\s+"Rain"/)
    expect(told).toMatch(/H2 \(block\)\s+"Steady rain, in back stitch"/)
    expect(told).toMatch(/Table \(block\)\s+TR\s+TH:\s+\/Scope \/Column/)
    // A step: its letter, then its picture and its sentence.
    expect(told).toMatch(/LI \(block\)\s+Lbl \(block\)\s+"a"\s+LBody \(block\)\s+Figure[^\n]*\n(\s+"[^"]*"\n)?\s+P \(block\)\s+"Come up at 1/)
    // Lines are broken at spaces: they are heard.
    expect(told).toContain('Keep them in a needle case')
    expect(told).not.toMatch(/them in\.?[a-z]*Keep/)
    expect(execFileSync('pdfinfo', [await fileOf({ hand: 'left' })], { encoding: 'utf8' })).toMatch(/Tagged:\s+yes/)
  })

  it('feet and rules are ornament: the number of a page is not read between two sentences', async () => {
    expect(structure(await fileOf({ form: 'compact' }))).not.toContain('for the right hand \u00b7')
  })
})

describe('folded', () => {
  it('it is two pages on a sheet of twice the size, and the pattern as it was', async () => {
    const laid = layBook({ sampler, page: 'a4', made: new Date(0) })
    if (!laid.ok) throw new Error('not laid out')
    const { pages, patternPages } = laid.value
    const said = execFileSync('pdfinfo', ['-f', '1', '-l', '99', await fileOf({ booklet: true })], { encoding: 'utf8' })
    const sizes = [...said.matchAll(/Page\s+\d+ size:\s+([\d.]+) x ([\d.]+)/g)].map(([, wide]) => Math.round((Number(wide) / 72) * 25.4))
    expect(sizes).toHaveLength(2 * Math.ceil(pages / 4) + patternPages)
    expect(sizes.slice(0, -patternPages).every((wide) => wide === 420)).toBe(true)
    expect(sizes.at(-1)).toBe(210)
  })
})

describe('next rows', () => {
  const ida = { id: 'ida', name: 'Ida Nebel', choices: {} }

  it('are of the class as it stands: a name each, the row and its card; of her alone where one is asked for', async () => {
    const group = { ...newClass('Thursday'), learners: [ida, { ...ida, id: 'bo', name: 'Bo' }] }
    const told = structure(await fileOf({ kind: 'rows', group, events: [] }))
    expect(told).toMatch(/H2 \(block\)\s+"Ida Nebel"/)
    expect(told).toMatch(/H2 \(block\)\s+"Bo"/)
    expect(structure(await fileOf({ kind: 'rows', group, learner: ida }))).not.toContain('"Bo"')
  })

  it('of a class with nobody in it are refused with what to do', async () => {
    expect(await printBook({ sampler, page: 'a4', made: new Date(0), kind: 'rows', group: newClass('Thursday') })).toMatchObject({
      ok: false,
      problems: [{ code: 'print.no-learners' }],
    })
  })
})
