/** Hole numbers in the pictures of every stitch: none on another, none off the paper, each nearest to its hole or led to it. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { contrast } from '../materials/index.ts'
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

type Numbers = readonly { readonly text: string; readonly at: { readonly x: number; readonly y: number } }[]

/** The numbers in each picture of a stitch, and which pictures share a frame. */
function numbersIn(id: string, picture: (typeof PICTURES)[number], cloth = '#ffffff') {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  const guide = practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160)
  const done = workAlone({ id: 'e', name: 'Test', stitch: id, guide, strands: 2 }, around)
  if (!done.ok) throw new Error(sentenceOf(done.problems))
  const { assigned } = done.value
  const shown = demonstrate({ document: assigned.document, parameters: assigned.parameters, materials: assigned.materials, hand: 'right' })
  if (!shown.ok) throw new Error(sentenceOf(shown.problems))
  return shown.value.steps.map((step) => {
    const { items } = drawStep({ demonstration: shown.value, step, look: lookOf(assigned), detail: 'body', cloth, ...picture })
    const all = items.flatMap((one) => (one.kind === 'clipped' ? one.items : [one]))
    const numbers: Numbers = all.flatMap((item) => (item.kind === 'words' ? [item] : []))
    return { view: step.view, numbers, items: all }
  })
}

describe('on any cloth', () => {
  it.each(['#ffffff', '#F1EADB', '#1E2A44', '#101010', '#7d8891', '#A62B2A'])('%s: numbers, their holes and what is drawn are seen', (cloth) => {
    const [picture] = PICTURES as [(typeof PICTURES)[number]]
    const items = numbersIn('back-stitch', picture, cloth).flatMap((one) => one.items)
    const words = items.flatMap((item) => (item.kind === 'words' ? [item.colour] : []))
    // Where numbers point; the dark of a thread's own hole is its shadow.
    const spots = items.flatMap((item) => (item.kind === 'disc' && item.fill !== undefined && item.fill !== '#3A2D1E' ? [item.fill] : []))
    expect([words.length > 0, spots.length > 0]).toEqual([true, true])
    for (const colour of new Set(words)) expect(contrast(colour, cloth), colour).toBeGreaterThanOrEqual(4.5)
    for (const colour of new Set(spots)) expect(contrast(colour, cloth), colour).toBeGreaterThanOrEqual(3)
  })
})

describe('numbers of holes', () => {
  it.each(LIBRARY.map((document) => document.id))('%s: none lies on another, none is off the paper', (id) => {
    for (const picture of PICTURES) {
      const { numberMm, widthMm, heightMm } = picture
      const pictures = numbersIn(id, picture)
      for (const [step, { numbers }] of pictures.entries()) {
        const boxes = numbers.map(({ at, text }) => {
          const half = (text.length * 0.52 * numberMm) / 2
          return { text, left: at.x - half, right: at.x + half, top: at.y - 0.72 * numberMm, bottom: at.y }
        })
        // A twentieth of a number's height is not seen.
        const slack = 0.05 * numberMm
        for (const [index, a] of boxes.entries()) {
          expect(a.left >= 0 && a.right <= widthMm && a.top >= 0 && a.bottom <= heightMm, `step ${step + 1}: ${a.text} off the paper`).toBe(true)
          for (const b of boxes.slice(index + 1)) {
            const apart = Math.max(b.left - a.right, a.left - b.right, b.top - a.bottom, a.top - b.bottom)
            expect(apart, `step ${step + 1}: ${a.text} on ${b.text}`).toBeGreaterThan(-slack)
          }
        }
      }
      expect(pictures.some(({ numbers }) => numbers.length > 0)).toBe(true)
    }
  })

  it('stand still while the stitch is stepped through in one frame', () => {
    for (const id of ['chain-stitch', 'fishbone-stitch', 'woven-wheel']) {
      const places = new Map<string, unknown>()
      for (const { view, numbers } of numbersIn(id, PICTURES[0] as (typeof PICTURES)[number]))
        for (const { text, at } of numbers) {
          const key = `${view} ${text}`
          if (places.has(key)) expect(at, `${id}, ${key}`).toEqual(places.get(key))
          else places.set(key, at)
        }
      expect(places.size).toBeGreaterThan(2)
    }
  })
})
