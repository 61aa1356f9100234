/** What is wrong is said at the place where it is wrong, in the reading that came furthest. */
import { LIBRARY } from '@lemmata/core/stitches'
import { describe, expect, it } from 'vitest'
import { readSampler, readStitch } from './read.ts'
import type { Problem } from '@lemmata/core/base'
import { problemInWords } from '../problem-words.ts'

const sentenceOf = (given: readonly Problem[] | Problem | undefined): string => {
  const first = given && 'code' in given ? given : given?.[0]
  return first ? problemInWords(first) : ''
}

const back = LIBRARY.find((one) => one.id === 'back-stitch')

describe('a move that is nearly right', () => {
  it.each<[string, unknown, RegExp]>([
    ['a point with an object for a number', { down: ['L', { far: true }] }, /^passes\[0\]\.repeat\[0\]\.down/],
    ['a count of wraps that is a list', { up: [0, 0], wraps: [2] }, /^passes\[0\]\.repeat\[0\]\.wraps/],
    ['a move inside small frames', { each: { along: 'st', every: 'L' }, moves: [{ up: [0, []] }] }, /^passes\[0\]\.repeat\[0\]\.moves\[0\]\.up/],
  ])('%s', (_what, move, path) => {
    const read = readStitch({ ...back, passes: [{ name: 'line', place: { along: { step: ['L'] } }, repeat: [move] }] })
    expect(read.ok ? '' : sentenceOf(read.problems)).toMatch(path)
  })
})

describe('a guide that is nearly right', () => {
  it('is spoken of as the kind that it says it is', () => {
    const read = readSampler({
      format: 'lemmata-sampler',
      version: 2,
      name: 'x',
      cloth: { kind: 'calico', colour: { name: 'Calico', hex: '#E8DFC8' }, widthMm: 200, heightMm: 200 },
      drawing: { guides: [{ id: 'g1', guide: { kind: 'ring', at: [1, 2], radiusMm: 'wide' } }], groups: [] },
      exercises: [],
    })
    expect(read.ok ? '' : sentenceOf(read.problems)).toMatch(/^drawing\.guides\[0\]\.guide\.radiusMm: /)
  })
})
