/** A wall painted ahead: only what will be asked for, only until something is, and never in the way of it. */
import { dialSampler } from '@lemmata/contract/testing'
import { success } from '@lemmata/core/base'
import { MessageChannel } from 'node:worker_threads'
import { expect, it, vi } from 'vitest'
import { aroundWall, stitchesOnWall, type WallOf } from '../stitches/wall-of.ts'
import type { PaintedTile } from '../stitches/wall-picture.ts'
import { paintAhead, wallAhead } from './wall-ahead.ts'

const sampler = dialSampler()
const wall: WallOf = {
  documents: stitchesOnWall(sampler.stitches, []),
  around: aroundWall(sampler, []),
  look: { side: 'front', clothHex: sampler.cloth.colour.hex, ratio: 1 },
}
/** As it comes from the page: the same in every figure, and not one object of it. */
const asked = structuredClone(wall)
const tile = (): Promise<PaintedTile> => Promise.resolve({ facts: success({ score: 1, motions: [] }), pixels: null })
const find = () => Promise.resolve(wall)
const ids = wall.documents.map(({ id }) => id)

it('has all of it, in its order, when nobody asks before', async () => {
  const paint = vi.fn(tile)
  const ahead = paintAhead(find, paint)
  await vi.waitFor(() => expect(paint).toHaveBeenCalledTimes(wall.documents.length))
  // As they are asked for: group by group, each once.
  expect([...ahead.take(ids.slice(0, 5), asked.around, asked.look).keys()]).toEqual(ids.slice(0, 5))
  expect([...ahead.take(ids, asked.around, asked.look).keys()]).toEqual(ids.slice(5))
})

it('hears what is asked between one tile and the next, stops, and has what there is', async () => {
  const { port1: worker, port2: page } = new MessageChannel()
  const paint = vi.fn(() => {
    if (paint.mock.calls.length === 3) page.postMessage('the wall, please')
    return tile()
  })
  const ahead = paintAhead(find, paint)
  const there = await new Promise<number>((resolve) => {
    worker.on('message', () => resolve(ahead.take(ids, asked.around, asked.look).size))
  })
  worker.close()
  expect(there).toBeGreaterThanOrEqual(3)
  expect(there).toBeLessThan(10)
  await new Promise((resolve) => setImmediate(() => setImmediate(resolve)))
  expect(paint).toHaveBeenCalledTimes(there)
})

it.each([
  ['another cloth', { ...wall.around, cloth: { ...wall.around.cloth, threadsPerCm: 9 } }, wall.look],
  ['other threads', { ...wall.around, threads: [] }, wall.look],
  ['another side', wall.around, { ...wall.look, side: 'back' as const }],
  ['a finer screen', wall.around, { ...wall.look, ratio: 2 }],
])('has nothing for %s', async (_what, around, look) => {
  const paint = vi.fn(tile)
  const ahead = paintAhead(find, paint)
  await vi.waitFor(() => expect(paint).toHaveBeenCalled())
  expect(ahead.take(ids, around, look).size).toBe(0)
  // Nor is it held any longer.
  expect(ahead.take(ids, asked.around, asked.look).size).toBe(0)
})

it('paints nothing where something else was asked for first, where there is nothing, or where it cannot be read', async () => {
  const paint = vi.fn(tile)
  const stopped = paintAhead(find, paint)
  stopped.stop()
  const nothing = paintAhead(() => Promise.resolve(null), paint)
  const torn = paintAhead(() => Promise.reject(new Error('no connection')), paint)
  await new Promise((resolve) => setImmediate(() => setImmediate(resolve)))
  expect(paint).not.toHaveBeenCalled()
  for (const one of [stopped, nothing, torn]) expect(one.take(ids, asked.around, asked.look).size).toBe(0)
})

it('is begun at the wall and nowhere else', () => {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(null, { status: 401 })))
  expect(wallAhead('1.25 /samplers/w-1/stitches', null, tile)).not.toBeNull()
  for (const name of ['', '1 /samplers/w-1/cloth', '1 /', '1 /samplers/w-1/stitches/x', '/samplers/w-1/stitches'])
    expect(wallAhead(name, null, tile)).toBeNull()
  vi.unstubAllGlobals()
})
