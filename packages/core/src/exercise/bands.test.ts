/** A band is a band, whether it is drawn by its middle and a width or by two rails, and a gentle curve changes next to nothing. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, workAlone, type WorkedAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Bands'))
/** 100 mm of a circle about (100, 200). */
const arc = (radius: number): string => `M 100 ${200 - radius} A ${radius} ${radius} 0 0 1 ${100 + radius * Math.sin(1)} ${200 - radius * Math.cos(1)}`
const STRAIGHT: Guide = { kind: 'band', path: 'M 0 50 L 100 50', widthMm: 6 }
const STRAIGHT_RAILS: Guide = { kind: 'band', rails: ['M 0 47 L 100 47', 'M 0 53 L 100 53'] }
const CURVED: Guide = { kind: 'band', path: arc(100), widthMm: 6 }
const CURVED_RAILS: Guide = { kind: 'band', rails: [arc(103), arc(97)] }

function work(stitch: string, guide: Guide): WorkedAlone {
  const worked = workAlone({ id: 'e', name: 'Band', stitch, guide }, around)
  if (!worked.ok) throw new Error(`${stitch}: ${sentenceOf(worked.problems)}`)
  return worked.value
}

const stitches = LIBRARY.filter((one) => one.guide.includes('band')).map((one) => one.id)

describe.each(stitches)('%s', (stitch) => {
  const straight = work(stitch, STRAIGHT)

  it('has the same stitches, difficulty and thread between straight rails as on a band of that width', () => {
    const rails = work(stitch, STRAIGHT_RAILS)
    expect(rails.stitches).toBe(straight.stitches)
    expect(rails.worked.fitted.pitchMm).toBeCloseTo(straight.worked.fitted.pitchMm, 3)
    expect(rails.difficulty.score).toBeCloseTo(straight.difficulty.score, 1)
    expect(rails.thread.front).toBeCloseTo(straight.thread.front, 0)
    expect(rails.problems).toEqual(straight.problems)
  })

  it.each([
    ['a path and a width', CURVED],
    ['two rails', CURVED_RAILS],
  ])('keeps its length on a curve of 100 mm radius by %s, and warns of nothing', (_form, guide) => {
    const curved = work(stitch, guide)
    expect(curved.worked.fitted.pitchMm / straight.worked.fitted.pitchMm).toBeCloseTo(1, 1)
    expect(curved.difficulty.score - straight.difficulty.score).toBeLessThan(2)
    expect(curved.problems.map((one) => one.code)).toEqual(straight.problems.map((one) => one.code))
  })
})

describe('a band between rails', () => {
  it('marks two rails and no ring round them', () => {
    const lines = work('herringbone', STRAIGHT_RAILS).marks.filter((mark) => mark.kind === 'line')
    expect(lines.map((line) => line.points.length)).toEqual([2, 2])
  })
})

it('two curved rails have their whole width from their very beginning to their very end', () => {
  for (const place of ['first', 'last'] as const) {
    const { worked } = work('open-chain', CURVED_RAILS)
    const hole = place === 'first' ? worked.holes[0] : worked.holes.at(-1)
    const away = Math.hypot((hole?.x ?? 0) - 100, (hole?.y ?? 0) - 200)
    // Both ends are worked on a rail, 3 mm from the middle of the band.
    expect(Math.abs(Math.abs(away - 100) - 3)).toBeLessThan(0.05)
  }
})
