/** Painted once the page is free, unless it was called off; with idle time of the browser, and without. */
import { afterEach, expect, it, vi } from 'vitest'
import { whenFree } from './when-free.ts'

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

it('where the browser tells of idle time it waits for that, at most five seconds', () => {
  const asked = new Map<number, () => void>()
  vi.stubGlobal('requestIdleCallback', (paint: () => void, { timeout }: { timeout: number }) => {
    expect(timeout).toBe(5000)
    asked.set(asked.size + 1, paint)
    return asked.size
  })
  vi.stubGlobal('cancelIdleCallback', (one: number) => asked.delete(one))
  const painted: string[] = []
  whenFree(() => painted.push('rain'))
  const callOff = whenFree(() => painted.push('fog'))
  expect(painted).toEqual([])
  callOff()
  for (const paint of asked.values()) paint()
  expect(painted).toEqual(['rain'])
})

it('where it does not, at the next turn', () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  const painted: string[] = []
  whenFree(() => painted.push('rain'))
  whenFree(() => painted.push('fog'))()
  expect(painted).toEqual([])
  vi.runAllTimers()
  expect(painted).toEqual(['rain'])
})
