/** What every embroiderer knows of unpicking, put to the engine. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { usualMistakes } from '../notation/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { cutThread, pullEnd, safeCut, showMistake } from './index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Test'))

function work(stitch: string) {
  const document = LIBRARY.find((one) => one.id === stitch)
  if (!document) throw new Error(stitch)
  const result = workAlone(
    { id: 'e1', name: 'Test', stitch, guide: practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160), strands: 2 },
    around,
  )
  if (!result.ok) throw new Error(sentenceOf(result.problems))
  return result.value
}

const front = (stitch: string) => work(stitch).worked.segments.filter((segment) => segment.side === 'front')

describe('an end that was not fastened', () => {
  it('lets a whole row of chain go, link by link', () => {
    const { worked } = work('chain-stitch')
    const links = worked.segments.filter((segment) => segment.kind === 'loop').length
    const { undone, sentence } = pullEnd(worked)
    expect([...undone].length).toBe(links + 1)
    expect(sentence).toContain(`${links} loops come undone`)
  })

  it('takes one stitch of back stitch, and the cloth grips the rest', () => {
    const { undone, loosened, sentence } = pullEnd(work('back-stitch').worked)
    expect(undone.size).toBe(1)
    expect(loosened.size).toBeGreaterThan(0)
    expect(sentence).toContain('one stitch comes out')
  })

  it('opens one fly and no more', () => {
    expect(pullEnd(work('fly-stitch').worked).sentence).toContain('one loop opens and no more')
  })

  it('cannot undo a French knot', () => {
    const { undone, sentence } = pullEnd(work('french-knot').worked)
    expect(undone.size).toBe(0)
    expect(sentence).toContain('the knot grips')
  })
})

describe('a cut', () => {
  it('in the middle of a chain frees every link before it and none after', () => {
    const { worked } = work('chain-stitch')
    const loops = worked.segments.filter((segment) => segment.kind === 'loop')
    const middle = loops[10]
    if (!middle) throw new Error('no loop')
    const undone = cutThread(worked, middle.sequence)?.undone ?? new Set()
    expect(loops.filter((loop) => undone.has(loop.sequence))).toEqual(loops.slice(0, 11))
  })

  it('anywhere in a whipping brings all of it away', () => {
    const { worked } = work('whipped-back')
    const second = worked.segments.filter((segment) => segment.thread !== 'main' && segment.side === 'front')
    const cut = cutThread(worked, (second[7] as { sequence: number }).sequence)
    expect(second.every((segment) => cut?.undone.has(segment.sequence))).toBe(true)
    expect(cut?.sentence).toContain('the whole of the second thread comes away')
  })

  it('of a piece that is not there is null', () => {
    expect(cutThread(work('back-stitch').worked, 99_999)).toBeNull()
    expect(safeCut(work('back-stitch').worked, 99_999)).toBeNull()
  })
})

describe('the shortest safe cut', () => {
  it('leaves two ends of 50 mm: of back stitch at 2.5 mm, about seven a side', () => {
    const stitches = front('back-stitch')
    const { worked } = work('back-stitch')
    const cut = safeCut(worked, (stitches[18] as { sequence: number }).sequence)
    if (!cut) throw new Error('no cut')
    // A stitch takes 2.5 in front and 5 behind: 50 / 7.5 = 6.7: six or seven on each side, and the one itself.
    const drawn = worked.segments.filter((segment) => segment.side === 'front' && cut.drawBack.has(segment.sequence)).length
    expect(drawn).toBeGreaterThanOrEqual(13)
    expect(drawn).toBeLessThanOrEqual(15)
    expect(worked.segments.find((segment) => segment.sequence === cut.cut)?.side).toBe('back')
  })

  it('takes a chain back from its end', () => {
    const { worked } = work('chain-stitch')
    const loop = worked.segments.filter((segment) => segment.kind === 'loop')[20] as { sequence: number }
    expect(safeCut(worked, loop.sequence)?.sentence).toContain('Do not cut')
  })

  it('never draws a knot back through the cloth', () => {
    const { worked } = work('french-knot')
    const knot = worked.segments.find((segment) => segment.kind === 'knot')
    expect(safeCut(worked, knot?.sequence ?? -1)?.sentence).toMatch(/^A knot is not drawn out: cut it off on the front/)
  })
})

describe('mistakes', () => {
  it.each(LIBRARY.map((document) => [document.id] as const))('%s has usual mistakes that can be shown', (id) => {
    const done = work(id)
    const shown = usualMistakes(done.assigned.document).map((mistake) => showMistake(done.work, mistake))
    if (done.worked.holes.length > 0 && done.assigned.document.passes.some((pass) => pass.repeat.flat().some((move) => 'down' in move)))
      expect(shown.filter(Boolean).length).toBeGreaterThan(0)
    for (const one of shown) {
      if (!one) continue
      expect(one.worked.segments.filter((segment) => segment.points.some((at) => !Number.isFinite(at.x + at.y)))).toEqual([])
      expect(one.sentence).toMatch(/\.$/)
    }
  })

  const named = (stitch: string, name: string) => {
    const done = work(stitch)
    const mistake = usualMistakes(done.assigned.document).find((one) => one.name === name)
    if (!mistake) throw new Error(`${stitch} has no mistake "${name}"`)
    const shown = showMistake(done.work, mistake)
    if (!shown) throw new Error('cannot be shown')
    return { done, shown }
  }

  it('a link that is not caught comes undone, one that is only tight does not', () => {
    const lost = named('chain-stitch', 'The loop is not caught')
    expect(lost.shown.comesUndone).toBe(true)
    expect(lost.shown.worked.segments.filter((segment) => segment.kind === 'loop').length).toBe(
      lost.done.worked.segments.filter((segment) => segment.kind === 'loop').length - 1,
    )
    const tight = named('chain-stitch', 'Drawn too tight')
    expect(tight.shown.comesUndone).toBe(false)
    const width = (worked: typeof tight.shown.worked): number =>
      Math.max(...worked.segments.flatMap((segment) => segment.points.map((at) => Math.abs(at.y - 100))))
    expect(width(tight.shown.worked)).toBeLessThan(0.7 * width(tight.done.worked))
  })

  it('a stem with its thread on the wrong side once holds, and differs in one place', () => {
    const { done, shown } = named('stem-stitch', 'The thread on the other side')
    expect(shown.comesUndone).toBe(false)
    const differing = shown.worked.segments.filter(
      (segment, index) =>
        segment.lengthMm !== done.worked.segments[index]?.lengthMm || JSON.stringify(segment.points) !== JSON.stringify(done.worked.segments[index]?.points),
    )
    expect(differing.length).toBeGreaterThan(0)
    expect(differing.length).toBeLessThan(4)
  })

  it('a knot with no turn is a tiny stitch; a whip left out leaves one stitch bare', () => {
    const knot = named('french-knot', 'No turn on the needle').shown.worked
    expect(knot.segments.filter((segment) => segment.kind === 'knot').length).toBe(
      work('french-knot').worked.segments.filter((segment) => segment.kind === 'knot').length - 1,
    )
    const whip = named('whipped-back', 'One pass left out')
    expect(whip.shown.worked.surfaceMoves.length).toBe(whip.done.worked.surfaceMoves.length - 1)
  })
})
