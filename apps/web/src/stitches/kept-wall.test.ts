/** A wall kept and read again: every tile its own piece; a torn file is no wall; of many the oldest go; no address without a program. */
import { error, failure, success } from '@lemmata/core/base'
import { afterEach, expect, it, vi } from 'vitest'
import { keepWall, wallKept, wallKey } from './kept-wall.ts'
import type { WallPicture } from './wall-picture.ts'

/** What a browser keeps, in a map. */
function keepInMemory(): Map<string, Response> {
  const kept = new Map<string, Response>()
  const store = {
    match: (key: string) => Promise.resolve(kept.get(key)?.clone()),
    put: (key: string, answer: Response) => Promise.resolve(void kept.set(key, answer)),
    keys: () => Promise.resolve([...kept.keys()]),
    delete: (key: string) => Promise.resolve(kept.delete(key)),
  }
  vi.stubGlobal('caches', { open: () => Promise.resolve(store) })
  return kept
}
afterEach(() => {
  vi.unstubAllGlobals()
})

const facts = success({ score: 12, motions: [] })
const tile = (words: string): WallPicture => ({ facts, picture: new Blob([words]) })
const wall = new Map<string, WallPicture>([
  ['rain', tile('drops')],
  ['mist', { facts: failure(error('stitch.unknown', ['mist'])), picture: null }],
  ['hail', tile('ice')],
])
const words = async (found: ReadonlyMap<string, WallPicture>, id: string) => found.get(id)?.picture?.text()

it('is found with every tile in its place, and what could not be worked as such', async () => {
  keepInMemory()
  await keepWall('/wall/a', wall)
  const found = await wallKept('/wall/a')
  expect([...found.keys()]).toEqual(['rain', 'mist', 'hail'])
  expect([await words(found, 'rain'), await words(found, 'hail')]).toEqual(['drops', 'ice'])
  expect(found.get('mist')).toEqual(wall.get('mist'))
  expect(found.get('rain')?.facts).toEqual(facts)
  expect((await wallKept('/wall/b')).size).toBe(0)
})

it('cut off on the way, or no wall at all, it is painted again', async () => {
  const kept = keepInMemory()
  await keepWall('/wall/a', wall)
  const whole = await (kept.get('/wall/a') as Response).clone().blob()
  for (const torn of [whole.slice(0, whole.size - 1), whole.slice(0, 30), whole.slice(0, 2), new Blob(['no wall, but words'])]) {
    kept.set('/wall/a', new Response(torn))
    expect((await wallKept('/wall/a')).size).toBe(0)
  }
})

it('of five the oldest goes', async () => {
  const kept = keepInMemory()
  for (const name of ['a', 'b', 'c', 'd', 'e']) await keepWall(`/wall/${name}`, wall)
  expect([...kept.keys()]).toEqual(['/wall/b', '/wall/c', '/wall/d', '/wall/e'])
})

it('has another address for another program or cloth, none while nothing is to be kept', async () => {
  const address = await wallKey('one', { cloth: 'linen' })
  expect(address).toMatch(/^\/wall\/[0-9a-f]{64}$/)
  expect(await wallKey('one', { cloth: 'linen' })).toBe(address)
  expect(await wallKey('two', { cloth: 'linen' })).not.toBe(address)
  expect(await wallKey('one', { cloth: 'navy' })).not.toBe(address)
  expect(await wallKey(null, { cloth: 'linen' })).toBeNull()
})

it('a browser that keeps nothing has no wall, and does not mind', async () => {
  await keepWall('/wall/a', wall)
  expect((await wallKept('/wall/a')).size).toBe(0)
})
