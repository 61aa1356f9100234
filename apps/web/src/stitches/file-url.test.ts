/** One address for a file as long as anybody shows it. */
import { afterEach, expect, it, vi } from 'vitest'
import { holdUrl } from './file-url.ts'

afterEach(() => void vi.restoreAllMocks())

it('is one for all who show it, and given back by the last of them', () => {
  const given = vi.spyOn(URL, 'revokeObjectURL')
  const [rain, mist] = [new Blob(['rain']), new Blob(['mist'])]
  const [first, second, other] = [holdUrl(rain), holdUrl(rain), holdUrl(mist)]
  expect(second.url).toBe(first.url)
  expect(other.url).not.toBe(first.url)
  first.release()
  expect(given).not.toHaveBeenCalled()
  second.release()
  expect(given.mock.calls).toEqual([[first.url]])
  const again = holdUrl(rain)
  expect(again.url).not.toBe(first.url)
  again.release()
  other.release()
})
