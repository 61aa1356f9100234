// @vitest-environment jsdom
/** What the Brief makes of what is typed and chosen: one operation each, read back from the document. */
import { bandSampler } from '@lemmata/contract/testing'
import type { Sampler } from '@lemmata/core/sampler'
import { fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { choose, closePage, openPage, type } from '../testing/page.tsx'
import { BriefStage } from './BriefStage.tsx'

const demo = bandSampler('2026-12-03')
const open = (change: Partial<Sampler> = {}) => openPage({ ...demo, ...change }, <BriefStage />)
afterEach(closePage)

describe('the course', () => {
  it('keeps a number when the field is left, and nothing while it is typed', () => {
    const page = open()
    fireEvent.focus(screen.getByLabelText('Learners'))
    fireEvent.change(screen.getByLabelText('Learners'), { target: { value: '14' } })
    expect(page.document().brief.learners).toBe(demo.brief.learners)
    fireEvent.blur(screen.getByLabelText('Learners'))
    expect(page.document().brief.learners).toBe(14)
  })

  it('holds a number to what can be: five minutes at the least, two hundred lessons at the most', () => {
    const page = open()
    type('Minutes in a lesson', '2')
    expect(page.document().brief.lessonMinutes).toBe(5)
    type('Lessons', '900')
    expect(page.document().brief.lessons).toBe(200)
    // Shown is what is kept.
    expect(screen.getByLabelText<HTMLInputElement>('Lessons').value).toBe('200')
    type('Lessons', '')
    expect(page.document().brief.lessons).toBe(200)
  })

  it('no wished number of lessons is none, not nought', () => {
    const page = open({ brief: { ...demo.brief, lessons: 6 } })
    type('Lessons', '0')
    expect(page.document().brief).not.toHaveProperty('lessons')
    expect(screen.getByText('as few as the minutes need')).toBeTruthy()
  })

  it('says that more are left-handed than there are', () => {
    open({ brief: { ...demo.brief, learners: 3, leftHanded: 4 } })
    expect(screen.getByText('more than there are learners')).toBeTruthy()
  })

  it('an emptied purpose is forgotten, blanks round another are cut', () => {
    const page = open({ brief: { ...demo.brief, purpose: 'Before' } })
    type('What it is for', '  A first winter course ')
    expect(page.document().brief.purpose).toBe('A first winter course')
    type('What it is for', '   ')
    expect(page.document().brief).not.toHaveProperty('purpose')
  })

  it('the level is chosen by its words', async () => {
    const page = open()
    await choose('The learners are', 'Experienced')
    expect(page.document().brief.level).toBe('experienced')
  })

  it('inches are shown in every length, and what is typed in them is kept in millimetres', () => {
    const page = open()
    fireEvent.click(screen.getByLabelText('inches'))
    expect(page.document().units).toBe('in')
    type('Width', '10 1/2')
    expect(page.document().cloth.widthMm).toBeCloseTo(266.7, 6)
  })
})

describe('cloth and hoop', () => {
  it('another cloth brings its own count and thickness, and keeps its size', async () => {
    const page = open()
    const { widthMm, heightMm } = demo.cloth
    await choose('Cloth', /evenweave/i)
    const { cloth } = page.document()
    expect(cloth.kind).not.toBe(demo.cloth.kind)
    expect([cloth.widthMm, cloth.heightMm]).toEqual([widthMm, heightMm])
    expect(cloth.threadsPerCm).toBeGreaterThan(0)
    expect(screen.getByText(/^one thread each 0\.\d\d mm$/)).toBeTruthy()
  })

  it('a length that is none is said and not kept; Escape puts back what was there', () => {
    const page = open()
    type('Width', 'as wide as can be')
    expect(screen.getByText('Type a length such as 3.5')).toBeTruthy()
    type('Width', '5')
    expect(screen.getByText(/^Between 20.0 mm and 3000.0 mm$/)).toBeTruthy()
    expect(page.document().cloth.widthMm).toBe(demo.cloth.widthMm)
    fireEvent.keyDown(screen.getByLabelText('Width'), { key: 'Escape' })
    expect(screen.queryByText(/^Between/)).toBeNull()
  })

  it('a hoop stands where the last stood, or in the middle of the cloth; none can be chosen', async () => {
    const page = open()
    fireEvent.click(screen.getByText('No hoop'))
    expect(page.document().workingHoop).toBeUndefined()
    fireEvent.click(screen.getByText('Round hoop'))
    await choose('Working hoop', /^10 in/)
    expect(page.document().workingHoop).toMatchObject({ shape: 'round', at: [demo.cloth.widthMm / 2, demo.cloth.heightMm / 2] })
  })
})

describe('threads', () => {
  it('one is added at the end, renamed when its field is left, and of another kind when chosen', async () => {
    const page = open()
    const before = demo.threads.length
    fireEvent.click(screen.getByText('Add a thread'))
    expect(page.document().threads.length).toBe(before + 1)
    type(`Colour of thread ${before + 1}`, 'Drizzle grey')
    expect(page.document().threads.at(-1)?.colour.name).toBe('Drizzle grey')
    type(`Colour of thread ${before + 1}`, '   ')
    expect(page.document().threads.at(-1)?.colour.name).toBe('Drizzle grey')
    await choose(`Kind of thread ${before + 1}`, /^Pearl cotton 8/i)
    expect(page.document().threads.at(-1)).toMatchObject({ kind: 'pearl-cotton', weight: '8' })
    await choose(`Kind of thread ${before + 1}`, /^Stranded cotton/i)
    expect(page.document().threads.at(-1)).not.toHaveProperty('weight')
  })

  it('one in use is not removed, and that is said with who uses it', () => {
    const page = open()
    const used = demo.threads.find((thread) =>
      demo.exercises.some((exercise) => Object.values(exercise.materials ?? {}).some((one) => one?.thread === thread.id)),
    )
    if (!used) throw new Error('no thread is in use')
    fireEvent.click(screen.getByLabelText(`Remove ${used.colour.name}`))
    expect(page.document().threads.map((one) => one.id)).toContain(used.id)
    expect(page.notice()).toMatch(/is used by|uses it|in use/i)
  })
})

describe('ways of working', () => {
  it('a choice is kept and its reason shown', async () => {
    const page = open()
    await choose('Splitting the stitch', 'From above, on the way down')
    expect(page.document().brief.waysOfWorking.split).toBe('from-above')
    expect(screen.getByText(/You see what you split/)).toBeTruthy()
  })
})
