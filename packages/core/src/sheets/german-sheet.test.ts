/** A sheet in German: its furniture, key, summary, steps and cautions, and nothing of them in English. */
import { expect, it } from 'vitest'
import { surroundingsOf } from '../assign/index.ts'
import { newSampler, type Sampler } from '../sampler/index.ts'
import { workAlone } from '../testing/index.ts'
import { makeSheets, sheetTitle } from './index.ts'

const plain = newSampler('Wetter')
const sampler: Sampler = { ...plain, brief: { ...plain.brief, language: 'de' } }

it('says all of its own words in German', () => {
  const done = ['stem-stitch', 'couching-stitch', 'cut-eyelet'].map((stitch) => {
    const guide = stitch === 'cut-eyelet' ? ({ kind: 'ring', at: [60, 60], radiusMm: 2.5 } as const) : ({ kind: 'line', path: 'M 20 40 H 110' } as const)
    const result = workAlone({ id: stitch, name: 'Regen', stitch, guide }, surroundingsOf(sampler))
    if (!result.ok) throw new Error(stitch)
    return result.value
  })
  const pages = makeSheets({
    sampler: { ...sampler, exercises: done.map((one) => one.exercise) },
    exercises: done,
    title: sheetTitle(null, { name: 'Ida' }, 'de'),
    page: 'a4',
    hand: 'left',
    measure: (text, size) => text.length * size * 0.5,
  })
  const said = pages.flatMap((page) => page.layers.flatMap((layer) => layer.items.flatMap((item) => (item.kind === 'words' ? [item.text] : []))))
  const all = said.join(' ')
  for (const words of [
    'Alle Stunden, für Ida',
    'Legefaden',
    'Legende',
    'Stich',
    'Stielstich',
    'Überfangstich',
    'Umstochenes Loch',
    'Sticktwist',
    'Für die linke Hand',
    'Mit 100 %',
    'Ehe es losgeht',
  ])
    expect(all).toContain(words)
  expect(all).toContain('Vorn: Eine glatte Kordel, alle Stiche in derselben Schräge.')
  expect(all).toContain('Überfangstiche schnüren ein: Jeden Überfangstich nur anziehen')
  // Cautions are never left out for want of a word.
  expect(all).toMatch(/Achtung: Geschnittener Stoff bleibt geschnitten/)
  expect(all).toMatch(/Nadeln vorher und nachher zählen/)
  expect(said.filter((text) => /\b(the|thread|needle|stitch|strands?|with|about|lesson)\b/i.test(text))).toEqual([])
})
