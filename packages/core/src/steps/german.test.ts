/** The second language: nothing is left in the first, and what decides whether a stitch holds is said. */
import { describe, expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { practiceFor, practiceGuide } from '../guide/index.ts'
import { cautionIn, passIn, stitchIn } from '../language/index.ts'
import { proseIn } from '../prose/index.ts'
import { newSampler } from '../sampler/index.ts'
import { LIBRARY } from '../stitches/index.ts'
import { workAlone } from '../testing/index.ts'
import { shownOf } from './shown-of.ts'
import { stepSentence } from './take-thread.ts'

const plain = surroundingsOf(newSampler('Deutsch'))
const around = { ...plain, brief: { ...plain.brief, language: 'de' as const } }

const said = (id: string, hand: 'right' | 'left' = 'right'): readonly string[] => {
  const document = LIBRARY.find((one) => one.id === id)
  if (!document) throw new Error(id)
  const worked = workAlone({ id: 'e', name: 'x', stitch: id, guide: practiceGuide(document.practice ?? practiceFor(document), 100, 100, 160) }, around)
  if (!worked.ok) throw new Error(id)
  return shownOf(id, hand).steps.map((step) => stepSentence(step, worked.value.assigned))
}

/** Words of English sentences that no German one has. */
const ENGLISH = /\b(the|and|again|thread|needle|loop|under|over|at|to|of|with|stitch|same|from|down|up)\b/

describe('in German', () => {
  it.each(LIBRARY.map((one) => [one.id]))('%s has a name, and every sentence is whole', (id) => {
    const document = LIBRARY.find((one) => one.id === id)
    if (!document) throw new Error(id)
    if (id !== 'granitos') expect(stitchIn(document, 'de')).not.toBe(document.name)
    for (const pass of document.passes) expect(passIn(pass.name, 'de'), pass.name).toMatch(/^(der|die|das|Legen) /)
    for (const caution of document.cautions ?? []) expect(cautionIn(caution, 'de')).not.toBe(caution)
    const prose = [document.look?.front, document.look?.back, ...(document.slips ?? []).flatMap(({ see, mend }) => [see, mend])]
    for (const text of prose.filter((one) => one !== undefined)) {
      const there = proseIn(text, 'de')
      expect(there, text).not.toBeNull()
      expect(there).not.toMatch(ENGLISH)
      expect(there?.endsWith('.')).toBe(text.endsWith('.'))
    }
    for (const sentence of said(id)) {
      expect(sentence).not.toMatch(ENGLISH)
      expect(sentence).toMatch(/^[A-ZÄÖÜ0-9].*\.$/)
      expect(sentence).not.toMatch(/ {2}|,,| ,|\.\.|undefined|null/)
    }
  })

  it('has no words for what no document of ours says, and then says nothing', () => {
    expect(proseIn('A pattern of my own.', 'de')).toBeNull()
    expect(proseIn('A pattern of my own.', 'en')).toBe('A pattern of my own.')
  })

  it('no two stitches share a name', () => {
    const names = LIBRARY.map((one) => stitchIn(one, 'de'))
    expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([])
  })

  it('stem: the thread kept below, a stitch further, half way back', () => {
    expect(said('stem-stitch').slice(0, 3)).toEqual([
      'Bei 1, auf der Linie, ausstechen und den Faden durchziehen.',
      'Den Faden mit dem linken Daumen unterhalb der Linie halten. Bei 2, eine Stichlänge weiter, ein-, bei 3, auf halbem Weg zurück, ausstechen. Die Nadel zeigt nach links.',
      'Anziehen, bis der Stich flach liegt, nicht fester.',
    ])
    expect(said('stem-stitch', 'left')[1]).toMatch(/mit dem rechten Daumen.*nach rechts\.$/)
  })

  it('a French knot: held taut, both turns, beside and not in its hole, let go last', () => {
    const all = said('french-knot').join(' ')
    expect(all).toMatch(/straff halten.*Zwei Windungen.*dicht daneben und nie in dasselbe Loch.*Daumen erst zuletzt heben/)
  })

  it('a second thread is taken up with its strands and needle', () => {
    expect(said('couching-stitch')[0]).toMatch(/^Den Legefaden nehmen: .*-fädig, .* \d+\. Bei 1/)
    expect(said('couching-stitch').find((one) => one.startsWith('Nun die Überfangstiche.'))).toMatch(
      /Den Überfangfaden nehmen: .*über den Legefaden hinweg einstechen\.$/,
    )
  })
})
