/** What hangs on the wall: at its scale wherever that has room, and as difficult as the stitch is. */
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

it('shows the middle of what goes on, with more of it above and below', () => {
  const [lattice] = hung.filter(({ document }) => document.id === 'laid-lattice')
  expect(lattice?.view.scale).toBe(WALL_PX_PER_MM)
  expect(lattice?.worked.pieces[0].guide).toMatchObject({ kind: 'shape', areaMm2: expect.closeTo(18 * 12) })
  expect(12 * WALL_PX_PER_MM).toBeGreaterThan(TILE.heightPx)
})

it('tells the difficulty of the stitch, not of its small piece', () => {
  for (const { document, worked } of hung) {
    const whole = workSwatch(document, around)
    if (!whole.ok) throw new Error(document.id)
    expect(Math.abs(worked.stitchDifficulty.score - whole.value.stitchDifficulty.score), document.id).toBeLessThan(1.5)
  }
})
