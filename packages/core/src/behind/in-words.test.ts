/** What goes on behind, as it is said. */
import type { ThreadBehind } from './plan.ts'
import { expect, it } from 'vitest'
import { behindInWords, inOrderInWords, pieceOrderInWords } from './in-words.ts'

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

it('says in which order pieces are worked where that is not the order of their numbers; the left hand goes the same ways backwards', () => {
  const run = (number: number, turned = false) => ({ exercise: 'e', piece: `g/${number - 1}`, turned, from: at, to: at })
  const pieces = ['g/0', 'g/1', 'g/2']
  const said = (runs: ThreadBehind['runs'], hand: 'right' | 'left' = 'right') => pieceOrderInWords({ ...thread, runs }, 'e', pieces, hand)
  expect(said([run(1), run(2), run(3)])).toBeNull()
  expect(said([run(2), run(1), run(3, true)])).toBe('2, 1 and 3; 3 from its other end')
  expect(said([run(1), run(2, true), run(3, true)], 'left')).toBe('3, 2 and 1; 3 and 2 from their other end')
  expect(said([run(1)])).toBeNull()
  expect(said([{ ...run(2), exercise: 'another' }, run(2), run(1)])).toBe('2 and 1')
})

it('says the same in German', () => {
  const run = (number: number, turned = false) => ({ exercise: 'e', piece: `g/${number - 1}`, turned, from: at, to: at })
  expect(behindInWords({ ...thread, role: 'tie', carries: [carry(7.24, 'carried'), carry(40, 'begun-anew')] }, 'mm', 'de')).toBe(
    'Rainwater, Überfangfaden: einmal hinten weitergeführt, höchstens 7.2 mm (bis 8 mm sieht man nichts); einmal vernäht und neu begonnen.',
  )
  const order = pieceOrderInWords({ ...thread, runs: [run(2), run(1), run(3, true)] }, 'e', ['g/0', 'g/1', 'g/2'], 'right', 'de')
  expect(inOrderInWords('B', order ?? '', 'de')).toBe('Bei B die Stücke in der Reihenfolge 2, 1 und 3; 3 vom anderen Ende her sticken.')
})
