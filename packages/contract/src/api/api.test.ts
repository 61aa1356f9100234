/** Requests as they arrive: what is read, what is refused, and in which words. */
import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { changePassword, makeAccount, makeClass, makeSampler, sendOperations, sheetRequest, signIn } from './api.ts'
import { tellPractice } from './learning.ts'

const sentence = (result: { readonly success: boolean; readonly error?: { readonly issues: readonly { readonly message: string }[] } | undefined }): string =>
  result.success ? '' : (result.error?.issues[0]?.message ?? '')

describe('accounts', () => {
  it('an address is kept in small letters and without spaces round it', () => {
    expect(signIn.parse({ email: '  Ada@Example.ORG ', password: 'x' }).email).toBe('ada@example.org')
  })

  it.each(['ada', 'ada@', '@example.org', 'ada@example', 'ada lovelace@example.org', `${'a'.repeat(200)}@example.org`])('%s is no address', (email) => {
    expect(makeAccount.safeParse({ email, name: 'Ada', password: 'needle and thread' }).success).toBe(false)
  })

  it('a password of nine characters is refused with what makes a good one; the present one may be of any length', () => {
    expect(sentence(makeAccount.safeParse({ email: 'ada@example.org', name: 'Ada', password: '123456789' }))).toMatch(/at least 10 characters; a few words/)
    expect(makeAccount.safeParse({ email: 'ada@example.org', name: 'Ada', password: '1234567890' }).success).toBe(true)
    expect(changePassword.safeParse({ current: 'x', next: 'needle and thread' }).success).toBe(true)
    expect(sentence(changePassword.safeParse({ current: '', next: 'needle and thread' }))).toBe('type your present password')
    expect(signIn.safeParse({ email: 'ada@example.org', password: 'x'.repeat(201) }).success).toBe(false)
  })
})

describe('documents', () => {
  it('a sampler is made of a name, or of a document that is looked at later', () => {
    expect(makeSampler.parse({ name: ' Fog ' })).toEqual({ name: expect.stringMatching(/Fog/) })
    expect(makeSampler.parse({ document: { anything: true } })).toEqual({ document: { anything: true } })
    expect(makeSampler.safeParse({ name: 'x'.repeat(1000) }).success && 'name' in makeSampler.parse({ name: 'x'.repeat(1000) })).toBe(false)
  })

  it('a class belongs to a sampler', () => {
    expect(makeClass.safeParse({ name: 'Thursdays', sampler: randomUUID() }).success).toBe(true)
    expect(makeClass.safeParse({ name: 'Thursdays', sampler: 'mine' }).success).toBe(false)
    expect(makeClass.safeParse({ document: {} }).success).toBe(false)
  })

  it('operations come with ids, at least one and at most five hundred, on a revision that there can be', () => {
    const some = (count: number) => Array.from({ length: count }, () => ({ id: randomUUID(), operation: { kind: 'rename', name: 'x' } }))
    expect(sendOperations.safeParse({ baseRevision: 1, operations: some(500) }).success).toBe(true)
    expect(sendOperations.safeParse({ baseRevision: 1, operations: some(501) }).success).toBe(false)
    expect(sendOperations.safeParse({ baseRevision: 1, operations: [] }).success).toBe(false)
    expect(sendOperations.safeParse({ baseRevision: 0, operations: some(1) }).success).toBe(false)
    expect(sendOperations.safeParse({ baseRevision: 1.5, operations: some(1) }).success).toBe(false)
    expect(sendOperations.safeParse({ baseRevision: 1, operations: [{ id: 'op1', operation: {} }] }).success).toBe(false)
  })
})

describe('a sheet', () => {
  it('is A4 unless it is said, for whose hand it is asked', () => {
    expect(sheetRequest.parse({})).toEqual({ page: 'a4' })
    expect(sheetRequest.parse({ page: 'letter', hand: 'left', lesson: 'l1' })).toEqual({ page: 'letter', hand: 'left', lesson: 'l1' })
  })

  it.each([[{ page: 'a5' }], [{ hand: 'both' }], [{ class: 'mine' }], [{ lesson: 'x'.repeat(61) }]])('%j is refused', (given) => {
    expect(sheetRequest.safeParse(given).success).toBe(false)
  })
})

describe('a photographed row', () => {
  const row = {
    ...{ method: 1, isCounted: true, isPutRight: false, kind: 'apart', count: 10, lengthMm: 2.9, spreadMm: 0.3, plannedMm: 2.9, firstMm: 3, lastMm: 2.8 },
    ...{ gapMm: 2.9, plannedGapMm: 2.9, driftMm: 0.2, leanDeg: null, widestGapMm: null },
  }
  const told = (more: object) =>
    tellPractice.safeParse({ events: [{ id: randomUUID(), at: '2027-01-14T18:30:00.000Z', kind: 'row', exercise: 'e1', row: { ...row, ...more } }] })

  it('is kept as its figures; whatever else comes with them is left behind', () => {
    const read = told({ picture: 'data:image/jpeg;base64,xyz', fileName: 'IMG_0001.jpg' })
    expect(read.success && read.data.events).toEqual([expect.objectContaining({ kind: 'row', row })])
  })

  it.each([
    [{ lengthMm: -1 }],
    [{ lengthMm: Number.NaN }],
    [{ spreadMm: '0.3' }],
    [{ kind: 'knotted' }],
    [{ count: 0 }],
    [{ plannedMm: 0 }],
    [{ driftMm: 1e9 }],
  ])('with %j is refused', (more) => {
    expect(told(more).success).toBe(false)
  })
})
