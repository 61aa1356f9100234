import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workSampler } from '@lemmata/core/exercise'
import { LIBRARY } from '@lemmata/core/stitches'
import { bandSampler } from '../testing/index.ts'
import { readJson, readSampler, readStitch } from '../index.ts'
import type { Problem } from '@lemmata/core/base'
import { problemInWords } from '../problem-words.ts'

const sentencesOf = (problems: readonly Problem[]): string[] => problems.map((problem) => problemInWords(problem))

describe('documents', () => {
  it('the demo is a valid document, comes back unchanged, and every exercise of it can be worked', () => {
    const demo = bandSampler('2026-11-23')
    const read = readSampler(JSON.parse(JSON.stringify(demo)))
    expect(read.ok && read.value).toEqual(demo)
    for (const [id, result] of workSampler(demo).results) expect(result.ok, id).toBe(true)
  })

  it('the demo begins on a Thursday, three weeks before the last, and skips one to come back', () => {
    for (const today of ['2026-11-23', '2026-11-26', '2027-01-01', '2024-02-29']) {
      const { startDate, skipDates } = bandSampler(today).brief
      expect(new Date(`${startDate}T00:00:00Z`).getUTCDay()).toBe(4)
      expect(Date.parse(today) - Date.parse(startDate ?? '')).toBeGreaterThanOrEqual(21 * 86_400_000)
      expect(skipDates?.every((date) => new Date(`${date}T00:00:00Z`).getUTCDay() === 4)).toBe(true)
    }
  })

  it('every stitch of the library is a valid document', () => {
    for (const document of LIBRARY) expect(readStitch(JSON.parse(JSON.stringify(document))), document.id).toMatchObject({ ok: true })
  })

  it('reads a file with the least that can be said', () => {
    const read = readSampler({
      format: 'lemmata-sampler',
      version: 1,
      name: 'Small',
      cloth: { kind: 'calico', colour: { name: 'Pale', hex: '#EFE6D2' }, widthMm: 200, heightMm: 200 },
      exercises: [],
    })
    expect(read.ok && read.value.brief.waysOfWorking.needlefulMm).toBe(450)
  })

  it('keeps every documented field of an exercise', () => {
    const exercise = {
      id: 'e1',
      name: 'All of it',
      stitch: 'back-stitch',
      on: [{ guide: 'g1' }, { guide: 'g2', part: 'outline' }],
      parameters: { L: 3 },
      materials: {
        main: { thread: 't1', shades: ['t1', 't2'] },
        whipping: { thread: 't2', strands: 1, needle: { kind: 'tapestry', size: 26 } },
      },
      pieces: { 'g1/0': { materials: { main: { thread: 't3' } }, parameters: { L: 2 } } },
      variant: 'x',
      waysOfWorking: { split: 'from-above' },
      toleranceMm: 0.2,
      over: ['e1'],
      substitutes: [{ stitch: 'stem-stitch', materials: { main: { strands: 3 } } }],
      asShown: { strands: 6 },
      pins: { first: true },
      hold: 'tight',
    }
    const demo = bandSampler('2026-11-23')
    const read = readSampler({ ...demo, exercises: [...demo.exercises, { ...exercise, id: 'all' }] })
    expect(read.ok && read.value.exercises.at(-1)).toEqual({ ...exercise, id: 'all' })
  })

  it.each([
    [{ exercises: [{ id: 'a' }], lessons: [] }, /exercises\[0\]\.name: this is missing; add it \(a text\)/],
    [{ cloth: { kind: 'velvet' } }, /cloth/],
    [{ threads: [{ id: 't', kind: 'rope', colour: { name: 'x', hex: '#000000' } }] }, /this kind of thread is not known/],
    [{ brief: { startDate: '2026-02-31' } }, /startDate.*(exist|date)/],
    [{ name: '' }, /name/],
  ])('says where %j is wrong', (change, words) => {
    const read = readSampler({ ...bandSampler('2026-11-23'), ...change })
    expect(read.ok).toBe(false)
    if (!read.ok) expect(sentencesOf(read.problems).join(' ')).toMatch(words)
  })

  it('two exercises of one id are refused', () => {
    const demo = bandSampler('2026-11-23')
    const read = readSampler({ ...demo, exercises: [demo.exercises[0], demo.exercises[0]] })
    expect(read.ok).toBe(false)
  })

  it('never throws on anything', () => {
    fc.assert(
      fc.property(fc.anything(), (anything) => {
        expect(typeof readSampler(anything).ok).toBe('boolean')
        expect(typeof readStitch(anything).ok).toBe('boolean')
      }),
      { seed: 71, numRuns: 500 },
    )
    expect(readJson('x'.repeat(5_000_000)).ok).toBe(false)
  })
})
