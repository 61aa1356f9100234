/** Each kind of edit by itself: what it writes and what it leaves, what it refuses in a sentence, and how it is taken back. */
import { describe, expect, it } from 'vitest'
import { moveBy, scaleAbout } from '../geometry/index.ts'
import { sentenceOf } from '../testing/index.ts'
import { applyOperation, invertOperation, newSampler, type Operation, type Sampler } from './index.ts'

const own = { format: 'lemmata-stitch', version: 1, id: 'own', name: 'Own stitch', guide: ['line'], passes: [] } as const
const start: Sampler = {
  ...newSampler('Weather'),
  threads: ['t1', 't2'].map((id) => ({ id, kind: 'stranded-cotton', colour: { name: `Colour ${id}`, hex: '#5F7048' } })),
  drawing: {
    guides: [
      { id: 'g1', guide: { kind: 'line', path: 'M 0 0 L 50 0' } },
      { id: 'g2', name: 'Ring', guide: { kind: 'ring', at: [30, 30], radiusMm: 6 }, copies: { kind: 'round', centre: [50, 50], count: 3 } },
    ],
    groups: [{ id: 'm1', name: 'Both', members: ['g1', 'g2'] }],
  },
  exercises: ['a', 'b'].map((id) => ({ id, name: `Exercise ${id}`, stitch: 'back-stitch', on: [{ guide: 'g1' }] })),
  lessons: [
    { id: 'l1', title: 'Rain', exercises: ['a'] },
    { id: 'l2', title: 'Fog', exercises: ['b'] },
  ],
  keptOrders: [{ id: 'o1', name: 'Kept', lessons: [['a'], ['b']] }],
  stitches: [own],
}

function done(operation: Operation, from = start): Sampler {
  const applied = applyOperation(from, operation)
  if (!applied.ok) throw new Error(sentenceOf(applied.problems))
  return applied.value
}
function refusal(operation: Operation): string {
  const applied = applyOperation(start, operation)
  return applied.ok ? 'done' : sentenceOf(applied.problems)
}
function back(operation: Operation, from = start): Sampler {
  const inverse = invertOperation(from, operation)
  return inverse ? done(inverse, done(operation, from)) : from
}

describe('what is not there', () => {
  const nobody: readonly (readonly [Operation, string])[] = [
    [{ kind: 'change-exercise', id: 'x', set: { note: 'n' } }, 'exercise "x"'],
    [{ kind: 'remove-exercise', id: 'x' }, 'exercise "x"'],
    [{ kind: 'move-exercise', id: 'x', to: null }, 'exercise "x"'],
    [{ kind: 'move-exercise', id: 'a', to: { lesson: 'l9', at: 0 } }, 'lesson "l9"'],
    [{ kind: 'assign', id: 'x', role: 'main', set: { strands: 2 } }, 'exercise "x"'],
    [{ kind: 'set-parameters', id: 'x', set: { L: 2 } }, 'exercise "x"'],
    [{ kind: 'change-guide', id: 'g9', set: { name: 'n' } }, 'guide "g9"'],
    [{ kind: 'remove-guide', id: 'g9' }, 'guide "g9"'],
    [{ kind: 'transform-guides', ids: ['g1', 'g9'], matrix: moveBy({ x: 1, y: 1 }) }, 'guide "g9"'],
    [{ kind: 'change-group', id: 'm9', set: { name: 'n' } }, 'group "m9"'],
    [{ kind: 'remove-group', id: 'm9' }, 'group "m9"'],
    [{ kind: 'change-thread', id: 't9', set: { kind: 'crewel-wool' } }, 'thread "t9"'],
    [{ kind: 'remove-thread', id: 't9' }, 'thread "t9"'],
    [{ kind: 'rename-lesson', id: 'l9', title: 'n' }, 'lesson "l9"'],
    [{ kind: 'remove-lesson', id: 'l9' }, 'lesson "l9"'],
    [{ kind: 'remove-stitch', id: 'mine' }, 'stitch "mine"'],
    [{ kind: 'drop-order', id: 'o9' }, 'kept order "o9"'],
    // What an edit would name must be there too.
    [{ kind: 'assign', id: 'a', role: 'tie', set: { thread: 't9' } }, 'thread "t9"'],
    [{ kind: 'change-exercise', id: 'a', set: { on: [{ guide: 'g9' }] } }, 'guide "g9"'],
    [{ kind: 'change-exercise', id: 'a', set: { over: ['x'] } }, 'exercise "x"'],
    [{ kind: 'change-exercise', id: 'a', set: { pins: { lesson: 'l9' } } }, 'lesson "l9"'],
    [{ kind: 'add-exercise', exercise: { id: 'c', name: 'C', stitch: 'back-stitch', on: [{ guide: 'g9' }] }, at: 0 }, 'guide "g9"'],
  ]

  it.each(nobody.map(([operation, what]) => [`${operation.kind} of ${what}`, operation, what] as const))('%s is refused by name', (_words, operation, what) => {
    expect(refusal(operation)).toBe(`The ${what} is no longer in this sampler, so this change could not be made.`)
  })
})

