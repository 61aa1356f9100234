/** What comes in quick succession: shown seldom, never late, and not after it was dropped. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { showTogether } from './shown-together.ts'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

/** When it was shown, ms after the first came, of something new every 50 ms for two seconds. */
function shownAt(...waits: number[]): readonly number[] {
  const start = performance.now()
  const times: number[] = []
  const together = showTogether(() => times.push(performance.now() - start), ...waits)
  for (let at = 0; at < 2000; at += 50) {
    together.soon()
    vi.advanceTimersByTime(50)
  }
  together.drop()
  vi.advanceTimersByTime(2000)
  return times
}

it('shows the first at once and the rest now and then', () => expect(shownAt()).toEqual([0, 700, 1400]))

it('lets the first wait for those that come soon after it', () => expect(shownAt(120)).toEqual([120, 820, 1520]))

it('leaves the rest longer where nobody looks at it', () => expect(shownAt(120, 1200)).toEqual([120, 1320]))

it('shows now what was to be shown later, once', () => {
  const show = vi.fn()
  const together = showTogether(show, 120)
  together.soon()
  together.now()
  vi.advanceTimersByTime(5000)
  expect(show).toHaveBeenCalledTimes(1)
})
