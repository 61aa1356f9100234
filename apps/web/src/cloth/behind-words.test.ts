/** What goes on behind, as it is said. */
import type { ThreadBehind } from '@lemmata/core/behind'
import { expect, it } from 'vitest'
import { behindInWords } from './behind-words.ts'

const thread: ThreadBehind = {
  thread: { id: 't', kind: 'stranded-cotton', colour: { name: 'Rainwater', hex: '#2F6496' } },
  strands: 6,
  role: 'main',
  limitMm: 8,
  runs: [],
  carries: [],
  longHops: [],
  needlefuls: [],
}
const at = { x: 0, y: 0 }
const ids = { exercise: 'e', piece: 'g/0' }
const carry = (mm: number, kind: 'carried' | 'begun-anew') => ({ from: at, to: at, mm, kind, before: ids, after: ids })

it('says how often and how far, against what the cloth hides', () => {
  expect(behindInWords(thread, 'mm')).toBe('Rainwater: in one go.')
  expect(behindInWords({ ...thread, carries: [carry(7.24, 'carried'), carry(3, 'carried'), carry(40, 'begun-anew')] }, 'mm')).toBe(
    'Rainwater: carried twice, 7.2 mm at most (8 mm do not show); finished off and begun anew once.',
  )
  expect(behindInWords({ ...thread, role: 'tie', carries: [carry(40, 'begun-anew')] }, 'in')).toBe(
    'Rainwater, tie: finished off and begun anew once (0.31 in (5/16) do not show).',
  )
  expect(behindInWords({ ...thread, longHops: [{ ...ids, from: at, to: at, mm: 12 }], needlefuls: [{ ...ids, at, why: 'corner' }] }, 'mm')).toBe(
    'Rainwater: 1 way within the stitch too long: weave it through what lies behind, or cut; a new needleful once.',
  )
})