describe('what is there already', () => {
  it.each<[Operation, string]>([
    [{ kind: 'add-exercise', exercise: { id: 'a', name: 'Again', stitch: 'back-stitch', on: [{ guide: 'g1' }] }, at: 0 }, 'Again'],
    [{ kind: 'add-guide', guide: { id: 'g1', name: 'Again', guide: { kind: 'line', path: 'M 0 0 H 9' } }, at: 0 }, 'Again'],
    [{ kind: 'add-group', group: { id: 'm1', name: 'Again', members: [] }, at: 0 }, 'Again'],
    [{ kind: 'add-lesson', lesson: { id: 'l1', title: 'Again' }, at: 0 }, 'Again'],
    [{ kind: 'add-thread', thread: { id: 't1', kind: 'stranded-cotton', colour: { name: 'Again', hex: '#000000' } }, at: 0 }, 'Again'],
  ])('%j is refused by its name', (operation, name) => {
    expect(refusal(operation)).toBe(`"${name}" is in this sampler already.`)
  })

  it('a stitch and a kept order are written again in their place', () => {
    const put: Operation = { kind: 'put-stitch', stitch: { ...own, name: 'Written again' }, at: 7 }
    expect(done(put).stitches.map((one) => one.name)).toEqual(['Written again'])
    expect(back(put)).toEqual(start)
    const keep: Operation = { kind: 'keep-order', order: { id: 'o1', name: 'Later', lessons: [['b', 'a']] }, at: 5 }
    expect(done(keep).keptOrders).toEqual([{ id: 'o1', name: 'Later', lessons: [['b', 'a']] }])
    expect(back(keep)).toEqual(start)
  })
})

describe('fields', () => {
  it('set and cleared in one edit, and what is not named stays', () => {
    const noted = done({ kind: 'change-exercise', id: 'a', set: { note: 'slowly', marks: 'none' } })
    const next: Operation = { kind: 'change-exercise', id: 'a', set: { nth: 4 }, clear: ['note'] }
    expect(done(next, noted).exercises[0]).toEqual({ ...start.exercises[0], marks: 'none', nth: 4 })
    expect(back(next, noted)).toEqual(noted)
  })

  it('the last setting of a thread that goes takes its role along, and the last role the materials', () => {
    const set = done({ kind: 'assign', id: 'a', role: 'tie', set: { strands: 2 } })
    expect(set.exercises[0]?.materials).toEqual({ tie: { strands: 2 } })
    const clear: Operation = { kind: 'assign', id: 'a', role: 'tie', set: {}, clear: ['strands'] }
    expect(done(clear, set).exercises[0]).not.toHaveProperty('materials')
    expect(back(clear, set)).toEqual(set)
  })

  it('a parameter beside another leaves it; the last one cleared leaves none', () => {
    const both = done({ kind: 'set-parameters', id: 'a', set: { H: 5 } }, done({ kind: 'set-parameters', id: 'a', set: { L: 3 } }))
    expect(both.exercises[0]?.parameters).toEqual({ L: 3, H: 5 })
    const clear: Operation = { kind: 'set-parameters', id: 'a', set: {}, clear: ['L', 'H'] }
    expect(done(clear, both).exercises[0]).not.toHaveProperty('parameters')
    expect(back(clear, both)).toEqual(both)
  })

  it('ways of working, one at a time: the others stay as they were', () => {
    const once = done({ kind: 'change-brief', set: { waysOfWorking: { satin: 'turned' } } })
    const twice = done({ kind: 'change-brief', set: { waysOfWorking: { split: 'from-above' } } }, once)
    expect(twice.brief.waysOfWorking).toMatchObject({ satin: 'turned', split: 'from-above' })
    expect(twice.brief.level).toBe(start.brief.level)
  })

  it('cloth, hoops, units and name are set and taken back', () => {
    const edits: Operation[] = [
      { kind: 'change-cloth', set: { widthMm: 333 } },
      { kind: 'set-hoop', hoop: { shape: 'round', nominalMm: 200, insideMm: 193, at: [100, 100] } },
      { kind: 'set-display-hoop', hoop: { shape: 'round', nominalMm: 150, insideMm: 143, at: [100, 100] } },
      { kind: 'set-units', units: 'in' },
      { kind: 'rename', name: 'Storm' },
    ]
    for (const edit of edits) {
      expect(done(edit), edit.kind).not.toEqual(start)
      expect(back(edit), edit.kind).toEqual(start)
    }
    const hooped = done(edits[1] as Operation)
    const none: Operation = { kind: 'set-hoop', hoop: null }
    expect(done(none, hooped)).not.toHaveProperty('workingHoop')
    expect(back(none, hooped)).toEqual(hooped)
  })
})

