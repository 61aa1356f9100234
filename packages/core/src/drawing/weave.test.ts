/** The weave: the cloth's own colour at every zoom, and no wave that the cloth does not have. */
import { describe, expect, it } from 'vitest'
import { weaveTile, type WeaveTile } from './weave.ts'

const CLOTHS = ['#F1EADB', '#E9E0CC', '#23304f', '#7a2f3a', '#5d7a4a'] as const
const ZOOMS = [2.2, 2.7, 3.1, 3.8, 4.6, 5.5, 7, 9, 12, 16, 22] as const
const channels = (hex: string): readonly number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))

function tileOf(hex: string, q: number): WeaveTile {
  const tile = weaveTile(hex, q)
  if (!tile) throw new Error(`no weave at ${q}`)
  return tile
}

/** Red, green and blue, each its mean. */
function meanOf({ pixels, size }: WeaveTile): readonly number[] {
  return [0, 1, 2].map((channel) => {
    let sum = 0
    for (let index = 0; index < size * size; index += 1) sum += pixels[index * 4 + channel] as number
    return sum / (size * size)
  })
}

/** The largest swing of the means of its columns that is longer than a pair of threads: a wave that one would see. */
function falseWave({ pixels, size, threads }: WeaveTile): number {
  const columns = Array.from({ length: size }, (_, x) => {
    let sum = 0
    for (let y = 0; y < size; y += 1) sum += pixels[(y * size + x) * 4 + 1] as number
    return sum / size
  })
  let most = 0
  // So many waves across the tile; from half of the threads on it is the weave itself.
  for (let waves = 1; waves < threads / 2 - 1; waves += 1) {
    let [re, im] = [0, 0]
    columns.forEach((value, x) => {
      re += value * Math.cos((2 * Math.PI * waves * x) / size)
      im += value * Math.sin((2 * Math.PI * waves * x) / size)
    })
    most = Math.max(most, (2 * Math.hypot(re, im)) / size)
  }
  return most
}

describe('the weave', () => {
  it.each(CLOTHS)('%s keeps its colour: the mean is within one of 255 at every zoom', (hex) => {
    for (const q of ZOOMS)
      meanOf(tileOf(hex, q)).forEach((mean, channel) => expect(Math.abs(mean - (channels(hex)[channel] as number)), `at ${q}`).toBeLessThan(1))
  })

  it.each(ZOOMS)('at %d pixels a thread the largest false wave is under two grey levels of 255', (q) => {
    for (const hex of CLOTHS.slice(0, 3)) expect(falseWave(tileOf(hex, q)), hex).toBeLessThan(2)
  })

  it('is not drawn where its threads are finer than pixels', () => {
    for (const q of [0.3, 1, 1.9]) expect(weaveTile('#F1EADB', q)).toBeNull()
  })

  it('is seen more the nearer one is, and less again where it would outshout the thread', () => {
    const spread = (q: number): number => {
      const { pixels, size } = tileOf('#F1EADB', q)
      let [low, high] = [255, 0]
      for (let index = 0; index < size * size; index += 1) {
        low = Math.min(low, pixels[index * 4] as number)
        high = Math.max(high, pixels[index * 4] as number)
      }
      return high - low
    }
    expect(spread(2.4)).toBeLessThan(spread(5))
    expect(spread(22)).toBeLessThan(spread(9))
  })

  it('is the same every time, and repeats without a seam', () => {
    expect(tileOf('#F1EADB', 5).pixels).toEqual(tileOf('#F1EADB', 5).pixels)
    const { pixels, size } = tileOf('#F1EADB', 9)
    const at = (x: number, y: number): number => pixels[(y * size + ((x + size) % size)) * 4] as number
    const step = (x: number): number => {
      let sum = 0
      for (let y = 0; y < size; y += 1) sum += Math.abs(at(x, y) - at(x - 1, y))
      return sum / size
    }
    const inside = Math.max(...Array.from({ length: size - 1 }, (_, x) => step(x + 1)))
    expect(step(0)).toBeLessThanOrEqual(1.1 * inside)
  })
})
