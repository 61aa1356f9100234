/** What hangs on the wall: at its scale wherever that has room, and as difficult as the stitch is. */
import { boxOfExercise } from '@lemmata/core/extent'
import { practiceFor } from '@lemmata/core/guide'
import { LIBRARY } from '@lemmata/core/stitches'
import { newSampler } from '@lemmata/core/sampler'
import { expect, it } from 'vitest'
import { swatchView } from '../drawing/paint-thread.ts'
import { isPieceOfMore, workForWall, workSwatch } from './swatch.ts'
import { aroundWall } from './wall-of.ts'
import { TILE, WALL_PX_PER_MM } from './wall-picture.ts'

const around = aroundWall(newSampler('Cirrus'), [])
const hung = LIBRARY.map((document) => {
  const worked = workForWall(document, around)
  if (!worked.ok) throw new Error(document.id)
  return { document, worked: worked.value, view: swatchView(worked.value, TILE.widthPx, TILE.heightPx, WALL_PX_PER_MM, !isPieceOfMore(document)) }
})

it('draws smaller only what stands by itself and is higher than a tile: wheels and eyelets, bands, pins, an edge', () => {
  const smaller = hung.filter(({ view }) => view.scale < WALL_PX_PER_MM)
  expect(new Set(smaller.map(({ document }) => (document.practice ?? practiceFor(document)).kind))).toEqual(new Set(['ring', 'band', 'pins', 'shape']))
  expect(smaller.filter(({ document }) => document.practice?.kind === 'shape').map(({ document }) => document.id)).toEqual(['overcast-edge'])
  expect(smaller.length).toBeLessThan(13)
})

it('shows the middle of what goes on, with a little more of it above and below', () => {
  const goingOn = hung.filter(({ document }) => isPieceOfMore(document))
  expect(goingOn.map(({ document }) => document.id)).toEqual(expect.arrayContaining(['laid-lattice', 'long-and-short', 'padded-long-and-short', 'tent-stitch']))
  for (const { document, worked, view } of goingOn) {
    expect(view.scale, document.id).toBe(WALL_PX_PER_MM)
    const { top, bottom } = boxOfExercise(worked) ?? { top: 0, bottom: 0 }
    const [from, to] = [view.y + top * view.scale, view.y + bottom * view.scale]
    // Counted squares are as many as practice has, which may be fewer than a tile has room for.
    if (document.practice?.kind !== 'grid') expect(to - from, document.id).toBeGreaterThan(TILE.heightPx)
    expect(from + to, document.id).toBeCloseTo(TILE.heightPx)
  }
})

it('tells the difficulty of the stitch, not of its small piece', () => {
  for (const { document, worked } of hung) {
    const whole = workSwatch(document, around)
    if (!whole.ok) throw new Error(document.id)
    expect(Math.abs(worked.stitchDifficulty.score - whole.value.stitchDifficulty.score), document.id).toBeLessThan(1.5)
  }
})
