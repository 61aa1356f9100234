/** A wall kept and read again: every tile its own place; a torn file is no wall; of many the oldest go; no address without a program. */
import { error, failure, success } from '@lemmata/core/base'
import { afterEach, expect, it, vi } from 'vitest'
import { keepWall, wallKept } from './kept-wall.ts'
import { isWallKept, wallKey } from './wall-key.ts'
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
const [weather, sky] = [new Blob(['drops ice']), new Blob(['cloud'])]
const tile = (file: Blob, top: number): WallPicture => ({ facts, picture: { file, top, ratio: 1.5 } })
const wall = new Map<string, WallPicture>([
  ['rain', tile(weather, 0)],
  ['mist', { facts: failure(error('stitch.unknown', ['mist'])), picture: null }],
  ['cumulus', tile(sky, 0)],
  ['hail', tile(weather, 62)],
])
const words = async (found: ReadonlyMap<string, WallPicture>, id: string) => found.get(id)?.picture?.file.text()

it('is found with every tile in its place, and what could not be worked as such', async () => {
  keepInMemory()
  await keepWall('/wall/a', wall)
  const found = await wallKept('/wall/a')
  expect([...found.keys()]).toEqual(['rain', 'mist', 'cumulus', 'hail'])
  expect([await words(found, 'rain'), await words(found, 'cumulus'), await words(found, 'hail')]).toEqual(['drops ice', 'cloud', 'drops ice'])
  // What was one file is one again, and each tile has its place in it.
  expect(found.get('hail')?.picture).toEqual({ file: found.get('rain')?.picture?.file, top: 62, ratio: 1.5 })
  expect(found.get('hail')?.picture?.file).toBe(found.get('rain')?.picture?.file)
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

it('is known to be kept without being read', async () => {
  keepInMemory()
  expect(await isWallKept('/wall/a')).toBe(false)
  await keepWall('/wall/a', wall)
  expect(await isWallKept('/wall/a')).toBe(true)
  vi.unstubAllGlobals()
  expect(await isWallKept('/wall/a')).toBe(false)
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
