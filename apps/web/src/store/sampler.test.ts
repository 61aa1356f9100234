/** The open sampler's state: edits, undo, sending, and being overtaken. */
import { error } from '@lemmata/core/base'
import { randomUUID } from 'node:crypto'
import { applySamplerOperations, MOST_BODY_BYTES, type SamplerAnswer } from '@lemmata/contract'
import { anyOperation, bandSampler, editedSampler } from '@lemmata/contract/testing'
import type { Operation, Sampler } from '@lemmata/core/sampler'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { firstBatch } from './saver.ts'
import {
  acknowledged,
  connectionBack,
  connectionLost,
  edited,
  exerciseSelected,
  rebased,
  type SamplerState,
  samplerClosed,
  samplerOpened,
  samplerReducer,
  sendingBegan,
  sessionLost,
} from './sampler.ts'

const document = bandSampler('2026-11-23')
const answer = (change: Partial<SamplerAnswer> = {}): SamplerAnswer => ({ id: 's1', revision: 1, document, printedRevision: null, ...change })
const rename = (name: string): Operation => ({ kind: 'rename', name })
const run = (...actions: Parameters<typeof samplerReducer>[1][]): SamplerState =>
  actions.reduce<SamplerState>((state, action) => samplerReducer(state, action), samplerReducer(undefined, samplerClosed()))
const opened = samplerOpened({ answer: answer(), pending: [] })
const edit = (operation: Operation, way: 'do' | 'undo' | 'redo' = 'do', id: string = randomUUID()) => edited({ operation, id, way, turn: 1 })
const lastOf = (steps: readonly { readonly operation: Operation }[] | undefined): Operation => {
  const step = steps?.at(-1)
  if (!step) throw new Error('no step')
  return step.operation
}
/** The server has written these, but for what it refused. */
const written = (ids: readonly string[], revision: number, refusals: readonly { id: string; message: string }[] = []) =>
  acknowledged({ ids, revision, refused: refusals.map(({ id, message }) => ({ id, problems: [error('operation.refused', [], { said: message })] })) })
const strandsOf = (sampler: Sampler | undefined, id: string): number | undefined => sampler?.exercises.find((one) => one.id === id)?.materials?.main?.strands
const fourStrands: Operation = { kind: 'assign', id: 'e1', role: 'main', set: { strands: 4 } }
const named = (name: string): Sampler => ({ ...document, name })

describe('an edit', () => {
  it('changes the document at once and waits to be sent', () => {
    const { open } = run(opened, edit(rename('Fog')))
    expect(open?.document.name).toBe('Fog')
    expect(open?.pending.length).toBe(1)
    expect(open?.status).toBe('waiting')
  })

  it('that makes no sense is said and changes nothing', () => {
    const state = run(opened, edit({ kind: 'remove-exercise', id: 'nobody' }))
    expect(state.open?.document).toBe(document)
    expect(state.open?.pending).toEqual([])
    expect(state.notice?.text).toMatch(/no longer in this sampler/)
  })

  it('is undone and redone; a new edit ends what could be redone', () => {
    const before = run(opened, edit(rename('One')), edit(rename('Two')))
    const undone = samplerReducer(before, edit(lastOf(before.open?.undo), 'undo'))
    expect(undone.open?.document.name).toBe('One')
    const redone = samplerReducer(undone, edit(lastOf(undone.open?.redo), 'redo'))
    expect(redone.open?.document.name).toBe('Two')
    expect(redone.open?.redo).toEqual([])
    expect(samplerReducer(undone, edit(rename('Three'))).open?.redo).toEqual([])
    // Undo and redo are edits too: the server hears of them.
    expect(redone.open?.pending.length).toBe(4)
  })

  it('a long session goes back to where it began and forth again, byte for byte', () => {
    let state = run(samplerOpened({ answer: answer({ document: editedSampler }), pending: [] }))
    let revision = 1
    // As in life, what was edited is written while one goes on.
    const step = (operation: Operation, way: 'do' | 'undo' | 'redo'): void => {
      state = samplerReducer(state, edit(operation, way))
      const ids = state.open?.pending.map((one) => one.id) ?? []
      revision += 1
      if (ids.length > 40) state = samplerReducer(state, written(ids, revision))
    }
    for (const operation of fc.sample(anyOperation, { numRuns: 6000, seed: 71 })) {
      if ((state.open?.undo.length ?? 0) === 2000) break
      step(operation, 'do')
    }
    expect(state.open?.undo.length).toBe(2000)
    const end = JSON.stringify(state.open?.document)
    while (state.open && state.open.undo.length > 0) step(lastOf(state.open.undo), 'undo')
    expect(JSON.stringify(state.open?.document)).toBe(JSON.stringify(editedSampler))
    while (state.open && state.open.redo.length > 0) step(lastOf(state.open.redo), 'redo')
    expect(JSON.stringify(state.open?.document)).toBe(end)
  })

  it('selects what was added, and the first when the selected one is gone', () => {
    const exercise = { id: 'new', name: 'New', stitch: 'back-stitch', on: [{ guide: document.drawing.guides[0]?.id ?? '' }] }
    const added = run(opened, exerciseSelected('e2'), edit({ kind: 'add-exercise', exercise, at: 0 }))
    expect(added.selected).toBe('new')
    expect(samplerReducer(added, edit({ kind: 'remove-exercise', id: 'new' })).selected).toBe('e1')
  })
})

