/** Marks that keep stitches in order: sections, staggered rows with how many drop out, lettered corners, turns beside their dots. */
import { describe, expect, it } from 'vitest'
import { type Guide } from '../guide/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { type Mark, rowCounts, type WorkedExercise, workSampler } from './index.ts'

function marked(stitch: string, guide: Guide, parameters: Readonly<Record<string, number>> = {}): WorkedExercise {
  const sampler: Sampler = {
    ...newSampler('Marks'),
    drawing: { guides: [{ id: 'g', guide }], groups: [] },
    exercises: [{ id: 'e', name: 'E', stitch, on: [{ guide: 'g' }], marks: 'in-order', parameters }],
  }
  const [done] = workSampler(sampler).done
  if (!done) throw new Error(JSON.stringify(workSampler(sampler).results.get('e')))
  return done
}
const marksOf = (done: WorkedExercise): readonly Mark[] => done.pieces[0].marks
const wordsOf = (done: WorkedExercise): readonly string[] => marksOf(done).flatMap((mark) => (mark.kind === 'words' ? [mark.text] : []))
const linesOf = (done: WorkedExercise) => marksOf(done).flatMap((mark) => (mark.kind === 'line' ? [mark] : []))

describe('marks that keep order', () => {
  it('a box of 40 by 10 in upright satin is divided at 20, 10 and 30', () => {
    const done = marked('satin-stitch', { kind: 'shape', path: 'M 100 100 L 140 100 L 140 110 L 100 110 Z', directions: ['M 120 100 L 120 110'] })
    const open = linesOf(done).filter((line) => !line.closed)
    const sections = open.slice(1)
    expect(sections.map(({ points }) => points.map(({ x }) => Math.round(x * 100) / 100))).toEqual([
      [120, 120],
      [110, 110],
      [130, 130],
    ])
    expect(marksOf(done).some((mark) => mark.kind === 'dot')).toBe(false)
  })

  it('long and short narrowing downward: fewer stitches row by row, and two staggered lines where each row but the last ends', () => {
    const done = marked('long-and-short', { kind: 'shape', path: 'M 100 100 L 130 100 L 121 130 L 109 130 Z', directions: ['M 115 100 L 115 130'] })
    const rows = rowCounts(done.pieces[0].worked)
    expect(rows.length).toBeGreaterThan(2)
    expect(rows.reduce((sum, count) => sum + count, 0)).toBe(done.pieces[0].worked.segments.filter((one) => one.side === 'front' && one.row !== null).length)
    expect(rows.at(-1)).toBeLessThan(rows[0] as number)
    const open = linesOf(done).filter((line) => !line.closed)
    // One direction, three sections, two lines for each row but the last.
    expect(open).toHaveLength(1 + 3 + 2 * (rows.length - 1))
    for (const { points } of open.slice(4)) for (const { y } of points) expect(y).toBeGreaterThan(100.5)
    // Along each the places follow one another from side to side, and no line jumps from one row's depth to another's.
    for (const { points } of open.slice(4)) {
      const steps = points.slice(1).map(({ x, y }, index) => [x - (points[index]?.x ?? 0), Math.abs(y - (points[index]?.y ?? 0))] as const)
      expect(steps.every(([x]) => x < 0) || steps.every(([x]) => x > 0)).toBe(true)
      expect(Math.max(...steps.map(([, y]) => y))).toBeLessThan(1)
    }
  })

  it('where the first row reaches the other edge there is no next one, and no line runs along the edge', () => {
    // A hill: two rows in its middle, one at its feet.
    const hill = marked('long-and-short', {
      kind: 'shape',
      path: 'M 100 120 C 106 120 108 106 115 106 C 122 106 124 120 130 120 Z',
      directions: ['M 115 106 L 115 120'],
    })
    const open = linesOf(hill)
      .filter((line) => !line.closed)
      .slice(4)
    for (const { points } of open) for (const { y } of points) expect(y).toBeLessThan(119.6)
    for (const { points } of open)
      for (const [index, { x }] of points.entries()) if (index > 0) expect(Math.abs(x - (points[index - 1]?.x ?? 0))).toBeLessThan(3)
  })

  it('the corners of a square are lettered as the needle comes to them; only those of the first', () => {
    const words = wordsOf(marked('sorbello-stitch', { kind: 'square', at: [120, 120], sideMm: 6, repeat: 3 }))
    expect(words.slice(0, 4)).toEqual(['A', 'B', 'C', 'D'])
    expect(new Set(words).size).toBe(words.length)
  })

  it('a bullion says its turns beside its two dots', () => {
    const done = marked('bullion-knot', { kind: 'spots', at: [[120, 120]] })
    const coil = done.pieces[0].worked.segments.find((one) => one.kind === 'coil')
    expect(wordsOf(done)).toEqual([`${coil?.turns}×`])
    expect(marksOf(done).filter((mark) => mark.kind === 'dot').length).toBeGreaterThanOrEqual(2)
  })
})
