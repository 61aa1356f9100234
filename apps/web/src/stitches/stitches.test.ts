/** What the stitch stage does without a screen: reading typed moves, choosing what to show, guides to try on. */
import { surroundingsOf } from '@lemmata/core/assign'
import { workExercise } from '@lemmata/core/exercise'
import { cycleOf, type Move, type StitchDocument } from '@lemmata/core/notation'
import { layAlone, newSampler } from '@lemmata/core/sampler'
import { LIBRARY } from '@lemmata/core/stitches'
import { readStitch } from '@lemmata/contract'
import { describe, expect, it } from 'vitest'
import { besideOthers } from './beside-others.ts'
import { isShown, NO_FILTER } from './filter.ts'
import { asKind, kindOf, placeText, readPlace, readRest, restText } from './write/moves-text.ts'
import { tryGuides, workSwatch } from './swatch.ts'
import { wallFacts } from './wall-picture.ts'
import { type Problem, success } from '@lemmata/core/base'
import { problemInWords } from '@lemmata/contract'

const sentenceOf = (given: readonly Problem[] | Problem | undefined): string => {
  const first = given && 'code' in given ? given : given?.[0]
  return first ? problemInWords(first) : ''
}

const around = surroundingsOf(newSampler('Test'))

describe('moves as they are typed', () => {
  const all = LIBRARY.flatMap((document) =>
    document.passes.flatMap((pass) => [...(pass.start ?? []), ...cycleOf(pass).flat(), ...(pass.end ?? []), ...(pass.close ?? [])]),
  )

  it('every move of the library comes back from its row as it was', () => {
    const typed = (move: Move): unknown => {
      const kind = kindOf(move)
      return { [kind]: readPlace(kind, placeText(move)), ...readRest(restText(move)), ...(move.as === undefined ? {} : { as: move.as }) }
    }
    // Numbers that were written as text read as numbers: the same to the notation.
    const plain = (value: unknown): string =>
      JSON.stringify(value, (_key, one: unknown) => (typeof one === 'string' && one !== '' && Number.isFinite(Number(one)) ? Number(one) : one))
    const sorted = (move: unknown): string => plain(Object.fromEntries(Object.entries(move as object).sort(([a], [b]) => a.localeCompare(b))))
    for (const move of all) expect(sorted(typed(move)), JSON.stringify(move)).toBe(sorted(move))
  })

  it('keeps commas inside brackets, and half-typed JSON as it is', () => {
    expect(readPlace('down', 'min(L, rest), 0')).toEqual(['min(L, rest)', 0])
    expect(readPlace('up', 'a')).toBe('a')
    expect(readPlace('under', 'st[k], st~1')).toEqual(['st[k]', 'st~1'])
    expect(readPlace('up', '{"from": "a"')).toBe('{"from": "a"')
    expect(readRest('loose; round inside; at 0.5')).toEqual({ loose: true, round: 'inside', at: 0.5 })
  })

  it('changing the kind keeps the place where both have one, and is a move that can be read', () => {
    expect(asKind({ up: ['L', 0] }, 'down')).toEqual({ down: ['L', 0] })
    const line = LIBRARY[0]
    if (!line) throw new Error('empty library')
    for (const kind of ['wrap', 'cast', 'lay', 'hold', 'pin', 'bead', 'pad', 'cut', 'withdraw', 'each', 'under'] as const) {
      const read = readStitch({ ...line, passes: [{ name: 'x', place: { once: true }, repeat: [asKind({ up: [0, 0] }, kind)] }] })
      expect(read.ok ? '' : sentenceOf(read.problems), kind).toBe('')
    }
  })
})

describe('the wall', () => {
  const swatches = LIBRARY.map((document) => ({ document, result: workSwatch(document, around) }))
  const find = (filter: Partial<typeof NO_FILTER>): string[] =>
    swatches
      .filter(({ document, result }) => isShown(document, result.ok ? success(wallFacts(result.value)) : result, { ...NO_FILTER, ...filter }))
      .map(({ document }) => document.id)

  it('finds by any name, family, guide, motion, difficulty and what has been taught', () => {
    expect(find({ words: 'lazy daisy' })).toEqual(['detached-chain'])
    expect(find({ words: 'HOLBEIN' })).toEqual(['double-running'])
    expect(find({ family: 'laid' })).toContain('bokhara-couching')
    expect(find({ guide: 'pins' })).toEqual(['woven-picot'])
    // A wheel's spokes lie fast.
    expect(find({ motion: 'weave' })).toEqual(['woven-picot'])
    const first = find({ stage: 0 })
    expect(first).toContain('running-stitch')
    expect(first).not.toContain('bullion-knot')
    const taught = find({ taught: new Set(['shared-hole']) })
    expect(taught).toContain('back-stitch')
    expect(taught).not.toContain('chain-stitch')
  })

  it('has guides to try every stitch on, and all of them can be worked', () => {
    for (const document of LIBRARY) {
      for (const { name, guide } of tryGuides(document)) {
        const result = workExercise(layAlone({ id: 'e', name: 'x', stitch: document.id }, guide), around)
        expect(result.ok ? '' : `${document.id}, ${name}: ${sentenceOf(result.problems)}`).toBe('')
      }
    }
  })
})

describe('a stitch kept in two windows', () => {
  const gale = (L: number): StitchDocument => ({
    ...(LIBRARY.find((one) => one.id === 'back-stitch') as StitchDocument),
    id: 'gale',
    name: 'Gale',
    parameters: { L },
  })

  it('is written over by the window that saw it, and put beside it by one that did not', () => {
    expect(besideOthers(gale(3), [gale(2)], [gale(2)]).id).toBe('gale')
    expect(besideOthers(gale(3), [], []).id).toBe('gale')
    expect(besideOthers(gale(3), [], [gale(3)]).id).toBe('gale')
    expect(besideOthers(gale(3), [], [gale(2)])).toMatchObject({ id: 'gale-2', name: 'Gale 2' })
    expect(besideOthers(gale(3), [gale(1)], [gale(2), { ...gale(2), id: 'gale-2' }]).id).toBe('gale-3')
  })
})
