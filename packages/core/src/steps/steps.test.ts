/** Steps and their sentences: of every stitch of the library, and some worked in the head. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { roleThreads } from '../exercise/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { type Demonstration, demonstrate, type Hand, stepSentence } from './index.ts'

const around = surroundingsOf(newSampler('Steps'))
function shownOf(id: string, hand: Hand = 'right'): Demonstration {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  const worked = workAlone({ id: 'e', name: id, stitch: id, guide: practiceGuide(document.practice ?? practiceFor(document), 60, 60, 80) }, around)
  if (!worked.ok) throw new Error(`${id}: ${sentenceOf(worked.problems)}`)
  const { document: whole, parameters, materials } = worked.value.assigned
  const shown = demonstrate({ document: whole, parameters, materials, threads: roleThreads(worked.value.assigned), hand })
  if (!shown.ok) throw new Error(`${id}: ${sentenceOf(shown.problems)}`)
  return shown.value
}
const sentences = (id: string, hand: Hand = 'right', count = 6): string[] =>
  shownOf(id, hand)
    .steps.slice(0, count)
    .map((step) => step.sentence)
const ALL = LIBRARY.map((document) => [document.id] as const)

describe('every stitch of the library', () => {
  it.each(ALL)('%s: steps are numbered through, each says something, and the first brings the thread to the front or prepares for it', (id) => {
    const { steps } = shownOf(id)
    expect(steps.map((step) => step.number)).toEqual(steps.map((_, index) => index + 1))
    for (const step of steps) expect(step.sentence, `step ${step.number}`).toMatch(/^[A-Z].*\.$/)
    expect(['up', 'pin', 'cut', 'pad', 'withdraw']).toContain(steps[0]?.move)
  })

  it.each(ALL)('%s: a number belongs to one hole, and one hole has one number', (id) => {
    const { holes, steps } = shownOf(id)
    const places = new Map<number, string>()
    for (const { x, y, number } of holes) {
      const place = `${x.toFixed(2)} ${y.toFixed(2)}`
      expect(places.get(number) ?? place, `hole ${number}`).toBe(place)
      places.set(number, place)
    }
    const known = new Set(holes.map((hole) => hole.number))
    for (const step of steps) if (step.move === 'up' || step.move === 'down') expect(known.has(step.hole)).toBe(true)
  })

  it.each(ALL)('%s: each pass is shown until it has begun to repeat, none is cut off before', (id) => {
    const { steps } = shownOf(id)
    for (const pass of new Set(steps.map((step) => step.pass)))
      expect(
        steps.some((step) => step.pass === pass && step.block === 'repeat'),
        `pass ${pass + 1}`,
      ).toBe(true)
  })

  it.each(ALL)('%s: the left hand is the mirror image, with left and right exchanged in its words', (id) => {
    const [right, left] = [shownOf(id, 'right'), shownOf(id, 'left')]
    expect(left.steps.map((step) => step.move)).toEqual(right.steps.map((step) => step.move))
    const exchanged = (words: string): string => words.replaceAll(/\b(left|right)\b(?! beside)/g, (side) => (side === 'left' ? 'right' : 'left'))
    for (const [index, step] of right.steps.entries()) {
      expect(left.steps[index]?.at.x).toBeCloseTo(-step.at.x, 9)
      expect(left.steps[index]?.at.y).toBeCloseTo(step.at.y, 9)
      expect(left.steps[index]?.sentence).toBe(exchanged(step.sentence))
    }
  })
})

describe('sentences from which the stitch can be worked', () => {
  it('back stitch: forward beneath, back on top, into the hole of the last', () => {
    expect(sentences('back-stitch', 'right', 5)).toEqual(['Come up at 1.', 'Go down at 2.', 'Come up at 3.', 'Go down again at 1.', 'Come up at 4.'])
  })

  it('chain stitch: the loop is left, caught from inside, and the last tied down', () => {
    const all = shownOf('chain-stitch').steps.map((step) => step.sentence)
    expect(all.slice(0, 3)).toEqual([
      'Come up at 1.',
      'Go down again at 1, leaving the thread loose on top.',
      'Come up at 2, inside the loop, and draw it up gently.',
    ])
    expect(all.at(-1)).toMatch(/^Go down at \d+, just over the loop, to hold it\.$/)
  })

  it('triple couching: each wave is laid in one step between its ends, as far as it has been led', () => {
    const { steps } = shownOf('triple-couching')
    const first = steps.filter((step) => step.pass === 0)
    expect(first.map((step) => step.move)).toEqual(['up', 'lead', 'down'])
    expect(first[1]?.sentence).toBe('Lay the thread on the cloth as it is drawn here, easy and not pulled straight.')
    // It lies in hand in waves: it has turned from one side to the other and back.
    const sides = first[1]?.inHand.flatMap((piece) => piece.points.map((at) => at.y)) ?? []
    expect(Math.max(...sides) - Math.min(...sides)).toBeGreaterThan(0.2)
    // A bead is taken on the way, a row of lace looped: neither is a step of laying.
    for (const id of ['beaded-knot', 'needle-lace'])
      expect(
        shownOf(id).steps.map((step) => step.move),
        id,
      ).not.toContain('lead')
  })

  it('a French knot: wrapped twice, and down right beside', () => {
    expect(sentences('french-knot', 'right', 2)).toEqual([
      'Come up at 1.',
      'Wrap the thread twice round the needle and hold it taut. Go down at 2, right beside it.',
    ])
  })

  it('stem stitch keeps its thread to one side, the other side for the other hand', () => {
    const side = (hand: Hand): string | undefined => sentences('stem-stitch', hand).find((words) => words.includes('kept'))
    expect(side('right')).toMatch(/thread kept to the (left|right), then draw it down/)
    expect(side('left')).not.toBe(side('right'))
  })

  it('a second thread is taken up where its pass begins, with strands, colour and needle', () => {
    const worked = workAlone({ id: 'e', name: 'x', stitch: 'couching-stitch', guide: { kind: 'line', path: 'M 20 60 L 90 60' } }, around)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const said = shownOf('couching-stitch').steps.map((step) => stepSentence(step, worked.value.assigned))
    expect(said[0]).toMatch(/^Take the laid thread: \w+ strands? of .* in .*, in an? \w+ \d+\. Come up at 1\./)
    expect(said.filter((words) => words.startsWith('Take the')).map((words) => words.split(':')[0])).toEqual(['Take the laid thread', 'Take the tie'])
  })

  it('what cannot be undone is said with its caution', () => {
    const all = shownOf('cut-eyelet')
      .steps.map((step) => step.sentence)
      .join(' ')
    expect(all).toMatch(/count twice, for it cannot be undone. Keep the points of the scissors in sight/)
    expect(shownOf('woven-picot').steps[0]?.sentence).toMatch(/pin.*away from your hands/)
  })
})
