/** Documents that were found right once: by revision, never another's, and never too many. */
import { describe, expect, it } from 'vitest'
import { checkedDocuments } from './index.ts'

interface Page {
  readonly text: string
}

describe('documents that were found right', () => {
  it('are read once at a revision, and anew at the next', () => {
    const checked = checkedDocuments<Page>(({ text }) => text.length)
    let reads = 0
    const at = (id: string, revision: number) => checked.of({ id, revision }, () => ({ text: `${id} ${revision} ${(reads += 1)}` }))
    expect([at('a', 1), at('a', 1), at('b', 1), at('a', 2), at('b', 1)].map((one) => one.text)).toEqual(['a 1 1', 'a 1 1', 'b 1 2', 'a 2 3', 'b 1 2'])
  })

  it('that were written are known, and the state before them is let go', () => {
    const checked = checkedDocuments<Page>(({ text }) => text.length)
    checked.of({ id: 'a', revision: 1 }, () => ({ text: 'before' }))
    checked.keep('a', 2, { text: 'written' })
    const read = (revision: number) => checked.of({ id: 'a', revision }, () => ({ text: 'read anew' })).text
    expect([read(2), read(1)]).toEqual(['written', 'read anew'])
  })

  it('are found and written as JSON while they are kept, at their own revision alone', () => {
    let written = 0
    const page = { text: 'rain', toJSON: () => ({ text: 'rain', written: (written += 1) }) }
    const checked = checkedDocuments<Page>(({ text }) => text.length)
    expect(checked.find({ id: 'a', revision: 1 })).toBeUndefined()
    checked.keep('a', 1, page)
    expect([checked.find({ id: 'a', revision: 1 }), checked.find({ id: 'a', revision: 2 })]).toEqual([page, undefined])
    const texts = [1, 1].map((revision) => checked.textOf({ id: 'a', revision }, page))
    expect(texts).toEqual(Array(2).fill('{"text":"rain","written":1}'))
    // What is not the one that is kept is written as it is.
    expect(checked.textOf({ id: 'a', revision: 1 }, { text: 'fog' })).toBe('{"text":"fog"}')
    checked.keep('a', 2, { text: 'mist' })
    expect(checked.textOf({ id: 'a', revision: 1 }, page)).toBe('{"text":"rain","written":2}')
  })

  it('of which one could not be read it is tried again', () => {
    const checked = checkedDocuments<Page>(() => 1)
    const broken = (): Page => {
      throw new Error('unreadable')
    }
    expect(() => checked.of({ id: 'a', revision: 1 }, broken)).toThrow('unreadable')
    expect(checked.of({ id: 'a', revision: 1 }, () => ({ text: 'mended' })).text).toBe('mended')
  })

  it('take no more than their room, however large each is', () => {
    const checked = checkedDocuments<Page>(() => 6_000_000)
    for (const id of ['a', 'b', 'c']) checked.of({ id, revision: 1 }, () => ({ text: id }))
    // Two have room: the first has gone, and the last is there.
    const anew: string[] = []
    for (const id of ['c', 'a']) checked.of({ id, revision: 1 }, () => ({ text: (anew.push(id), id) }))
    expect(anew).toEqual(['a'])
    // One that is larger than all of it is read each time, and takes nobody's place.
    const large = checkedDocuments<Page>(() => 1e9)
    expect([1, 2].map((text) => large.of({ id: 'x', revision: 1 }, () => ({ text: String(text) })).text)).toEqual(['1', '2'])
  })
})