describe('sending', () => {
  it('keeps what was edited while the batch was on its way', () => {
    const state = run(opened, edit(rename('One'), 'do', 'op1'), sendingBegan(), edit(rename('Two'), 'do', 'op2'), written(['op1'], 2))
    expect(state.open?.pending.map((one) => one.id)).toEqual(['op2'])
    expect(state.open?.revision).toBe(2)
    expect(state.open?.status).toBe('waiting')
    expect(samplerReducer(state, written(['op2'], 3)).open?.status).toBe('saved')
  })

  it('says offline and signed-out as long as they last', () => {
    const offline = run(opened, edit(rename('One')), connectionLost(), edit(rename('Two')))
    expect(offline.open?.status).toBe('offline')
    expect(samplerReducer(offline, connectionBack()).open?.status).toBe('waiting')
    expect(run(opened, edit(rename('One')), sessionLost()).open?.status).toBe('signed-out')
  })
})

describe('being overtaken', () => {
  it('own edits are applied again to the newest state, those that are in already are not', () => {
    const mine = run(opened, edit(rename('Mine'), 'do', 'op1'), edit(fourStrands, 'do', 'op2'))
    const after = samplerReducer(mine, rebased({ answer: answer({ revision: 5, document: named('Theirs') }), applied: ['op1'] }))
    expect(after.open?.document.name).toBe('Theirs')
    expect(strandsOf(after.open?.document, 'e1')).toBe(4)
    expect(after.open?.pending.map((one) => one.id)).toEqual(['op2'])
    expect(after.open?.revision).toBe(5)
  })

  it('an edit that no longer makes sense is said', () => {
    const mine = run(opened, edit(fourStrands))
    const without = { ...document, exercises: document.exercises.filter((one) => one.id !== 'e1') }
    const after = samplerReducer(mine, rebased({ answer: answer({ revision: 2, document: without }), applied: [] }))
    expect(after.open?.pending).toEqual([])
    expect(after.open?.status).toBe('saved')
    expect(after.notice?.text).toMatch(/"e1" is no longer in this sampler/)
  })

  it('a refused edit gives way to the server\u2019s state; later ones stay, and so does every step back but its own', () => {
    const mine = run(
      opened,
      edit(rename('Kept'), 'do', 'op1'),
      edit({ kind: 'rename-lesson', id: 'l1', title: 'Refused' }, 'do', 'op2'),
      edit({ kind: 'set-units', units: 'in' }, 'do', 'op3'),
    )
    const after = samplerReducer(mine, written(['op1', 'op2'], 2, [{ id: 'op2', message: 'That title is too long.' }]))
    expect(after.open?.document.name).toBe('Kept')
    expect(after.open?.document.lessons[0]?.title).toBe(document.lessons[0]?.title)
    expect(after.open?.document.units).toBe('in')
    expect(after.open?.base.units).toBe('mm')
    expect(after.open?.pending.map((one) => one.id)).toEqual(['op3'])
    expect(after.open?.undo.map((step) => step.id)).toEqual(['op1', 'op3'])
    expect(after.notice?.text).toContain('That title is too long.')
    expect(after.notice?.text).toContain('rename lesson')
  })

  it('what a reload had not sent is applied when the sampler is opened again', () => {
    const state = run(samplerOpened({ answer: answer(), pending: [{ id: 'op1', operation: rename('Kept') }] }))
    expect(state.open?.document.name).toBe('Kept')
    expect(state.open?.status).toBe('waiting')
  })
})

