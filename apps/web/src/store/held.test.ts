// @vitest-environment jsdom
/** What a window holds beside the document, and gets back when it is loaded again. */
import { bandSampler } from '@lemmata/contract/testing'
import { beforeEach, describe, expect, it } from 'vitest'
import { heldSampler, holdSampler } from './held.ts'
import { continueTurns, edit, store, undo } from './index.ts'
import { exerciseSelected, type OpenSampler, samplerClosed, samplerOpened } from './sampler.ts'

const demo = bandSampler('2026-12-03')
const open = (before = heldSampler('s1')): void => {
  store.dispatch(samplerOpened({ answer: { id: 's1', revision: 1, document: demo, printedRevision: null }, pending: [], before }))
}
const now = (): OpenSampler => {
  const { open: sampler } = store.getState().sampler
  if (!sampler) throw new Error('nothing is open')
  return sampler
}
beforeEach(() => {
  sessionStorage.clear()
  store.dispatch(samplerClosed())
})

describe('a page that is loaded again', () => {
  it('has what was chosen, and the steps back, the last one first', () => {
    open()
    edit({ kind: 'rename', name: 'Squalls' })
    edit({ kind: 'rename', name: 'Gales' })
    store.dispatch(exerciseSelected('e3'))
    const edited = now().document
    holdSampler(now(), store.getState().sampler.selected)
    store.dispatch(samplerClosed())
    const before = heldSampler('s1')
    continueTurns(Math.max(...(before?.undo ?? []).map((step) => step.turn)))
    store.dispatch(samplerOpened({ answer: { id: 's1', revision: 3, document: edited, printedRevision: null }, pending: [], before }))
    expect(store.getState().sampler.selected).toBe('e3')
    undo()
    expect(now().document.name).toBe('Squalls')
    undo()
    expect(now().document.name).toBe('Six Thursdays')
  })

  it('of what is chosen and gone chooses the first', () => {
    sessionStorage.setItem('lemmata-held/s1', JSON.stringify({ selected: 'gone', undo: [], redo: [] }))
    open()
    expect(store.getState().sampler.selected).toBe('e1')
  })

  it.each(['', 'no json', '{"selected":3}', '{"selected":null,"undo":[{"id":"a","operation":{"kind":"explode"},"turn":1}],"redo":[]}'])(
    'what another version left (%s) is let go',
    (text) => {
      sessionStorage.setItem('lemmata-held/s1', text)
      expect(heldSampler('s1')).toBeUndefined()
    },
  )

  it('keeps the last sixty steps, and nothing of another sampler', () => {
    open()
    for (let index = 0; index < 70; index += 1) edit({ kind: 'rename', name: `Gale ${index}` })
    holdSampler(now(), null)
    expect(heldSampler('s1')?.undo).toHaveLength(60)
    expect(heldSampler('s2')).toBeUndefined()
  })
})
