/** Tiles in one file: each at its place, what could not be worked without one. */
import { error, failure, success } from '@lemmata/core/base'
import { LIBRARY } from '@lemmata/core/stitches'
import { newSampler } from '@lemmata/core/sampler'
import { expect, it, vi } from 'vitest'
import { aroundWall } from './wall-of.ts'
import { inOneFile, makeFirstStroke, type PaintedTile, paintForWall, TILE } from './wall-picture.ts'

const LOOK = { side: 'front', clothHex: '#F1EADB', ratio: 1.25 } as const
const [WIDTH, HEIGHT] = [Math.round(TILE.widthPx * 1.25), Math.round(TILE.heightPx * 1.25)]
/** All of one grey. */
const grey = (level: number): PaintedTile => ({ facts: success({ score: level, motions: [] }), pixels: new Uint8ClampedArray(WIDTH * HEIGHT * 4).fill(level) })
const unworked: PaintedTile = { facts: failure(error('stitch.unknown', ['mist'])), pixels: null }

it('finds every tile where its pixels are', async () => {
  const tiles = [grey(10), unworked, grey(20), grey(30)]
  const pictures = inOneFile(tiles, LOOK)
  expect(pictures.map(({ facts }) => facts)).toEqual(tiles.map(({ facts }) => facts))
  expect(pictures[1]?.picture).toBeNull()
  const shown = pictures.flatMap(({ picture }) => picture ?? [])
  expect(new Set(shown.map(({ file }) => file)).size).toBe(1)
  const bytes = new Uint8Array((await shown[0]?.file.arrayBuffer()) ?? new ArrayBuffer(0))
  const head = 54
  const row = Math.ceil((WIDTH * 3) / 4) * 4
  expect(bytes.length).toBe(head + 3 * HEIGHT * row)
  const levelAt = (line: number): number | undefined => bytes[head + line * row]
  for (const [index, { top, ratio }] of shown.entries()) {
    const line = top * ratio
    expect(line).toBeCloseTo(index * HEIGHT)
    expect([levelAt(line), levelAt(line + HEIGHT - 1)]).toEqual([10 * (index + 1), 10 * (index + 1)])
  }
})

it('has no file where none of them could be worked', () => {
  expect(inOneFile([unworked], LOOK)).toEqual([{ facts: unworked.facts, picture: null }])
})

it('paints every tile onto the one canvas that had its first stroke before, each weave a picture: a new canvas would wait for the page', async () => {
  const canvases: { readonly width: number; readonly height: number }[] = []
  const strokes: string[] = []
  const context = new Proxy<Record<string | symbol, unknown>>(
    {
      getImageData: (_x: number, _y: number, width: number, height: number) => ({ data: new Uint8ClampedArray(4 * width * height) }),
    },
    { get: (own, name) => own[name] ?? (() => (strokes.push(String(name)), null)) },
  )
  class Canvas {
    constructor(
      readonly width: number,
      readonly height: number,
    ) {
      canvases.push(this)
    }
    readonly getContext = () => context
  }
  const weaves = vi.fn((image: { readonly width: number }) => Promise.resolve(image))
  vi.stubGlobal('OffscreenCanvas', Canvas)
  vi.stubGlobal('createImageBitmap', weaves)
  vi.stubGlobal(
    'ImageData',
    class {
      constructor(
        readonly data: Uint8ClampedArray,
        readonly width: number,
      ) {}
    },
  )
  makeFirstStroke(LOOK.ratio)
  expect(strokes).toEqual(['fillRect'])
  const around = aroundWall(newSampler('Cirrus'), [])
  // A line at the wall's scale and a wheel that is drawn smaller: two weaves.
  const hung = LIBRARY.filter(({ id }) => ['back-stitch', 'woven-wheel', 'stem-stitch'].includes(id))
  for (const document of hung) expect((await paintForWall(document, around, LOOK)).pixels?.length).toBe(WIDTH * HEIGHT * 4)
  expect(canvases).toEqual([expect.objectContaining({ width: WIDTH, height: HEIGHT })])
  expect(weaves).toHaveBeenCalledTimes(2)
  expect(strokes.filter((one) => one === 'createPattern')).toHaveLength(3)
  vi.unstubAllGlobals()
})
