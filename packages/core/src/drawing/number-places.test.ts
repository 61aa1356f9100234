/** Hole numbers in the pictures of every stitch: none on another, none off the paper, each nearest to its hole or led to it. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { newSampler } from '../sampler/index.ts'
import { demonstrate } from '../steps/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { drawStep, lookOf } from './index.ts'
import { sentenceOf, workAlone } from '../testing/index.ts'

const around = surroundingsOf(newSampler('Test'))

/** The hand on the screen, and a diagram on a sheet; mm. */
const PICTURES = [
  { widthMm: 100, heightMm: 52, numberMm: 4.4 },
  { widthMm: 38, heightMm: 26, numberMm: 2.6 },
]

function numbersIn(id: string, picture: (typeof PICTURES)[number], atStep: (last: number) => number) {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  const guide = practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160)
  const done = workAlone({ id: 'e', name: 'Test', stitch: id, guide, strands: 2 }, around)
  if (!done.ok) throw new Error(sentenceOf(done.problems))
  const { assigned } = done.value
  const shown = demonstrate({ document: assigned.document, parameters: assigned.parameters, materials: assigned.materials, hand: 'right' })
  if (!shown.ok) throw new Error(sentenceOf(shown.problems))
  const { steps } = shown.value
  const step = steps[atStep(steps.length - 1)]
  if (!step) throw new Error('no step')
  const { items } = drawStep({ demonstration: shown.value, step, look: lookOf(assigned), detail: 'body', cloth: '#ffffff', ...picture })
  return items.flatMap((item) => (item.kind === 'words' ? [item] : []))
}

describe('numbers of holes', () => {
  it.each(LIBRARY.map((document) => document.id))('%s: none lies on another, none is off the paper', (id) => {
    for (const picture of PICTURES) {
      const { numberMm, widthMm, heightMm } = picture
      const boxes = numbersIn(id, picture, (last) => last).map(({ at, text }) => {
        const half = (text.length * 0.52 * numberMm) / 2
        return { text, left: at.x - half, right: at.x + half, top: at.y - 0.72 * numberMm, bottom: at.y }
      })
      expect(boxes.length).toBeGreaterThan(0)
      // A twentieth of a number's height is not seen.
      const slack = 0.05 * numberMm
      for (const [index, a] of boxes.entries()) {
        expect(a.left >= 0 && a.right <= widthMm && a.top >= 0 && a.bottom <= heightMm, `${a.text} off the paper`).toBe(true)
        for (const b of boxes.slice(index + 1)) {
          const apart = Math.max(b.left - a.right, a.left - b.right, b.top - a.bottom, a.top - b.bottom)
          expect(apart, `${a.text} on ${b.text}`).toBeGreaterThan(-slack)
        }
      }
    }
  })

  it('stand still while the stitch is stepped through', () => {
    for (const id of ['chain-stitch', 'fishbone-stitch', 'woven-wheel']) {
      const [picture] = PICTURES
      if (!picture) throw new Error('no picture')
      const at = (step: (last: number) => number) => new Map(numbersIn(id, picture, step).map(({ text, at }) => [text, at]))
      const early = at((last) => Math.floor(last / 2))
      const late = at((last) => last)
      expect(early.size).toBeGreaterThan(1)
      for (const [text, place] of early) expect(late.get(text)).toEqual(place)
    }
  })
})
