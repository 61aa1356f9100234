// @vitest-environment jsdom
/** What is done while the page is left alone: begun late, stopped by a touch, begun again. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { whileQuiet } from './while-quiet.ts'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

it('begins when nobody has touched the page for a while, and stops at a touch', () => {
  const said: string[] = []
  const end = whileQuiet(() => {
    said.push('begun')
    return () => said.push('stopped')
  })
  vi.advanceTimersByTime(2000)
  window.dispatchEvent(new Event('pointermove'))
  vi.advanceTimersByTime(2000)
  expect(said).toEqual([])
  vi.advanceTimersByTime(600)
  expect(said).toEqual(['begun'])
  window.dispatchEvent(new Event('keydown'))
  expect(said).toEqual(['begun', 'stopped'])
  vi.advanceTimersByTime(3000)
  end()
  expect(said).toEqual(['begun', 'stopped', 'begun', 'stopped'])
  vi.advanceTimersByTime(9000)
  expect(said).toHaveLength(4)
})
