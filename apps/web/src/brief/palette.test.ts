/** Colours for threads: each its own, and never one that is there already. */
import { describe, expect, it } from 'vitest'
import { nextColour, PALETTE } from './palette.ts'

describe('the palette', () => {
  it('has each colour and each name once', () => {
    expect(new Set(PALETTE.map((one) => one.hex)).size).toBe(PALETTE.length)
    expect(new Set(PALETTE.map((one) => one.name)).size).toBe(PALETTE.length)
  })

  it('gives a thread a colour that no other has, as long as there are any', () => {
    const threads: { colour: (typeof PALETTE)[number] }[] = []
    for (let index = 0; index < PALETTE.length; index += 1) threads.push({ colour: nextColour(threads) })
    expect(new Set(threads.map((one) => one.colour.hex)).size).toBe(PALETTE.length)
    expect(PALETTE).toContainEqual(nextColour(threads))
  })

  it('knows a colour in capitals or not', () => {
    expect(nextColour([{ colour: { name: 'mine', hex: '#2f6496' } }])).toEqual(PALETTE[1])
  })
})
