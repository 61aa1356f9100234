// @vitest-environment jsdom
/** Writing a stitch in sentences: menus say what is there, change it, and what is made is the stitch that was meant. */
import type { StitchDocument } from '@lemmata/core/notation'
import { LIBRARY } from '@lemmata/core/stitches'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { choose } from '../../testing/page.tsx'
import { openWriting } from '../../testing/writing.tsx'

afterEach(cleanup)

function open(id: string) {
  const { kept, first } = openWriting(id)
  const keep = (): StitchDocument => {
    fireEvent.click(screen.getByText('Keep in this sampler'))
    const [document] = kept.splice(0)
    if (!document) throw new Error('not kept')
    return document
  }
  return { keep, first }
}
const says = (): string => document.querySelector('.verdict')?.textContent ?? ''

describe('stitches of the library in sentences', () => {
  it('is read without a formula typed, and is kept as it was', () => {
    // One of each family, and those whose moves are unlike all others.
    const families = new Map(LIBRARY.map((one) => [one.family, one]))
    const rare = LIBRARY.filter((one) => ['bullion-knot', 'cast-on-stitch', 'triple-couching', 'woven-picot', 'long-and-short'].includes(one.id))
    for (const first of new Set([...families.values(), ...rare])) {
      const { keep } = open(first.id)
      expect(says(), first.id).toMatch(/^It can be worked/)
      expect(document.querySelector('textarea'), first.id).toBeNull()
      expect(keep().passes, first.id).toEqual(first.passes)
      cleanup()
    }
  }, 60_000)
})

describe('chain stitch', () => {
  it('reads as its moves do', () => {
    open('chain-stitch')
    expect(screen.getAllByText('Go down at')[0]).toBeTruthy()
    expect(screen.getByText('leaving a loop')).toBeTruthy()
    expect(screen.getByText('inside the loop')).toBeTruthy()
    expect(screen.getByText('along the line, every')).toBeTruthy()
  })

  it('another letter is another place; the one before it is what it was', async () => {
    const { keep } = open('chain-stitch')
    await choose('Repeat, move 2, where', /^C:/)
    expect(keep().passes[0]?.repeat).toMatchObject([{ down: [0, 0] }, { up: ['e', 0], round: 'inside' }])
    await choose('Repeat, move 1, where', /^B:/)
    expect(keep().passes[0]?.repeat).toMatchObject([{ down: ['e', 0] }, { up: ['e', 0] }])
  })

  it('what is said beside is one thing a field: chosen anew it takes the place of the other', async () => {
    const { keep } = open('stem-stitch')
    const up = (): unknown =>
      keep()
        .passes[0]?.repeat.flat()
        .find((move) => 'up' in move)
    expect(up()).toMatchObject({ round: 'right' })
    await choose('Repeat, move 1, and', 'with the thread to the left')
    expect(up()).toMatchObject({ round: 'left' })
  })
})

describe('how the repeats lie', () => {
  it('another length between them, or another way altogether', async () => {
    open('running-stitch')
    const place = (): unknown => {
      fireEvent.click(screen.getByText('As a file'))
      const file = JSON.parse(screen.getByLabelText<HTMLTextAreaElement>('The stitch as a file').value) as StitchDocument
      fireEvent.click(screen.getByText('In sentences'))
      return file.passes[0]?.place
    }
    await choose('Pass 1, every', /^2 × /)
    expect(place()).toMatchObject({ along: { step: ['2*L', 'G'] } })
    await choose('Placement of pass 1', 'once along the whole line')
    expect(place()).toEqual({ whole: true })
    await choose('Placement of pass 1', 'along the line, every')
    expect(place()).toEqual({ along: { step: ['L'] } })
  })
})

describe('lengths', () => {
  it('a number in millimetres takes the place of a formula', () => {
    const { keep } = open('chain-stitch')
    const field = screen.getByLabelText('Loop, usually')
    fireEvent.change(field, { target: { value: '4.5' } })
    fireEvent.blur(field)
    expect(keep().parameters?.L).toMatchObject({ usual: 4.5 })
  })
})