describe('a batch', () => {
  const sent = (id: string, bytes: number): { id: string; operation: Operation } => ({ id, operation: rename('x'.repeat(bytes)) })

  it('holds as many edits as one request may, by number and by bytes', () => {
    const small = Array.from({ length: 250 }, (_, index) => sent(String(index), 10))
    expect(firstBatch(small).length).toBe(100)
    const large = [sent('a', MOST_BODY_BYTES * 0.5), sent('b', MOST_BODY_BYTES * 0.25), sent('c', MOST_BODY_BYTES * 0.25)]
    expect(firstBatch(large).map((one) => one.id)).toEqual(['a', 'b'])
  })

  it('of one that is too large by itself is that one alone', () => {
    expect(firstBatch([sent('a', MOST_BODY_BYTES * 2), sent('b', 1)]).map((one) => one.id)).toEqual(['a'])
  })

  it('of nothing is nothing', () => {
    expect(firstBatch([])).toEqual([])
  })
})

/** Two pages and a server, as in life: each page edits, sends, is overtaken, and catches up, in any order. */
describe('two pages', () => {
  const lessonId = document.lessons[0]?.id ?? ''
  const anOperation = fc.oneof(
    fc.constantFrom('Fog', 'Rime', 'Dew').map(rename),
    fc.integer({ min: 1, max: 6 }).map((strands): Operation => ({ kind: 'assign', id: 'e1', role: 'main', set: { strands } })),
    fc.constantFrom('e1', 'e2', 'e3').map((id): Operation => ({ kind: 'remove-exercise', id })),
    fc.constantFrom('One', 'Two').map((title): Operation => ({ kind: 'rename-lesson', id: lessonId, title })),
    fc.constant<Operation>({ kind: 'remove-lesson', id: lessonId }),
    fc.constantFrom<'mm' | 'in'>('mm', 'in').map((units): Operation => ({ kind: 'set-units', units })),
    // Sound by itself and refused by the server: the document would be too long.
    fc.constant<Operation>({ kind: 'rename', name: 'x'.repeat(500) }),
  )
  const aStep = fc.record({ page: fc.constantFrom(0, 1), what: fc.oneof({ weight: 3, arbitrary: anOperation }, fc.constant('send' as const)) })

  it('come to the same document, and lose nothing that is not said', () => {
    fc.assert(
      fc.property(fc.array(aStep, { maxLength: 40 }), (steps) => {
        const server = { document, revision: 1, written: new Map<string, Operation>() }
        const pages = [run(opened), run(opened)]
        const said = [0, 0]
        const made: string[] = []
        const step = (page: number, action: Parameters<typeof samplerReducer>[1]): void => {
          const before = pages[page] as SamplerState
          const after = samplerReducer(before, action)
          if (after.notice?.key !== before.notice?.key) said[page] = (said[page] as number) + 1
          pages[page] = after
        }
        const send = (page: number): void => {
          const { open } = pages[page] as SamplerState
          if (!open || open.pending.length === 0) return
          if (open.revision !== server.revision) {
            const applied = open.pending.filter((one) => server.written.has(one.id)).map((one) => one.id)
            step(page, rebased({ answer: answer({ document: server.document, revision: server.revision }), applied }))
            return
          }
          const all = applySamplerOperations(server.document, open.pending)
          server.document = all.document
          server.revision += 1
          for (const { id, operation } of all.applied) server.written.set(id, operation)
          step(page, acknowledged({ ids: open.pending.map((one) => one.id), revision: server.revision, refused: all.refused }))
        }
        for (const { page, what } of steps) {
          if (what === 'send') send(page)
          else {
            const id = randomUUID()
            const before = pages[page] as SamplerState
            step(page, edited({ operation: what, id, way: 'do', turn: 1 }))
            if ((pages[page] as SamplerState).open?.pending !== before.open?.pending) made.push(id)
          }
        }
        for (let round = 0; round < 3; round += 1) for (const page of [0, 1]) send(page)
        const open = pages.map((page) => page.open as NonNullable<SamplerState['open']>)
        for (const one of open) {
          expect(one.pending).toEqual([])
          if (one.revision === server.revision) expect(one.document).toEqual(server.document)
          expect(one.base).toEqual(one.document)
        }
        // Nothing is gone in silence: what the server has not, a page has said.
        const lost = made.filter((id) => !server.written.has(id))
        if (lost.length > 0) expect((said[0] as number) + (said[1] as number)).toBeGreaterThan(0)
        if ((said[0] as number) + (said[1] as number) === 0) expect(server.written.size).toBe(made.length)
      }),
      { seed: 91, numRuns: 150 },
    )
  })
})
