/** Saving: when edits are sent, in what company, and what becomes of each answer. Against a server in memory that writes as the real one does. */
import { applySamplerOperations, type SamplerAnswer, type SentOperation, type WrittenAnswer } from '@lemmata/contract'
import { bandSampler } from '@lemmata/contract/testing'
import type { Operation, Sampler } from '@lemmata/core/sampler'
import { configureStore, createListenerMiddleware, type ThunkDispatch, type TypedStartListening, type UnknownAction } from '@reduxjs/toolkit'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiError, ConnectionLost } from '../api/client.ts'
import { acknowledged, connectionLost, edited, rebased, samplerOpened, samplerReducer, type SamplerState, sendingBegan, sessionLost } from './sampler.ts'
import { SEND_NOW, startSaving } from './saver.ts'

interface Saved {
  readonly sampler: SamplerState
}
const document = bandSampler('2026-11-23')

/** Writes what it is sent, and answers as it is told to. */
function makePage() {
  let stored: Sampler = document
  let revision = 1
  const requests: { readonly base: number; readonly operations: readonly SentOperation[] }[] = []
  const answers: ((operations: readonly SentOperation[]) => Promise<WrittenAnswer> | null)[] = []
  const write = (operations: readonly SentOperation[]): WrittenAnswer => {
    const done = applySamplerOperations(stored, operations)
    stored = done.document
    revision += 1
    return { revision, refused: done.refused }
  }
  const listeners = createListenerMiddleware<Saved>()
  const store = configureStore({
    reducer: { sampler: samplerReducer },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).prepend(listeners.middleware),
  })
  startSaving(listeners.startListening as TypedStartListening<Saved, ThunkDispatch<Saved, unknown, UnknownAction>>, {
    keyOf: (id) => `test/${id}`,
    open: (state) => state.sampler.open,
    send: async (_id, base, operations) => {
      requests.push({ base, operations })
      return answers.shift()?.(operations) ?? write(operations)
    },
    staleCode: 'sampler.stale',
    began: sendingBegan,
    acknowledged,
    rebased: (answer, applied) => rebased({ answer: { printedRevision: null, ...answer }, applied }),
    connectionLost,
    sessionLost,
  })
  const answer = (): SamplerAnswer => ({ id: 's1', revision, document: stored, printedRevision: null })
  store.dispatch(samplerOpened({ answer: answer(), pending: [] }))
  let turn = 0
  const edit = (operation: Operation): string => {
    turn += 1
    const id = `op${turn}`
    store.dispatch(edited({ id, operation, way: 'do', turn }))
    return id
  }
  return {
    store,
    edit,
    requests,
    write,
    next: (answer: (operations: readonly SentOperation[]) => Promise<WrittenAnswer>) => void answers.push(answer),
    open: () => store.getState().sampler.open,
    notice: () => store.getState().sampler.notice?.text ?? '',
    stored: () => stored,
    revision: () => revision,
    sent: () => requests.map((one) => one.operations.map((operation) => operation.id)),
  }
}
const rename = (name: string): Operation => ({ kind: 'rename', name })
const title = (id: string, name: string): Operation => ({ kind: 'change-exercise', id, set: { name } })

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())
const wait = (ms: number) => vi.advanceTimersByTimeAsync(ms)

