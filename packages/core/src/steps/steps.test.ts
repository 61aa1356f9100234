/** Steps and their sentences: of every stitch of the library, and some worked in the head. */
import { describe, expect, it } from 'vitest'
import type { Point } from '../geometry/index.ts'
import { workStitch } from '../work/index.ts'
import type { Phrase, SaidHole } from './phrases.ts'
import { LIBRARY } from '../stitches/index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'
import { type Hand, type Step, stepSentence } from './index.ts'
import { around, requestOf, shownOf } from './shown-of.ts'

const sentences = (id: string, hand: Hand = 'right', count = 6): string[] =>
  shownOf(id, hand)
    .steps.slice(0, count)
    .map((step) => step.sentence)
const ALL = LIBRARY.map((document) => [document.id] as const)

/** Places of a pose, in one list. */
const placesOf = ({ pose }: Step): readonly Point[] => [
  ...(pose.needle ? [pose.needle.eye, pose.needle.tip] : []),
  ...pose.loose.flat(),
  ...(pose.thumb ? [pose.thumb.at] : []),
  ...(pose.pull ?? []),
  ...(pose.turns ? [pose.turns.first] : []),
]

describe('every stitch of the library', () => {
  it.each(ALL)('%s: steps are numbered through, each says something, and the first brings the thread to the front or prepares for it', (id) => {
    const { steps } = shownOf(id)
    expect(steps.map((step) => step.number)).toEqual(steps.map((_, index) => index + 1))
    for (const step of steps) {
      expect(step.sentence, `step ${step.number}`).toMatch(/^[A-Z\d].*\.$/)
      expect(step.sentence, `step ${step.number}`).not.toMatch(/ [,;.]|undefined|null|NaN| {2}/)
    }
    expect(['up', 'straight', 'pin', 'cut', 'pad', 'withdraw']).toContain(steps[0]?.gesture)
  })

  it.each(ALL)('%s: holes are numbered as they are shown, none is left out, and none is named before it is made', (id) => {
    const { steps, holes } = shownOf(id)
    let highest = 0
    for (const { holes: made, known: before, sentence, number } of steps) {
      for (const one of made) {
        expect(one, `step ${number}`).toBeLessThanOrEqual(highest + 1)
        highest = Math.max(highest, one)
      }
      for (const one of before) expect(one, `step ${number}`).toBeLessThanOrEqual(highest)
      for (const [, said] of sentence.matchAll(/\bat (\d+)/g)) expect(Number(said), sentence).toBeLessThanOrEqual(highest)
    }
    expect(holes.map((one) => one.number)).toEqual(holes.map((_, index) => index + 1))
    expect(highest).toBe(holes.length)
    // One place, one number.
    expect(new Set(holes.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`)).size).toBe(holes.length)
  })

  it.each(ALL)('%s: nothing of a later step is shown, and the last shows all of it, the thread taken to the back', (id) => {
    const { steps, segments } = shownOf(id)
    for (const [index, step] of steps.entries()) {
      const before = steps[index - 1]
      if (before) expect(step.sequence, `step ${step.number}`).toBeGreaterThanOrEqual(before.sequence)
      // A needle that is not drawn through has made nothing yet.
      if (before?.gesture === 'sew' && before.moment === 'in' && step.moment === 'drawn')
        expect(step.sequence, `step ${step.number}`).toBeGreaterThan(before.sequence)
    }
    const last = steps.at(-1) as Step
    expect(last.sequence).toBe(Math.max(...segments.map((segment) => segment.sequence)))
    expect(last.sentence).toMatch(/fasten it off\.$/)
    expect(last.gesture).not.toBe('up')
  })

  it.each(ALL)('%s: what comes again is one picture, so that no list is longer than is looked at, and no thread is hurried over', (id) => {
    const { steps } = shownOf(id)
    for (const pass of new Set(steps.map((step) => step.pass))) {
      const own = steps.filter((step) => step.pass === pass)
      expect(own.length, `pass ${pass + 1}`).toBeLessThanOrEqual(14)
      const groups = own.filter((step) => step.moment === 'group')
      expect(groups.length, `groups of pass ${pass + 1}`).toBeLessThanOrEqual(4)
    }
  })

  it.each(ALL)('%s: the left hand is the mirror image, needle and thread and all, with left and right exchanged in its words', (id) => {
    const [right, left] = [shownOf(id, 'right'), shownOf(id, 'left')]
    expect(left.steps.map((step) => `${step.gesture} ${step.moment}`)).toEqual(right.steps.map((step) => `${step.gesture} ${step.moment}`))
    const exchanged = (words: string): string => words.replaceAll(/\b(left|right)\b(?! beside)/g, (side) => (side === 'left' ? 'right' : 'left'))
    for (const [index, step] of right.steps.entries()) {
      const other = left.steps[index] as Step
      expect(other.at.x).toBeCloseTo(-step.at.x, 9)
      expect(other.at.y).toBeCloseTo(step.at.y, 9)
      expect(other.sentence).toBe(exchanged(step.sentence))
      const [mine, theirs] = [placesOf(step), placesOf(other)]
      expect(theirs.length).toBe(mine.length)
      for (const [place, at] of mine.entries()) {
        expect(theirs[place]?.x, `step ${step.number}`).toBeCloseTo(-at.x, 6)
        expect(theirs[place]?.y, `step ${step.number}`).toBeCloseTo(at.y, 6)
      }
    }
  })

  it.each(ALL)('%s: a needle in the cloth runs from hole to hole', (id) => {
    const { steps, holes } = shownOf(id)
    for (const { pose, gesture, moment, holes: made, number } of steps) {
      if (gesture !== 'sew' || moment !== 'in' || made.length !== 2) continue
      const { eye, tip, under } = pose.needle ?? { eye: { x: 0, y: 0 }, tip: { x: 0, y: 0 }, under: null }
      const [into, out] = made.map((one) => holes.find((hole) => hole.number === one) as Point) as [Point, Point]
      const at = (share: number): Point => ({ x: eye.x + (tip.x - eye.x) * share, y: eye.y + (tip.y - eye.y) * share })
      const [entry, exit] = [at(under?.[0] ?? 0), at(under?.[1] ?? 0)]
      expect(Math.hypot(entry.x - into.x, entry.y - into.y), `step ${number}, in`).toBeLessThan(1e-6)
      expect(Math.hypot(exit.x - out.x, exit.y - out.y), `step ${number}, out`).toBeLessThan(1e-6)
    }
  })
})

/** What a learner does who has only the phrases: holes by their number, and what is passed between them. */
function played(phrases: readonly Phrase[], halfOut: { is: boolean }): readonly string[] {
  const hole = (move: 'up' | 'down', { number }: SaidHole): string => `${move} ${number ?? 'end'}`
  return phrases.flatMap((phrase): string[] => {
    switch (phrase.key) {
      case 'up':
        return [hole('up', phrase.hole)]
      case 'down':
        return [hole('down', phrase.hole)]
      case 'straight':
        return [hole('up', phrase.from), hole('down', phrase.to)]
      case 'sew':
        return [hole('down', phrase.in), hole('up', phrase.out)]
      case 'half-out':
        halfOut.is = true
        return [hole('down', phrase.in), hole('up', phrase.out)]
      case 'wind-in':
        return phrase.how === 'cast' ? [] : [hole('down', phrase.hole)]
      case 'wind-through':
        if (!halfOut.is && phrase.how !== 'cast') return []
        halfOut.is = false
        return [hole('down', phrase.hole)]
      case 'pass':
        return [phrase.over ? 'over' : 'under']
      case 'weave':
        return [...phrase.ways]
      default:
        return []
    }
  })
}

describe('what lies under the stitches', () => {
  it.each(['cut-eyelet', 'cut-grid', 'felt-padding', 'hem-stitch'])('%s: is there when it has been made, and not before', (id) => {
    const { steps, patches } = shownOf(id)
    const made = (step: Step): boolean => step.gesture === 'cut' || step.gesture === 'withdraw' || step.gesture === 'pad'
    // Cloth threads are bundled by the stitches themselves.
    const shown = (step: Step): number => patches.slice(0, step.patches).filter((patch) => patch.kind !== 'bundle').length
    let before = 0
    for (const step of steps) {
      if (!made(step)) expect(shown(step), `step ${step.number}`).toBe(before)
      else expect(shown(step), `step ${step.number}`).toBeGreaterThan(before)
      before = shown(step)
    }
    expect(before).toBe(patches.filter((patch) => patch.kind !== 'bundle').length)
  })
})

/** To a thousandth; nought has no sign. */
const placeName = ({ x, y }: Point): string => [x, y].map((one) => (Math.round(one * 1000) / 1000 + 0).toFixed(3)).join(' ')

describe('worked from the words', () => {
  it.each(ALL.flatMap(([id]) => [[id, 'right'] as const, [id, 'left'] as const]))(
    '%s, %s hand: the same holes in the same order, over and under the same, up to where it repeats',
    (id, hand) => {
      const { document, request } = requestOf(id)
      const shown = shownOf(id, hand)
      const worked = workStitch({ ...request, document, guide: shown.guide, leftHand: false })
      if (!worked.ok) throw new Error(sentenceOf(worked.problems))
      const { holes, surfaceMoves } = worked.value
      for (const pass of new Set(shown.steps.map((step) => step.pass))) {
        const steps = shown.steps.filter((step) => step.pass === pass)
        const group = steps.findIndex((step) => step.moment === 'group')
        const halfOut = { is: false }
        const said = steps.slice(0, group < 0 ? steps.length : group).flatMap((step) => played(step.said, halfOut))
        // The number that the words give to a hole, by where it was made.
        const numbers = new Map(shown.holes.map((at) => [placeName(at), at.number]))
        const nameOf = (at: Point): string => {
          return String(numbers.get(placeName(shown.seen({ x: at.x, y: at.y }))) ?? 'end')
        }
        const made = [
          ...holes.map((hole, index) => ({ pass: hole.made.pass, at: index, order: 1, name: `${hole.move} ${nameOf(hole)}` })),
          ...surfaceMoves.flatMap(({ kind, afterHole, made: { pass: own } }, index) =>
            kind === 'under' || kind === 'over' ? [{ pass: own, at: afterHole, order: 2 + index, name: kind }] : [],
          ),
        ]
          .filter((one) => one.pass === pass)
          .sort((a, b) => a.at - b.at || a.order - b.order)
          .map((one) => one.name)
        // What only cuts has no holes.
        expect(said.length > 0, `pass ${pass + 1}`).toBe(made.length > 0)
        expect(made.slice(0, said.length), `pass ${pass + 1}`).toEqual(said)
      }
    },
  )
})

describe('which way a picture lies', () => {
  it.each([
    // As they are commonly taught to the right hand.
    ['stem-stitch', 0],
    ['split-stitch', 0],
    ['running-stitch', 2],
    ['back-stitch', 2],
    ['herringbone', 0],
    ['blanket-stitch', 0],
    ['palestrina-knot', 0],
    ['chain-stitch', 1],
    ['feather-stitch', 1],
    ['fly-stitch', 1],
    ['cretan-stitch', 1],
  ] as const)('%s', (id, turn) => {
    expect(shownOf(id).turn).toBe(turn)
  })
})

describe('sentences from which the stitch can be worked', () => {
  it('stem: the thread kept below, a whole stitch on, half way back, then out where the last one ended', () => {
    expect(sentences('stem-stitch', 'right', 7)).toEqual([
      'Come up at 1, on the line, and draw the thread through.',
      'Hold the thread below the line with your left thumb. In at 2, a stitch further on; out at 3, half way back. The needle points left.',
      'Draw through until the stitch lies flat, no tighter.',
      'Hold the thread below the line with your left thumb. In at 4, a stitch further on; out again at 2, in the hole where a stitch ended. The needle points left.',
      'Draw through until the stitch lies flat, no tighter.',
      'The same, three times more, the thread always below the line.',
      'To end, go down a stitch further on. Take the thread to the back and fasten it off.',
    ])
  })

  it('chain: in again beside the thread, the loop under the point, the last tied down over its loop', () => {
    const said = sentences('chain-stitch', 'right', 9)
    expect(said[1]).toBe(
      'Hold the thread in a loop toward you with your left thumb. In again at 1; out at 2, a stitch further on. The thread lies under the needle\u2019s point.',
    )
    expect(said[2]).toBe('Draw the thread toward you until the loop lies easily, no tighter.')
    expect(said.at(-1)).toMatch(/^To end, go down.*, just over the loop, to hold it\. Take the thread/)
  })

  it('a French knot: held taut, both turns, beside and not in its hole, let go last', () => {
    expect(sentences('french-knot', 'right', 5)).toEqual([
      'Come up at 1, and draw the thread through.',
      'Hold the thread taut in the left hand, about 25 mm from the cloth. Lay the needle against it and take the thread once round it.',
      'Two turns, side by side and not crossed. Keep the thread taut from now on.',
      'Turn the needle upright and put its point in at 2, right beside and never in the same hole. Draw the turns down on to the cloth: snug, not tight.',
      'Thumb on the thread, push the needle straight down through the turns. Draw the thread after it; lift the thumb only at the end.',
    ])
  })

  it('Palestrina: down above the line, up below it, twice from above under the bar, the second time over the thread', () => {
    const said = sentences('palestrina-knot', 'right', 7)
    expect(said[1]).toBe('In at 2, a stitch further on, above the line; out at 3, straight below 2, below the line. The needle points toward you.')
    expect(said[3]).toBe('Slide the needle from above under the bar, not into the cloth.')
    expect(said[5]).toBe('Again from above under the bar, not into the cloth. Hold the thread so that it lies under the needle\u2019s point.')
    expect(said[6]).toMatch(/until the loop closes to a knot/)
  })

  it('herringbone: on one rail, then on the other, half way back each time', () => {
    const said = sentences('herringbone', 'right', 4)
    expect(said[1]).toBe('In at 2, a stitch further on, on the upper rail; out at 3, half way back. The needle points left.')
    expect(said[3]).toBe('In at 4, a stitch further on, on the lower rail; out at 5, half way back. The needle points left.')
  })

  it('triple couching: each wave is laid in one step between its ends, as far as it has been led', () => {
    const { steps } = shownOf('triple-couching')
    const first = steps.filter((step) => step.pass === 0)
    expect(first.map((step) => step.gesture)).toEqual(['up', 'lead'])
    expect(first[1]?.sentence).toBe('Lay the thread on the cloth as it is drawn here, easy and not pulled straight.')
    // It lies in hand in waves: it has turned from one side to the other and back.
    const sides = first[1]?.inHand.flatMap((piece) => piece.points.map((at) => at.y)) ?? []
    expect(Math.max(...sides) - Math.min(...sides)).toBeGreaterThan(0.2)
    // A bead is taken on the way, a row of lace looped: neither is a step of laying.
    for (const id of ['beaded-knot', 'needle-lace'])
      expect(
        shownOf(id).steps.map((step) => step.gesture),
        id,
      ).not.toContain('lead')
  })

  it('a wheel is woven round, over and under changing with every round', () => {
    const said = sentences('woven-wheel', 'right', 9).filter((words) => /[Oo]ver, under/.test(words))
    expect(said[0]).toMatch(/^Over, under, over, under, over: once round, not into the cloth/)
    expect(said[1]).toMatch(/^Under, over, under, over, under: what was over is now under/)
  })

  it('a second thread is taken up where its pass begins, with strands, colour and needle', () => {
    const worked = workAlone({ id: 'e', name: 'x', stitch: 'couching-stitch', guide: { kind: 'line', path: 'M 20 60 L 90 60' } }, around)
    if (!worked.ok) throw new Error(sentenceOf(worked.problems))
    const said = shownOf('couching-stitch').steps.map((step) => stepSentence(step, worked.value.assigned))
    expect(said[0]).toMatch(/^Take the laid thread: \w+ strands? of .* in .*, in an? \w+ \d+\. Come up at 1,/)
    expect(said.find((words) => words.startsWith('Now the ties.'))).toMatch(/^Now the ties\. Take the tie: one strand.*over the laid thread\.$/)
  })

  it('what cannot be undone is said with its caution', () => {
    const all = shownOf('cut-eyelet')
      .steps.map((step) => step.sentence)
      .join(' ')
    expect(all).toMatch(/count twice, for it cannot be undone. Keep the points of the scissors in sight/)
    expect(shownOf('woven-picot').steps[0]?.sentence).toMatch(/pin.*away from your hands/)
  })
})
