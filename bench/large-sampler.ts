/** Forty exercises of about 500 stitches each: seven stitches on straight, curved and cornered guides. */
import type { Guide } from '@lemmata/core/guide'
import { type Exercise, newSampler, type Sampler } from '@lemmata/core/sampler'

type OnOneGuide = Omit<Exercise, 'on'> & { readonly guide: Guide }

export function largeSampler(): Sampler {
  const all = Array.from({ length: 40 }, (_, index) => exercise(index))
  return {
    ...newSampler('Large'),
    drawing: { guides: all.map(({ id, guide }) => ({ id: `g-${id}`, guide })), groups: [] },
    exercises: all.map(({ guide: _drawn, ...rest }) => ({ ...rest, on: [{ guide: `g-${rest.id}` }] })),
  }
}

function exercise(index: number): OnOneGuide {
  const id = `e${index}`
  const y = index * 8
  const common = { id, name: `Exercise ${index}`, materials: { main: { strands: 2 } } }
  switch (index % 8) {
    case 0:
      return { ...common, stitch: 'running-stitch', guide: line(`M 0 ${y} L 2200 ${y}`), parameters: { L: 2.2, G: 2.2 } }
    case 1:
      return { ...common, stitch: 'back-stitch', guide: line(`M 0 ${y} L 1250 ${y}`), parameters: { L: 2.5 } }
    case 2:
      return { ...common, stitch: 'stem-stitch', guide: line(wave(y, 1000)), parameters: { L: 4 } }
    case 3:
      return { ...common, stitch: 'split-stitch', guide: line(wave(y, 800)), parameters: { L: 3 } }
    case 4:
      return { ...common, stitch: 'chain-stitch', guide: line(zigzag(y, 1500)), parameters: { L: 3 } }
    case 5:
      return {
        ...common,
        stitch: 'french-knot',
        guide: { kind: 'spots', at: Array.from({ length: 500 }, (_, spot) => [spot * 3, y] as const) },
        parameters: { wraps: 2 },
      }
    case 6:
      return { ...common, stitch: 'satin-stitch', guide: { kind: 'shape', path: `M 0 ${y} L 240 ${y} L 240 ${y + 6} L 0 ${y + 6} Z` } }
    default:
      return { ...common, stitch: 'back-stitch', guide: line(wave(y, 1200)), parameters: { L: 2.4 } }
  }
}

const line = (path: string): Guide => ({ kind: 'line', path })

function wave(y: number, length: number): string {
  let path = `M 0 ${y}`
  for (let x = 0; x < length; x += 40) path += ` C ${x + 10} ${y - 8} ${x + 30} ${y + 8} ${x + 40} ${y}`
  return path
}

function zigzag(y: number, length: number): string {
  let path = `M 0 ${y}`
  for (let x = 30; x <= length; x += 30) path += ` L ${x} ${y + (x % 60 === 0 ? 0 : 28)}`
  return path
}