describe('saving', () => {
  it('sends what was edited within half a second in one request, and not before', async () => {
    const page = makePage()
    page.edit(rename('Fog'))
    await wait(300)
    page.edit(title('e1', 'Drizzle'))
    await wait(199)
    expect(page.requests).toEqual([])
    expect(page.open()?.status).toBe('waiting')
    await wait(1)
    expect(page.sent()).toEqual([['op1', 'op2']])
    expect(page.open()).toMatchObject({ status: 'saved', pending: [], revision: 2 })
    expect(page.stored().name).toBe('Fog')
  })

  it('keeps what is edited while a request is on its way, and sends it with the next, based on the new revision', async () => {
    const page = makePage()
    page.edit(rename('Fog'))
    page.next(
      (operations) =>
        new Promise((resolve) => {
          setTimeout(() => resolve(page.write(operations)), 2000)
        }),
    )
    await wait(600)
    page.edit(rename('Mist'))
    expect(page.open()?.document.name).toBe('Mist')
    await wait(3000)
    expect(page.requests.map((one) => one.base)).toEqual([1, 2])
    expect(page.stored().name).toBe('Mist')
    expect(page.open()?.status).toBe('saved')
  })

  it('waits for a lost connection longer and longer, up to a quarter of a minute, and is woken at once when it is back', async () => {
    const page = makePage()
    for (let time = 0; time < 8; time += 1) page.next(() => Promise.reject(new ConnectionLost()))
    page.edit(rename('Fog'))
    const waits: number[] = []
    for (let elapsed = 0, before = 0; page.requests.length < 7; elapsed += 100) {
      await wait(100)
      if (page.requests.length > waits.length) {
        waits.push(elapsed - before)
        before = elapsed
      }
    }
    expect(waits.map((ms) => Math.round(ms / 1000))).toEqual([0, 1, 2, 4, 8, 15, 15])
    expect(page.open()).toMatchObject({ status: 'offline', pending: [{ id: 'op1' }] })
    expect(page.open()?.document.name).toBe('Fog')
    page.store.dispatch({ type: SEND_NOW })
    await wait(0)
    expect(page.requests.length).toBe(8)
    page.store.dispatch({ type: SEND_NOW })
    await wait(0)
    expect(page.stored().name).toBe('Fog')
    expect(page.open()?.status).toBe('saved')
  })

  it('drops one refused edit alone, says which, and keeps the others and their ways back', async () => {
    const page = makePage()
    page.edit(rename('Fog'))
    page.edit(title('e1', 'Drizzle'))
    // Another tab has taken the exercise off meanwhile.
    page.next((operations) => {
      page.write([{ id: 'other', operation: { kind: 'remove-exercise', id: 'e1' } }])
      return Promise.resolve(page.write(operations))
    })
    await wait(500)
    expect(page.open()?.document.name).toBe('Fog')
    expect(page.notice()).toMatch(/could not be kept: The exercise "e1" is no longer in this sampler/)
    expect(page.open()?.undo.map((one) => one.id)).toEqual(['op1'])
  })

  it('finds the one that a whole request was refused for by sending each alone, and goes on together after it', async () => {
    const page = makePage()
    const isTooLarge = (operations: readonly SentOperation[]): boolean => operations.some((one) => one.id === 'op2')
    const judge = (operations: readonly SentOperation[]): Promise<WrittenAnswer> =>
      isTooLarge(operations) ? Promise.reject(new ApiError(413, 'body.too-large', 'This is larger than 4 MB.', {})) : Promise.resolve(page.write(operations))
    for (let time = 0; time < 6; time += 1) page.next(judge)
    for (const name of ['One', 'Two', 'Three', 'Four']) page.edit(title('e2', name))
    await wait(500)
    expect(page.sent().slice(0, 3)).toEqual([['op1', 'op2', 'op3', 'op4'], ['op1'], ['op2', 'op3', 'op4']])
    expect(page.open()).toMatchObject({ status: 'saved', pending: [] })
    expect(page.notice()).toMatch(/larger than 4 MB/)
    expect(page.stored().exercises.find((one) => one.id === 'e2')?.name).toBe('Four')
  })

  it('lays its edits upon what another has written, and sends them once more', async () => {
    const page = makePage()
    page.edit(title('e1', 'Drizzle'))
    page.next(() => {
      page.write([{ id: 'other', operation: rename('Theirs') }])
      const current: SamplerAnswer = { id: 's1', revision: page.revision(), document: page.stored(), printedRevision: null }
      return Promise.reject(new ApiError(409, 'sampler.stale', 'Someone was quicker.', { current, applied: [] }))
    })
    await wait(500)
    expect(page.requests.map((one) => one.base)).toEqual([1, 2])
    expect(page.stored()).toMatchObject({ name: 'Theirs' })
    expect(page.stored().exercises.find((one) => one.id === 'e1')?.name).toBe('Drizzle')
    expect(page.open()?.document).toEqual(page.stored())
  })

  it('stops where the session is over, and keeps what waits', async () => {
    const page = makePage()
    page.next(() => Promise.reject(new ApiError(401, 'session.none', 'You are not signed in.', {})))
    page.edit(rename('Fog'))
    await wait(60_000)
    expect(page.requests.length).toBe(1)
    expect(page.open()).toMatchObject({ status: 'signed-out', pending: [{ id: 'op1' }] })
  })

  it('an answer for a document that is no longer open touches nothing of the one that is', async () => {
    const page = makePage()
    page.edit(rename('Fog'))
    page.next(
      (operations) =>
        new Promise((resolve) => {
          setTimeout(() => resolve(page.write(operations)), 1000)
        }),
    )
    await wait(600)
    page.store.dispatch(samplerOpened({ answer: { id: 's2', revision: 7, document, printedRevision: null }, pending: [] }))
    await wait(2000)
    expect(page.open()).toMatchObject({ id: 's2', revision: 7, status: 'saved' })
    expect(page.open()?.document.name).toBe(document.name)
  })
})
