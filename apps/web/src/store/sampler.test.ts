/** The open sampler's state: edits, undo, sending, and being overtaken. */
import { randomUUID } from 'node:crypto'
import type { SamplerAnswer } from '@lemmata/contract'
import { sixThursdays } from '@lemmata/contract/demo'
import type { Operation, Sampler } from '@lemmata/core/sampler'
import { describe, expect, it } from 'vitest'
import {
  connectionBack,
  connectionLost,
  edited,
  exerciseSelected,
  rebased,
  refused,
  type SamplerState,
  samplerClosed,
  samplerOpened,
  samplerReducer,
  sendingBegan,
  sent,
  sessionLost,
} from './sampler.ts'

const document = sixThursdays('2026-11-23')
const answer = (change: Partial<SamplerAnswer> = {}): SamplerAnswer => ({ id: 's1', version: 1, document, printedVersion: null, ...change })
const rename = (name: string): Operation => ({ kind: 'rename', name })
const run = (...actions: Parameters<typeof samplerReducer>[1][]): SamplerState =>
  actions.reduce<SamplerState>((state, action) => samplerReducer(state, action), samplerReducer(undefined, samplerClosed()))
const opened = samplerOpened({ answer: answer(), pending: [] })
const edit = (operation: Operation, way: 'do' | 'undo' | 'redo' = 'do', id: string = randomUUID()) => edited({ operation, id, way })
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
    const undone = samplerReducer(before, edit(before.open?.undo.at(-1) as Operation, 'undo'))
    expect(undone.open?.document.name).toBe('One')
    const redone = samplerReducer(undone, edit(undone.open?.redo.at(-1) as Operation, 'redo'))
    expect(redone.open?.document.name).toBe('Two')
    expect(redone.open?.redo).toEqual([])
    expect(samplerReducer(undone, edit(rename('Three'))).open?.redo).toEqual([])
    // Undo and redo are edits too: the server hears of them.
    expect(redone.open?.pending.length).toBe(4)
  })

  it('selects what was added, and the first when the selected one is gone', () => {
    const exercise = { id: 'new', name: 'New', stitch: 'back-stitch', guide: { kind: 'line' as const, path: 'M 0 0 L 9 0' } }
    const added = run(opened, exerciseSelected('e2'), edit({ kind: 'add-exercise', exercise, at: 0 }))
    expect(added.selected).toBe('new')
    expect(samplerReducer(added, edit({ kind: 'remove-exercise', id: 'new' })).selected).toBe('e1')
  })
})

describe('sending', () => {
  it('keeps what was edited while the batch was on its way', () => {
    const state = run(opened, edit(rename('One'), 'do', 'op1'), sendingBegan(), edit(rename('Two'), 'do', 'op2'), sent({ ids: ['op1'], version: 2 }))
    expect(state.open?.pending.map((one) => one.id)).toEqual(['op2'])
    expect(state.open?.version).toBe(2)
    expect(state.open?.status).toBe('waiting')
    expect(samplerReducer(state, sent({ ids: ['op2'], version: 3 })).open?.status).toBe('saved')
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
    const mine = run(opened, edit(rename('Mine'), 'do', 'op1'), edit({ kind: 'change-exercise', id: 'e1', set: { strands: 4 } }, 'do', 'op2'))
    const after = samplerReducer(mine, rebased({ answer: answer({ version: 5, document: named('Theirs') }), applied: ['op1'] }))
    expect(after.open?.document.name).toBe('Theirs')
    expect(after.open?.document.exercises[0]?.strands).toBe(4)
    expect(after.open?.pending.map((one) => one.id)).toEqual(['op2'])
    expect(after.open?.version).toBe(5)
  })

  it('an edit that no longer makes sense is said', () => {
    const mine = run(opened, edit({ kind: 'change-exercise', id: 'e1', set: { strands: 4 } }))
    const without = { ...document, exercises: document.exercises.slice(1) }
    const after = samplerReducer(mine, rebased({ answer: answer({ version: 2, document: without }), applied: [] }))
    expect(after.open?.pending).toEqual([])
    expect(after.open?.status).toBe('saved')
    expect(after.notice?.text).toMatch(/"e1" is no longer in this sampler/)
  })

  it('a refused edit gives way to the server\u2019s state, later ones stay', () => {
    const mine = run(opened, edit(rename('Refused'), 'do', 'op1'), edit({ kind: 'set-units', units: 'in' }, 'do', 'op2'))
    const after = samplerReducer(mine, refused({ answer: answer({ version: 2 }), ids: ['op1'], message: 'That name is too long.' }))
    expect(after.open?.document.name).toBe('Six Thursdays')
    expect(after.open?.document.units).toBe('in')
    expect(after.notice?.text).toContain('That name is too long.')
  })

  it('what a reload had not sent is applied when the sampler is opened again', () => {
    const state = run(samplerOpened({ answer: answer(), pending: [{ id: 'op1', operation: rename('Kept') }] }))
    expect(state.open?.document.name).toBe('Kept')
    expect(state.open?.status).toBe('waiting')
  })
})
