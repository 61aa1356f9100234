/** The difficulty that is derived, against what teachers agree on, and against one expert's scores by hand. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Test'))

function hardness(document: StitchDocument): number {
  const guide = practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160)
  const done = workAlone({ id: 'e', name: 'Test', stitch: document.id, guide }, { ...around, stitches: [document] })
  if (!done.ok) throw new Error(document.id)
  return done.value.stitchDifficulty.score
}
const scores = new Map(LIBRARY.map((document) => [document.id, hardness(document)]))
const of = (id: string): number => {
  const score = scores.get(id)
  if (score === undefined) throw new Error(`no stitch ${id}`)
  return score
}

describe('what every teacher agrees on', () => {
  it.each([
    ['running-stitch', 'back-stitch', 'stem-stitch'],
    ['back-stitch', 'split-stitch', 'satin-stitch'],
    ['back-stitch', 'chain-stitch', 'twisted-chain'],
    ['chain-stitch', 'satin-stitch', 'padded-satin', 'padded-long-and-short'],
    ['running-stitch', 'whipped-running'],
    ['detached-chain', 'fly-stitch', 'feather-stitch'],
    ['couching-stitch', 'couched-filling'],
    ['satin-stitch', 'long-and-short'],
    ['french-knot', 'bullion-knot', 'drizzle-stitch'],
    ['blanket-stitch', 'knotted-buttonhole'],
    ['threaded-running', 'pekinese-stitch'],
    ['cast-on-stitch', 'double-cast-on'],
    ['chain-stitch', 'reverse-chain', 'heavy-chain'],
    ['herringbone', 'laced-herringbone'],
  ])('%s before %s', (...ids) => {
    for (const [index, id] of ids.slice(1).entries()) expect(of(id), `${ids[index]} before ${id}`).toBeGreaterThan(of(ids[index] as string))
  })

  it('all that is worked on a plain line before the woven picot, needle lace and the cut grid', () => {
    const line = LIBRARY.filter((one) => one.family === 'line').map((one) => of(one.id))
    expect(line.length).toBeGreaterThan(8)
    for (const late of ['woven-picot', 'needle-lace', 'cut-grid']) expect(of(late), late).toBeGreaterThan(Math.max(...line))
  })
})

it('agrees with one expert\u2019s scores by hand in rank, as five learners ordering cards would be said to agree', () => {
  const byHand: Readonly<Record<string, number>> = {
    'tacking-stitch': 4,
    'running-stitch': 7,
    'straight-stitch': 11,
    'double-running': 14,
    'whipped-running': 14,
    'back-stitch': 15,
    'cross-stitch': 16,
    'detached-chain': 16,
    'couching-stitch': 17,
    'seed-stitch': 18,
    'stem-stitch': 18,
    'fly-stitch': 21,
    'split-stitch': 21,
    'blanket-stitch': 22,
    'whipped-back': 22,
    'chain-stitch': 23,
    'threaded-running': 23,
    herringbone: 26,
    'feather-stitch': 28,
    'coral-knot': 30,
    'wheatear-stitch': 32,
    'romanian-stitch': 32,
    'twisted-chain': 33,
    'leaf-stitch': 33,
    'french-knot': 36,
    'bokhara-couching': 37,
    'four-sided-stitch': 37,
    'portuguese-knotted-stem': 37,
    'pekinese-stitch': 39,
    'pistil-stitch': 41,
    'satin-stitch': 42,
    'fishbone-stitch': 43,
    'pearl-stitch': 44,
    'knotted-buttonhole': 45,
    'sorbello-stitch': 45,
    'palestrina-knot': 46,
    'buttonhole-stitch': 47,
    'cut-eyelet': 57,
    'overcast-trailing': 60,
    'bullion-knot': 65,
    'long-and-short': 67,
    'cast-on-stitch': 68,
    'padded-satin': 68,
    'woven-picot': 68,
    'drizzle-stitch': 71,
    'buttonhole-bar': 74,
  }
  const ids = Object.keys(byHand)
  expect(ids.length).toBeGreaterThan(44)
  const ranks = (values: readonly number[]): readonly number[] =>
    values.map((value) => values.filter((other) => other < value).length + (values.filter((other) => other === value).length - 1) / 2)
  const [ours, theirs] = [ranks(ids.map(of)), ranks(Object.values(byHand))]
  const middle = (ids.length - 1) / 2
  const sum = (all: readonly number[]): number => all.reduce((total, one) => total + one, 0)
  const over = sum(ours.map((rank, index) => (rank - middle) * ((theirs[index] as number) - middle)))
  const spearman = over / Math.sqrt(sum(ours.map((rank) => (rank - middle) ** 2)) * sum(theirs.map((rank) => (rank - middle) ** 2)))
  expect(spearman).toBeGreaterThan(0.85)
})

describe('however the document writes it', () => {
  it('eight stitches into one hole are no harder than a wheel of spokes', () => {
    expect(of('algerian-eye')).toBeLessThan(of('star-eyelet') + 3)
    // Each points another way: harder than the same into the same two holes.
    expect(of('algerian-eye')).toBeGreaterThan(of('granitos'))
    expect(of('simple-leaf')).toBeGreaterThan(of('granitos'))
    expect(of('granitos')).toBeLessThan(of('leaf-stitch'))
  })
})
