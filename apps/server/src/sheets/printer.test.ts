/** The printing worker: jobs by turns, each told how far it is; one that is stopped holds up no other. */
import { bandSampler } from '@lemmata/contract/testing'
import { afterAll, expect, it } from 'vitest'
import { print, type PrintJob, stopPrinting } from './printer.ts'

const job: Omit<PrintJob, 'id'> = {
  ...{ document: bandSampler('2026-11-23'), page: 'a4', hand: undefined, learner: undefined, barMm: undefined, patternPage: undefined },
  ...{ as: { kind: 'sheet', lesson: undefined }, made: '2026-11-23T10:00:00Z' },
}
afterAll(stopPrinting)

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
  const stopped = print('ada', job, {
    signal: stop.signal,
    onShare: (share) => {
      shares.push(share)
      if (share > 0) stop.abort()
    },
  })
  const other = print('ben', job)
  await expect(stopped).rejects.toMatchObject({ code: 'print.stopped' })
  expect((await other).byteLength).toBeGreaterThan(10_000)
  expect(shares.at(-1)).toBeLessThan(0.5)
  await expect(print('ada', job, { signal: AbortSignal.abort() })).rejects.toMatchObject({ code: 'print.stopped' })
})

it('serves accounts in turn: who has ordered many holds up nobody else, and cannot order without end', async () => {
  const order: string[] = []
  const ordered = (account: string): Promise<unknown> => print(account, job).then(() => order.push(account))
  const many = Array.from({ length: 5 }, () => ordered('ada'))
  await expect(print('ada', job)).rejects.toMatchObject({ status: 429, code: 'print.too-many' })
  await Promise.all([...many, ordered('ben')])
  expect(order.indexOf('ben')).toBeLessThan(3)
  expect(order).toHaveLength(6)
})

it('a job that fails is told so, and no other hears of it', async () => {
  const broken = { ...job, made: 'not a date', as: { kind: 'sheet' as const, lesson: undefined } }
  const [lost, other] = await Promise.allSettled([print('ada', broken), print('ben', job)])
  expect(lost.status).toBe('rejected')
  expect(other.status).toBe('fulfilled')
})
