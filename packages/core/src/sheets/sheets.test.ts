/** Sheets as layout: nothing runs off the paper, everything that must be said is there. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { contentArea, letterOf, makeSheets, type MeasureText, PAGE_SIZES, wrapText } from './index.ts'
import { layShort, sentenceOf, type ShortExercise, workAlone } from '../testing/index.ts'

/** A face whose every letter is half as wide as high. */
const measure: MeasureText = (text, sizeMm) => text.length * sizeMm * 0.5

const exercises: ShortExercise[] = LIBRARY.map((document, index) => ({
  id: `e${index}`,
  name: document.name,
  stitch: document.id,
  guide: practiceGuide(document.practice ?? practiceFor(document), 155, 40 + index * 7, 150),
}))
const sampler: Sampler = { ...newSampler('Whole library'), exercises: exercises.map((one) => layShort(one).exercise) }
const done = exercises.map((exercise) => {
  const result = workAlone(exercise, surroundingsOf(sampler))
  if (!result.ok) throw new Error(sentenceOf(result.problems))
  return result.value
})

describe.each(['a4', 'letter'] as const)('the whole library on %s', (page) => {
  const pages = makeSheets({ sampler, exercises: done, title: 'All', page, hand: 'right', measure })
  const { widthMm, heightMm } = PAGE_SIZES[page]

  it('keeps every word on the paper', () => {
    for (const one of pages) {
      for (const item of one.layers.flatMap((layer) => (layer.clip ? [] : layer.items))) {
        if (item.kind !== 'words') continue
        const width = measure(item.text, item.sizeMm, item.face)
        const left = item.align === 'right' ? item.at.x - width : item.align === 'middle' ? item.at.x - width / 2 : item.at.x
        expect(left, item.text).toBeGreaterThan(0)
        expect(left + width, item.text).toBeLessThan(widthMm)
        expect(item.at.y).toBeLessThan(heightMm)
      }
    }
  })

  it('keeps every line, hole and thread on the paper, within its margins', () => {
    // A needle may point past its frame, never off the paper. Millions of points: the outermost are told.
    const reach = { left: 99, right: 0, top: 99, bottom: 0, nan: 0 }
    for (const one of pages) {
      for (const item of one.layers.flatMap((layer) => (layer.clip ? [] : layer.items))) {
        const points = item.kind === 'stroke' ? item.paths.flat() : item.kind === 'fill' ? item.points : item.kind === 'disc' ? [item.at] : []
        for (const at of points) {
          if (!Number.isFinite(at.x + at.y)) reach.nan += 1
          reach.left = Math.min(reach.left, at.x)
          reach.right = Math.max(reach.right, at.x)
          reach.top = Math.min(reach.top, at.y)
          reach.bottom = Math.max(reach.bottom, at.y)
        }
      }
    }
    expect(reach.nan).toBe(0)
    expect(reach.left).toBeGreaterThan(6)
    expect(reach.right).toBeLessThan(widthMm - 6)
    expect(reach.top).toBeGreaterThan(6)
    expect(reach.bottom).toBeLessThan(heightMm - 6)
  })

  it('numbers its pages and carries the check bar and square on each', () => {
    for (const [index, one] of pages.entries()) {
      const words = one.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])))
      expect(words.some((text) => text.endsWith(`${index + 1} / ${pages.length}`))).toBe(true)
      expect(words).toContain('50 mm')
      expect(words).toContain('1 inch')
    }
  })

  it('has every exercise in its key, and the text of every block stays above the foot', () => {
    const area = contentArea(PAGE_SIZES[page])
    const body = pages.flatMap((one) => one.layers.filter((layer) => layer.name === 'sheet').flatMap((layer) => layer.items))
    for (const exercise of exercises) expect(body.some((item) => item.kind === 'words' && item.text.startsWith(exercise.name.split(' ')[0] ?? ''))).toBe(true)
    for (const item of body) if (item.kind === 'words') expect(item.at.y).toBeLessThan(area.top + area.heightMm + 0.01)
  })
})

