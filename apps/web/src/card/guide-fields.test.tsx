// @vitest-environment jsdom
/** Places typed in figures, sizes that a guide measures, and the knots where something is wrong on the cloth. */
import type { Guide } from '@lemmata/core/guide'
import { newSampler, type Sampler } from '@lemmata/core/sampler'
import { fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { useWorked } from '../compute/use-worked.ts'
import { useSampler } from '../sampler/use-sampler.ts'
import { closePage, openPage } from '../testing/page.tsx'
import { Cautions } from '../cloth/Cautions.tsx'
import { GuideFields } from './GuideFields.tsx'

afterEach(closePage)

const { workingHoop: _hoop, ...base } = newSampler('Cloth')
const samplerWith = (guide: Guide, stitch = 'back-stitch', more: Partial<Sampler> = {}): Sampler => ({
  ...base,
  units: 'mm',
  drawing: { groups: [], guides: [{ id: 'g1', name: 'Gust', guide }] },
  exercises: [{ id: 'e1', name: 'Gust', stitch, on: [{ guide: 'g1' }] }],
  lessons: [{ id: 'l1', title: 'One', exercises: ['e1'] }],
  ...more,
})

function Fields() {
  const { drawing, units } = useSampler()
  const [drawn] = drawing.guides
  return drawn ? <GuideFields drawn={drawn} unit={units} /> : null
}

const chosen: string[] = []
function Knots({ mirroredMm }: { mirroredMm: number | null }) {
  const sampler = useSampler()
  const { done } = useWorked()
  return (
    <svg>
      <Cautions sampler={sampler} done={done} view={{ scale: 2, x: 0, y: 0 }} mirroredMm={mirroredMm} onSelect={(id: string) => chosen.push(id)} />
    </svg>
  )
}

const type = (label: string, text: string, key = 'Enter'): void => {
  const field = screen.getByLabelText(label)
  fireEvent.change(field, { target: { value: text } })
  fireEvent.keyDown(field, { key, code: key, keyCode: key === 'Enter' ? 13 : 27 })
}
const guideNow = (page: ReturnType<typeof openPage>): Guide | undefined => page.document().drawing.guides[0]?.guide

describe('places', () => {
  it('of a line are those of its ends; one that is typed moves that end alone', () => {
    const page = openPage(samplerWith({ kind: 'line', path: 'M 40 60 L 140 60' }), <Fields />)
    expect(screen.getByLabelText<HTMLInputElement>('Start, from the left edge, in mm').value).toBe('40.0')
    type('End, from the top edge, in mm', '72,5')
    expect(guideNow(page)).toEqual({ kind: 'line', path: 'M40 60L140 72.5' })
  })

  it('half a figure is marked and moves nothing; Escape puts back what was there', () => {
    const page = openPage(samplerWith({ kind: 'line', path: 'M 40 60 L 140 60' }), <Fields />)
    type('Start, from the left edge, in mm', 'left a bit')
    expect(guideNow(page)).toEqual({ kind: 'line', path: 'M 40 60 L 140 60' })
    type('Start, from the left edge, in mm', 'x', 'Escape')
    expect(screen.getByLabelText<HTMLInputElement>('Start, from the left edge, in mm').value).toBe('40.0')
  })

  it('of many spots are those of the first, of pins that of their base, of a shape that of the whole', () => {
    const spots: Guide = {
      kind: 'spots',
      at: [
        [20, 20],
        [30, 20],
        [40, 20],
      ],
    }
    openPage(samplerWith(spots, 'french-knot'), <Fields />)
    expect(screen.getAllByRole('textbox')).toHaveLength(2)
    expect(screen.getByLabelText('First spot, from the left edge, in mm')).toBeTruthy()
    closePage()
    openPage(samplerWith({ kind: 'pins', base: [20, 40], pins: [[20, 30]] }, 'woven-picot'), <Fields />)
    expect(screen.getByLabelText('Base, from the top edge, in mm')).toBeTruthy()
    closePage()
    openPage(samplerWith({ kind: 'shape', path: 'M 60 80 C 75 60 105 60 120 80 C 105 100 75 100 60 80 Z' }, 'satin-stitch'), <Fields />)
    expect(screen.getByLabelText('Middle, from the left edge, in mm')).toBeTruthy()
  })

  it('in inches are typed in inches and kept in millimetres', () => {
    const page = openPage(samplerWith({ kind: 'line', path: 'M 25.4 50.8 L 127 50.8' }, 'back-stitch', { units: 'in' }), <Fields />)
    expect(screen.getByLabelText<HTMLInputElement>('Start, from the left edge, in in').value).toMatch(/^1(\.0+)?$/)
    type('Start, from the left edge, in in', '1 1/2')
    expect(guideNow(page)).toEqual({ kind: 'line', path: 'M38.1 50.8L127 50.8' })
  })
})

describe('knots on the cloth', () => {
  const tight = samplerWith({ kind: 'line', path: 'M 80 80 A 1.6 1.6 0 0 1 83.2 80 A 1.6 1.6 0 0 1 80 80' }, 'back-stitch')
  const wrong: Sampler = { ...tight, exercises: tight.exercises.map((one) => ({ ...one, materials: { main: { strands: 6 } } })) }

  it('say whose they are and why, and choose it by mouse, Enter and Space', () => {
    chosen.length = 0
    openPage(wrong, <Knots mirroredMm={null} />)
    const knot = screen.getByRole('button', { name: /^Caution, Gust: Even at its shortest good length back stitch leaves the line/ })
    expect(knot.getAttribute('tabindex')).toBe('0')
    fireEvent.click(knot)
    fireEvent.keyDown(knot, { key: 'Enter' })
    fireEvent.keyDown(knot, { key: ' ' })
    fireEvent.keyDown(knot, { key: 'a' })
    expect(chosen).toEqual(['e1', 'e1', 'e1'])
  })

  it('lie where the thing is: twice the millimetres at two pixels to one, and mirrored from behind', () => {
    openPage(wrong, <Knots mirroredMm={null} />)
    const placed = (): [number, number] => {
      const [x, y] =
        /translate\(([\d.]+) ([\d.]+)\)/
          .exec(screen.getByRole('button').getAttribute('transform') ?? '')
          ?.slice(1)
          .map(Number) ?? []
      return [x ?? NaN, y ?? NaN]
    }
    const [x, y] = placed()
    expect(Math.abs(x / 2 - 81.6)).toBeLessThan(1.7)
    expect(Math.abs(y / 2 - 80)).toBeLessThan(1.7)
    closePage()
    openPage(wrong, <Knots mirroredMm={200} />)
    expect(placed()[0]).toBeCloseTo(2 * 200 - x, 6)
    expect(placed()[1]).toBeCloseTo(y, 6)
  })

  it('where all is well there is none', () => {
    openPage(samplerWith({ kind: 'line', path: 'M 60 100 H 140' }), <Knots mirroredMm={null} />)
    expect(screen.queryByRole('button')).toBeNull()
  })
})
