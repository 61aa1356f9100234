import { handlesOf } from '@lemmata/core/guide'
import { describe, expect, it } from 'vitest'
import { guideAfterKey } from './places-in-hand.ts'
import { pressedTwice } from './pressed-twice.ts'

const at = (timeStamp: number, clientX = 100) => ({ timeStamp, clientX, clientY: 80 })

describe('pressed twice', () => {
  it('is the second press on one pin, soon after the first, and not the third', () => {
    const twice = pressedTwice(4)
    expect(twice.press('end', at(0))).toBe(false)
    expect(twice.press('end', at(200))).toBe(true)
    expect(twice.press('end', at(300))).toBe(false)
    expect(twice.press('end', at(900))).toBe(false)
    expect(twice.press('start', at(950))).toBe(false)
  })

  it('is not a drag that is followed by another', () => {
    const twice = pressedTwice(4)
    twice.press('end', at(0))
    twice.move(at(50, 102))
    expect(twice.press('end', at(100)), 'a hand that trembles').toBe(true)
    twice.press('end', at(1000))
    twice.move(at(1050, 140))
    expect(twice.press('end', at(1100))).toBe(false)
  })
})

describe('a key on a pin', () => {
  const guide = { kind: 'line', path: 'M0 0 L40 0' } as const
  const handles = handlesOf(guide)
  const end = handles.find((one) => one.id === 'end')
  if (!end) throw new Error('a line has an end')

  it('moves it by a millimetre, with Shift by a tenth', () => {
    expect(guideAfterKey(guide, end, handles, { key: 'ArrowRight', shiftKey: false })).toMatchObject({ path: 'M0 0L41 0' })
    expect(guideAfterKey(guide, end, handles, { key: 'ArrowUp', shiftKey: true })).toMatchObject({ path: 'M0 0L40-0.1' })
  })

  it('that is for something else is left to it', () => {
    expect(guideAfterKey(guide, end, handles, { key: 'Tab', shiftKey: false })).toBeUndefined()
  })

  it('takes away no place of a line that has only its ends', () => {
    expect(guideAfterKey(guide, end, handles, { key: 'Delete', shiftKey: false })).toBeNull()
  })
})