describe('lessons', () => {
  it('an exercise moves to its place counted without itself, out of every lesson, and back', () => {
    const together = done({ kind: 'move-exercise', id: 'b', to: { lesson: 'l1', at: 0 } })
    expect(together.lessons.map((one) => one.exercises)).toEqual([['b', 'a'], []])
    // One place on within its lesson is behind the other.
    expect(done({ kind: 'move-exercise', id: 'b', to: { lesson: 'l1', at: 1 } }, together).lessons[0]?.exercises).toEqual(['a', 'b'])
    const out: Operation = { kind: 'move-exercise', id: 'b', to: null }
    expect(done(out, together).lessons[0]?.exercises).toEqual(['a'])
    expect(back(out, together)).toEqual(together)
  })

  it('a place beyond the end is the end', () => {
    expect(done({ kind: 'move-exercise', id: 'b', to: { lesson: 'l1', at: 99 } }).lessons[0]?.exercises).toEqual(['a', 'b'])
    expect(done({ kind: 'add-lesson', lesson: { id: 'l3', title: 'Snow' }, at: 99 }).lessons.map((one) => one.id)).toEqual(['l1', 'l2', 'l3'])
  })

  it('one that is removed leaves its exercises untaught, and comes back with them and their pins', () => {
    const pinned = done({ kind: 'change-exercise', id: 'b', set: { pins: { lesson: 'l2', last: true } } })
    const remove: Operation = { kind: 'remove-lesson', id: 'l2' }
    const without = done(remove, pinned)
    expect(without.lessons.map((one) => one.id)).toEqual(['l1'])
    expect(without.exercises[1]?.pins).toEqual({ last: true })
    expect(back(remove, pinned)).toEqual(pinned)
  })

  it('an exercise that is added to a lesson that has gone meanwhile is taught in none', () => {
    const add: Operation = {
      kind: 'add-exercise',
      exercise: { id: 'c', name: 'C', stitch: 'back-stitch', on: [{ guide: 'g1' }] },
      at: 0,
      taught: { lesson: 'l9', at: 0 },
    }
    const added = done(add)
    expect(added.exercises.map((one) => one.id)).toEqual(['c', 'a', 'b'])
    expect(added.lessons).toEqual(start.lessons)
    expect(back(add)).toEqual(start)
  })

  it('an arrangement takes each exercise once, and what nobody has is not taken', () => {
    const arranged = done({
      kind: 'arrange-lessons',
      lessons: [
        { id: 'l2', title: 'Ignored', exercises: ['b', 'a', 'ghost'] },
        { id: 'l3', title: 'New', exercises: ['a'] },
      ],
    })
    expect(arranged.lessons).toEqual([
      { id: 'l2', title: 'Fog', exercises: ['b', 'a'] },
      { id: 'l3', title: 'New', exercises: [] },
    ])
  })
})

