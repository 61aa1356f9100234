/** The printing worker: jobs by turns, each told how far it is; one that is stopped holds up no other. */
import { bandSampler } from '@lemmata/contract/testing'
import { afterAll, expect, it } from 'vitest'
import { makePrinter, print, type PrintJob, stopPrinting } from './printer.ts'

const job: Omit<PrintJob, 'id'> = {
  ...{ document: bandSampler('2026-11-23'), page: 'a4', hand: undefined, learner: undefined, barMm: undefined, patternPage: undefined },
  ...{ as: { kind: 'sheet', lesson: undefined }, made: '2026-11-23T10:00:00Z' },
}
afterAll(stopPrinting)
/** Of another bar each time: what was made once is kept. */
let ordered = 0
const another = (): Omit<PrintJob, 'id'> => ({ ...job, barMm: 100 + (ordered += 0.01) })

it('tells how far it is, from nothing to all', async () => {
  const shares: number[] = []
  const pdf = await print('ada', job, { onShare: (share) => shares.push(share) })
  expect(pdf.byteLength).toBeGreaterThan(10_000)
  expect([shares[0], shares.at(-1)]).toEqual([0, 1])
  expect(shares).toEqual([...shares].sort((a, b) => a - b))
})

it('stopped in the middle it says so at once, makes no further page, and another goes on', async () => {
  const stop = new AbortController()
  const shares: number[] = []
  const stopped = print('ada', another(), {
    signal: stop.signal,
    onShare: (share) => {
      shares.push(share)
      if (share > 0) stop.abort()
    },
  })
  const other = print('ben', another())
  await expect(stopped).rejects.toMatchObject({ code: 'print.stopped' })
  expect((await other).byteLength).toBeGreaterThan(10_000)
  expect(shares.at(-1)).toBeLessThan(0.5)
  await expect(print('ada', job, { signal: AbortSignal.abort() })).rejects.toMatchObject({ code: 'print.stopped' })
})

it('serves accounts in turn: who has ordered many holds up nobody else, and cannot order without end', async () => {
  const order: string[] = []
  const printed = (account: string): Promise<unknown> => print(account, another()).then(() => order.push(account))
  const many = Array.from({ length: 5 }, () => printed('ada'))
  await expect(print('ada', another())).rejects.toMatchObject({ status: 429, code: 'print.too-many' })
  await Promise.all([...many, printed('ben')])
  expect(order.indexOf('ben')).toBeLessThan(3)
  expect(order).toHaveLength(6)
})

it('a job that fails is told so, and no other hears of it', async () => {
  const broken = { ...job, made: 'not a date', as: { kind: 'sheet' as const, lesson: undefined } }
  const [lost, other] = await Promise.allSettled([print('ada', broken), print('ben', another())])
  expect(lost.status).toBe('rejected')
  expect(other.status).toBe('fulfilled')
})

it('what was made is kept by what it was made of: the same again at once, also by another; anything else is made', async () => {
  const one = another()
  const first = await print('ada', one)
  const shares: number[] = []
  const again = await print('ben', { ...one, made: '2026-11-23T17:30:00Z' }, { onShare: (share) => shares.push(share) })
  expect(again).toBe(first)
  expect(shares).toEqual([])
  const nextDay = await print('ben', { ...one, made: '2026-11-24T10:00:00Z' }, { onShare: (share) => shares.push(share) })
  expect(nextDay).not.toBe(first)
  expect(shares.at(-1)).toBe(1)
})

it('what takes too long or too much is ended and said, and its worker is made anew for the next', async () => {
  const hurried = makePrinter({ longestMs: 30, mostMemoryMb: 500 })
  const narrow = makePrinter({ longestMs: 30_000, mostMemoryMb: 8 })
  await expect(hurried.print('ada', another())).rejects.toMatchObject({ status: 422, code: 'print.too-long' })
  await expect(hurried.print('ada', another())).rejects.toMatchObject({ code: 'print.too-long' })
  await expect(narrow.print('ada', another())).rejects.toMatchObject({ status: 422, code: 'print.too-large' })
  expect([hurried.printing(), narrow.printing()]).toEqual(Array(2).fill({ making: 0, waiting: 0 }))
  await Promise.all([hurried.stop(), narrow.stop()])
})
