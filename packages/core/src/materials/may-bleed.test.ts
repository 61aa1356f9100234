import { describe, expect, it } from 'vitest'
import { mayBleed } from './index.ts'

describe('colours to test before soaking', () => {
  it.each([
    ['indigo', '#2B3F77', true],
    ['madder', '#9E2B25', true],
    ['black', '#111111', true],
    ['a full red', '#D0312D', true],
    ['white', '#FFFFFF', false],
    ['straw', '#E8D8A0', false],
    ['pale rose', '#E8B4B8', false],
    ['sky', '#9CC3DD', false],
  ])('%s', (_name, hex, isDeep) => {
    expect(mayBleed(hex)).toBe(isDeep)
  })
})