describe('guides', () => {
  it('moved together take their copies along, and come back to the byte', () => {
    const move: Operation = { kind: 'transform-guides', ids: ['g1', 'g2'], matrix: moveBy({ x: 3.1, y: -0.7 }) }
    const moved = done(move)
    expect(moved.drawing.guides[1]).toMatchObject({ guide: { at: [33.1, 29.3] }, copies: { centre: [53.1, 49.3] } })
    expect(JSON.stringify(back(move))).toBe(JSON.stringify(start))
  })

  it('would be bent by a scale that differs by direction: refused', () => {
    expect(refusal({ kind: 'transform-guides', ids: ['g1'], matrix: [2, 0, 0, 1, 0, 0] as never })).toMatch(
      /this would bend them|made larger or smaller evenly/,
    )
    expect(done({ kind: 'transform-guides', ids: ['g2'], matrix: scaleAbout({ x: 30, y: 30 }, 2) }).drawing.guides[1]?.guide).toMatchObject({ radiusMm: 12 })
  })

  it('in use stay, with all who use them named, and three at the most', () => {
    const many = ['c', 'd', 'e'].reduce(
      (sampler, id) => done({ kind: 'add-exercise', exercise: { id, name: `Exercise ${id}`, stitch: 'back-stitch', on: [{ guide: 'g1' }] }, at: 9 }, sampler),
      start,
    )
    const applied = applyOperation(many, { kind: 'remove-guide', id: 'g1' })
    expect(applied.ok ? '' : sentenceOf(applied.problems)).toBe(
      'This guide is used by "Exercise a", "Exercise b", "Exercise c" and 2 more. Give those another first.',
    )
  })

  it('a group goes and its guides stay', () => {
    const remove: Operation = { kind: 'remove-group', id: 'm1' }
    expect(done(remove).drawing).toEqual({ guides: start.drawing.guides, groups: [] })
    expect(back(remove)).toEqual(start)
  })
})

describe('stitches of the sampler’s own', () => {
  it('one that another is built on stays; one that is only allowed is allowed no longer, and again after undo', () => {
    const based = done({ kind: 'put-stitch', stitch: { ...own, id: 'whipped', name: 'Whipped own', base: 'own' } })
    const held = applyOperation(based, { kind: 'remove-stitch', id: 'own' })
    expect(held.ok ? '' : sentenceOf(held.problems)).toBe('This stitch is used by "Whipped own". Give that another first.')
    const allowed = done({ kind: 'change-exercise', id: 'a', set: { substitutes: [{ stitch: 'own' }, { stitch: 'stem-stitch' }] } })
    const remove: Operation = { kind: 'remove-stitch', id: 'own' }
    expect(done(remove, allowed).exercises[0]?.substitutes).toEqual([{ stitch: 'stem-stitch' }])
    expect(back(remove, allowed)).toEqual(allowed)
  })
})

describe('a batch', () => {
  it('is one step back, whatever is in it, batches too', () => {
    const batch: Operation = {
      kind: 'batch',
      operations: [
        { kind: 'rename', name: 'Storm' },
        {
          kind: 'batch',
          operations: [
            { kind: 'remove-exercise', id: 'a' },
            { kind: 'remove-lesson', id: 'l1' },
          ],
        },
      ],
    }
    expect(done(batch).exercises.map((one) => one.id)).toEqual(['b'])
    expect(JSON.stringify(back(batch))).toBe(JSON.stringify(start))
  })

  it('of nothing changes nothing and needs no way back', () => {
    expect(done({ kind: 'batch', operations: [] })).toBe(start)
    expect(invertOperation(start, { kind: 'batch', operations: [] })).toBeNull()
  })
})

describe('an edit of figures', () => {
  it('is made though something else in the document names what is gone, and mends nothing unasked', () => {
    const torn: Sampler = { ...start, lessons: [{ id: 'l1', title: 'Rain', exercises: ['a', 'ghost'] }] }
    expect(done({ kind: 'set-parameters', id: 'a', set: { L: 3 } }, torn).lessons).toEqual(torn.lessons)
    expect(done({ kind: 'transform-guides', ids: ['g1'], matrix: moveBy({ x: 1, y: 0 }) }, torn).exercises).toBe(torn.exercises)
  })
})

describe('a mark of every so many holes', () => {
  it('has its own figure, which goes with nothing else', () => {
    const marked = done({ kind: 'change-exercise', id: 'a', set: { marks: 'every-nth', nth: 4 } })
    const plain: Operation = { kind: 'change-exercise', id: 'a', set: { marks: 'none' } }
    expect(done(plain, marked).exercises[0]).toMatchObject({ marks: 'none', nth: 4 })
    expect(back(plain, marked)).toEqual(marked)
  })
})
