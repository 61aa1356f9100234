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