describe('words on lines', () => {
  it('break at spaces, and within a word only where it is wider than the line', () => {
    expect(wrapText('rain on the window', 10, 2, 'text', measure)).toEqual(['rain on', 'the window'])
    expect(wrapText('Antidisestablishment', 5, 2, 'text', measure).every((line) => measure(line, 2, 'text') <= 5)).toBe(true)
    expect(wrapText('  ', 10, 2, 'text', measure)).toEqual([])
  })

  it('letters go on after Z', () => {
    expect([0, 25, 26, 53].map(letterOf)).toEqual(['A', 'Z', 'A2', 'B3'])
  })
})

describe('what a learner may take instead', () => {
  it('what is left free is printed, and nothing where all is as written', () => {
    const first = exercises.find((one) => one.stitch === 'back-stitch') as ShortExercise
    const words = (free: ShortExercise['free']): string => {
      const result = workAlone({ ...first, free }, surroundingsOf(sampler))
      if (!result.ok) throw new Error('not worked')
      return makeSheets({ sampler, exercises: [result.value], title: 'One', page: 'a4', hand: 'right', measure })
        .flatMap((one) => one.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item.text] : []))))
        .join(' ')
    }
    expect(words(['colour', 'strands'])).toContain('Yours to choose: the colour and the number of strands. Everything else is as written.')
    expect(words(undefined)).not.toContain('Yours to choose')
  })

  it('is printed with its own strands, needle and length; what cannot be worked there is not', () => {
    const first = exercises.find((one) => one.stitch === 'back-stitch') as ShortExercise
    const given: ShortExercise = {
      ...first,
      substitutes: [{ stitch: 'chain-stitch', materials: { main: { strands: 3 } }, parameters: { L: 3.5 } }, { stitch: 'satin-stitch' }],
    }
    const result = workAlone(given, surroundingsOf(sampler))
    if (!result.ok) throw new Error('not worked')
    const text = makeSheets({ sampler, exercises: [result.value], title: 'One', page: 'a4', hand: 'right', measure })
      .flatMap((one) => one.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item.text] : []))))
      .join(' ')
    expect(text).toMatch(/Or chain stitch: three strands, .* needle, 3\.\d\d mm; about/)
    expect(text).not.toContain('Or satin stitch')
  })

  it('every pass of a composite has its pictures', () => {
    const result = workAlone(exercises.find((one) => one.stitch === 'whipped-back') as ShortExercise, surroundingsOf(sampler))
    if (!result.ok) throw new Error('not worked')
    const text = makeSheets({ sampler, exercises: [result.value], title: 'One', page: 'a4', hand: 'right', measure })
      .flatMap((one) => one.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item.text] : []))))
      .join(' ')
    expect(text).toContain('Slide the needle')
  })
})

describe('ways of working', () => {
  const words = (ways: Partial<Sampler['brief']['waysOfWorking']>, stitch: string): string => {
    const changed: Sampler = { ...sampler, brief: { ...sampler.brief, waysOfWorking: { ...sampler.brief.waysOfWorking, ...ways } } }
    const exercise = exercises.find((one) => one.stitch === stitch) as ShortExercise
    const result = workAlone(exercise, surroundingsOf(changed))
    if (!result.ok) throw new Error('not worked')
    const pages = makeSheets({ sampler: changed, exercises: [result.value], title: 'One', page: 'a4', hand: 'right', measure })
    return pages.flatMap((one) => one.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item.text] : [])))).join(' ')
  }

  it('are said on the sheet as the teacher chose them', () => {
    expect(words({ threadStart: 'knot-behind', threadEnd: 'loop-knots' }, 'back-stitch')).toMatch(/Begin with a knot behind; to end, make two small loop knots/)
    expect(words({ threadStart: 'caught-tail' }, 'back-stitch')).toContain('a tail of 5 cm')
    expect(words({ satinOutline: 'after' }, 'satin-stitch')).toContain('Outline the shape when it is filled.')
    expect(words({ satinOutline: 'none' }, 'satin-stitch')).not.toContain('Outline the shape')
    expect(words({ satinOutline: 'after' }, 'back-stitch')).not.toContain('Outline the shape')
  })
})
