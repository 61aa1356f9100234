/** Drawings: what lies over what, scales, sides, and the SVG writer. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import type { Guide } from '../guide/index.ts'
import { reachOutside } from '../extent/index.ts'
import { clearRadius } from '../materials/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { demonstrate } from '../steps/index.ts'
import { detailFor, drawMarkItems, drawSampler, drawStep, drawThread, lookOf, moveItems, PRINTED_MARKS, scaleItems, writeSvg } from './index.ts'
import type { Segment } from '../work/index.ts'
import { sentenceOf, type ShortExercise, workAlone, type WorkedAlone } from '../testing/index.ts'

const sampler = newSampler('Drawn')
function work(stitch: string, guide: Guide, more: Partial<ShortExercise> = {}): WorkedAlone {
  const result = workAlone({ id: 'e1', name: 'E', stitch, guide, strands: 2, ...more }, surroundingsOf(sampler))
  if (!result.ok) throw new Error(sentenceOf(result.problems))
  return result.value
}
const line: Guide = { kind: 'line', path: 'M 100 150 L 160 150' }

describe('thread', () => {
  it('keeps its loops and its curves however small it appears', () => {
    const box = (done: WorkedAlone, detail: 'chords' | 'body'): number[] => {
      const at = drawThread(done.worked.segments, { side: 'front', look: lookOf(done.assigned), detail }).flatMap((item) =>
        item.kind === 'stroke' ? item.paths.flat() : [],
      )
      return [Math.min(...at.map(({ x }) => x)), Math.max(...at.map(({ x }) => x)), Math.min(...at.map(({ y }) => y)), Math.max(...at.map(({ y }) => y))]
    }
    for (const done of [work('chain-stitch', line), work('couching-stitch', { kind: 'line', path: 'M 100 150 C 110 120 150 120 160 150' })])
      for (const [index, side] of box(done, 'chords').entries()) expect(Math.abs(side - (box(done, 'body')[index] as number))).toBeLessThan(0.3)
  })

  it('is drawn as wide as the bundle lies, more of it the larger it appears', () => {
    const done = work('back-stitch', line)
    const look = lookOf(done.assigned)
    const draw = (detail: 'chords' | 'body' | 'edged' | 'full') => drawThread(done.worked.segments, { side: 'front', look, detail })
    const widest = Math.max(...draw('body').flatMap((item) => (item.kind === 'stroke' ? [item.widthMm] : [])))
    expect(widest).toBeCloseTo(1.02 * look.lineWidthMm, 9)
    // The edge, as a band along a level line: as high as the thread is wide, uneven by a twentieth.
    const high = Math.max(
      ...draw('full').flatMap((item) =>
        item.kind === 'fill' ? [Math.max(...item.points.map(({ y }) => y)) - Math.min(...item.points.map(({ y }) => y))] : [],
      ),
    )
    expect(Math.abs(high / look.lineWidthMm - 1)).toBeLessThan(0.1)
    expect([0.5, 2, 5, 12].map((pixels) => detailFor(1, pixels))).toEqual(['chords', 'body', 'edged', 'full'])
    const counts = (['chords', 'body', 'edged', 'full'] as const).map((detail) => draw(detail).length)
    expect([...counts].sort((a, b) => a - b)).toEqual(counts)
  })

  it('tapers where it goes into the cloth, and begins at almost nothing where it comes out through another thread', () => {
    const look = lookOf(work('back-stitch', line).assigned)
    const at = [
      { x: 0, y: 0, z: 0 },
      { x: 6, y: 0, z: 0 },
    ]
    const [one] = work('back-stitch', line).worked.segments
    const halfAt = (pierces: boolean, x: number): number => {
      const items = drawThread([{ ...(one as Segment), side: 'front', points: at, pierces }], { side: 'front', look, detail: 'full' })
      const edge = items.find((item) => item.kind === 'fill')
      return Math.max(...(edge?.kind === 'fill' ? edge.points : []).filter((p) => Math.abs(p.x - x) < 0.03).map((p) => Math.abs(p.y)))
    }
    const width = look.lineWidthMm
    expect(halfAt(false, 0) / (width / 2)).toBeGreaterThan(0.5)
    expect(halfAt(false, 0) / (width / 2)).toBeLessThan(0.7)
    expect(halfAt(true, 0) / (width / 2)).toBeLessThan(0.25)
    expect(halfAt(true, 6) / (width / 2)).toBeGreaterThan(0.5)
  })

  it('is uneven in the same places in every picture, and in others for another exercise', () => {
    const done = work('stem-stitch', line)
    const draw = (seed: number) => drawThread(done.worked.segments, { side: 'front', look: lookOf(done.assigned), detail: 'full', seed })
    expect(draw(4)).toEqual(draw(4))
    expect(draw(4)).not.toEqual(draw(5))
  })

  it('a whipping thread is drawn before the stitch it passes under and after the one it passes over', () => {
    const done = work('whipped-back', line)
    const drawn = drawThread(done.worked.segments, { side: 'front', look: lookOf(done.assigned), detail: 'chords' }).flatMap((item) =>
      item.kind === 'stroke' ? item.paths : [],
    )
    const pieces = [...done.worked.segments].filter((segment) => segment.side === 'front').sort((a, b) => a.order - b.order)
    expect(drawn.map((path) => path[0])).toEqual(pieces.map((piece) => piece.points[0]))
    // The piece under the first stitch comes right before it.
    const first = pieces.findIndex((piece) => piece.label === 'st')
    expect(pieces[first - 1]?.thread).not.toBe('main')
  })

  it('the back is the mirror image about the middle, and holds only what is behind', () => {
    const done = work('back-stitch', line)
    const look = lookOf(done.assigned)
    const back = drawThread(done.worked.segments, { side: 'back', look, detail: 'chords', mirrorX: 155 }).flatMap((item) =>
      item.kind === 'stroke' ? item.paths : [],
    )
    const behind = done.worked.segments.filter((segment) => segment.side === 'back')
    expect(back.length).toBe(behind.length)
    expect(back[0]?.[0]?.x).toBeCloseTo(310 - (behind[0]?.points[0]?.x ?? 0), 9)
  })

  it('outside the part that is seen nothing is drawn, and inside it nothing is missing', () => {
    const done = work('back-stitch', line)
    const view = { side: 'front', look: lookOf(done.assigned), detail: 'chords' } as const
    const paths = (within?: { left: number; top: number; right: number; bottom: number }) =>
      drawThread(done.worked.segments, { ...view, within }).flatMap((item) => (item.kind === 'stroke' ? item.paths : []))
    const seen = paths({ left: 120, top: 140, right: 130, bottom: 160 })
    expect(seen.length).toBeGreaterThan(3)
    expect(seen.length).toBeLessThan(paths().length / 2)
    for (const path of paths().filter((one) => one.every(({ x }) => x >= 120 && x <= 130))) expect(seen).toContainEqual(path)
  })
})

describe('the sampler', () => {
  const on = (exercise: Sampler['exercises'][number]): Sampler => ({ ...sampler, exercises: [exercise] })

  it('has its layers by name, and marks only on the front', () => {
    const done = work('running-stitch', line)
    const layers = (side: 'front' | 'back') =>
      drawSampler(on(done.exercise), [done], { side, worked: true, marks: true, detail: 'body' }).layers.map((layer) => layer.name)
    expect(layers('front')).toEqual(['cloth', 'folds', 'marks', 'thread', 'hoop'])
    expect(layers('back')).toEqual(['cloth', 'folds', 'thread', 'hoop'])
  })

  it('knows how far an exercise reaches outside the clear area', () => {
    expect(reachOutside(work('back-stitch', line), sampler).reachMm).toBe(0)
    // Clear radius 195 / 2 - 12 = 85.5 mm about (155, 155): 250 is 95 away.
    expect(clearRadius({ insideMm: 195 })).toBe(85.5)
    expect(reachOutside(work('back-stitch', { kind: 'line', path: 'M 155 155 L 250 155' }), sampler).reachMm).toBeCloseTo(95 - 85.5, 6)
  })

  it('marks tell up from down by form and not by colour', () => {
    const marks = [
      { kind: 'dot', at: { x: 0, y: 0 }, needle: 'up' },
      { kind: 'dot', at: { x: 5, y: 0 }, needle: 'down' },
    ] as const
    const [up, down] = marks.map((mark) => drawMarkItems([mark], PRINTED_MARKS)[0])
    expect(up).toHaveProperty('fill')
    expect(down).toHaveProperty('stroke')
    expect(down).not.toHaveProperty('fill')
  })
})

describe('steps', () => {
  it('grow: no step shows less than the one before, and the last shows everything', () => {
    const done = work('chain-stitch', line)
    const shown = demonstrate({ document: done.assigned.document, parameters: done.assigned.parameters, materials: done.assigned.materials, hand: 'right' })
    if (!shown.ok) throw new Error('not shown')
    const steps = shown.value.steps
    for (let index = 1; index < steps.length; index += 1)
      expect((steps[index] as { sequence: number }).sequence).toBeGreaterThanOrEqual((steps[index - 1] as { sequence: number }).sequence)
    expect(steps.at(-1)?.sequence).toBe(Math.max(...shown.value.segments.map((segment) => segment.sequence)))
    const drawn = drawStep({
      demonstration: shown.value,
      step: steps[2] as (typeof steps)[number],
      look: lookOf(done.assigned),
      widthMm: 40,
      heightMm: 24,
      detail: 'body',
      cloth: '#ffffff',
      numberMm: 2.6,
    })
    expect(drawn.scale).toBeGreaterThan(1)
    // Everything but the needle stays in the frame.
    for (const item of drawn.items.flatMap((one) => (one.kind === 'clipped' ? one.items : [one]))) {
      if (item.kind !== 'words') continue
      expect(item.at.x).toBeGreaterThan(-1)
      expect(item.at.x).toBeLessThan(41)
    }
  })

  it('the left hand is the exact reflection', () => {
    const done = work('stem-stitch', line)
    const by = (hand: 'right' | 'left') => {
      const shown = demonstrate({ document: done.assigned.document, parameters: done.assigned.parameters, materials: done.assigned.materials, hand })
      if (!shown.ok) throw new Error('not shown')
      return shown.value
    }
    const [right, left] = [by('right'), by('left')]
    expect(left.steps.length).toBe(right.steps.length)
    for (const [index, step] of left.steps.entries()) {
      expect(step.at.x).toBeCloseTo(-(right.steps[index]?.at.x ?? 0), 12)
      expect(step.holes).toEqual(right.steps[index]?.holes)
    }
    expect(left.steps[1]?.sentence).toBe(right.steps[1]?.sentence.replace('left thumb', 'right thumb').replace('points left', 'points right'))
  })
})

describe('writers and colours', () => {
  it('SVG is in millimetres, escaped and rounded to microns', () => {
    const svg = writeSvg({
      left: 0,
      top: 0,
      widthMm: 30,
      heightMm: 20,
      layers: [
        {
          name: 'a"<b',
          clip: { left: 1, top: 1, right: 9, bottom: 9 },
          items: [{ kind: 'words', at: { x: 1 / 3, y: 2 }, text: '<script>&', sizeMm: 3, face: 'text', colour: '#000000' }],
        },
      ],
    })
    expect(svg).toContain('width="30mm" height="20mm" viewBox="0 0 30 20"')
    expect(svg).toContain('x="0.333"')
    expect(svg).not.toContain('<script>')
    expect(svg).toContain('clip-path="url(#clip0)"')
  })

  it('a ring lit from one side is a stroke with a gradient, in SVG as on the screen', () => {
    const ring = {
      kind: 'ring',
      at: { x: 5, y: 5 },
      radiusMm: 4,
      widthMm: 2,
      along: { x: 1, y: 0 },
      stops: [
        { offset: 0, colour: '#ffffff', opacity: 0.5 },
        { offset: 1, colour: '#000000', opacity: 1 },
      ],
    } as const
    const svg = writeSvg({ left: 0, top: 0, widthMm: 10, heightMm: 10, layers: [{ name: 'hoop', items: [ring] }] })
    expect(svg).toMatch(/<linearGradient id="(ring[^"]+)" gradientUnits="userSpaceOnUse" x1="0" y1="5" x2="10" y2="5">.*stroke="url\(#\1\)" stroke-width="2"/)
    expect(scaleItems(moveItems([ring], { x: 1, y: 0 }), 2)[0]).toMatchObject({ at: { x: 12, y: 10 }, radiusMm: 8, widthMm: 4 })
  })

  it('moving and scaling leave their input alone and undo each other', () => {
    const items = drawMarkItems(work('running-stitch', line).marks, PRINTED_MARKS)
    const before = JSON.stringify(items)
    const there = moveItems(items, { x: 3, y: -4 })
    expect(JSON.stringify(moveItems(there, { x: -3, y: 4 })).length).toBeGreaterThan(0)
    expect(JSON.stringify(items)).toBe(before)
    const disc = scaleItems([{ kind: 'disc', at: { x: 2, y: 4 }, radiusMm: 3 }], 2)[0]
    expect(disc).toEqual({ kind: 'disc', at: { x: 4, y: 8 }, radiusMm: 6 })
  })
})
