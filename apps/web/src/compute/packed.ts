/**
 * Worked exercises on their way from the worker to the page. Threads, holes and places, which are nearly all of them, travel
 * in one row of numbers that is handed over whole: copied thing by thing, as objects are, they would take longer than working
 * them did.
 */
import type { Point3 } from '@lemmata/core/geometry'
import type { Hole, MoveRef, Segment } from '@lemmata/core/work'
import { NumberReader, NumberWriter } from './number-row.ts'

/** Shorter lists of numbers and places are copied as they are. */
const ENOUGH = 6

export interface Packed {
  readonly tree: unknown
  readonly words: readonly unknown[]
  readonly numbers: Float64Array<ArrayBuffer>
}

type Kind = 'threads' | 'holes' | 'numbers' | 'places' | 'deep places'

/** In place of a list; its key has a space in it, which no name of a field has. */
interface InNumbers {
  readonly 'in numbers': Kind
  readonly count: number
  readonly at: number
}

/** Takes nothing out of what it is given. What is one list or record stays one on the other side. */
export function pack(value: unknown): Packed {
  const numbers = new NumberWriter()
  const known = new Map<object, unknown>()
  const treeOf = (one: unknown): unknown => {
    if (Array.isArray(one)) {
      const before = known.get(one)
      if (before !== undefined) return before
      const kind = kindOf(one)
      const list: unknown = kind ? { 'in numbers': kind, count: one.length, at: numbers.at } : one.map(treeOf)
      if (kind) WRITE[kind](one as never, numbers)
      known.set(one, list)
      return list
    }
    if (!isRecord(one)) return one
    const before = known.get(one)
    if (before !== undefined) return before
    const made: Record<string, unknown> = {}
    known.set(one, made)
    for (const key of Object.keys(one)) made[key] = treeOf(one[key])
    return made
  }
  const tree = treeOf(value)
  return { tree, words: numbers.words, numbers: numbers.done() }
}

export function unpack({ tree, words, numbers }: Packed): unknown {
  const known = new Map<object, unknown>()
  const valueOf = (one: unknown): unknown => {
    if (Array.isArray(one)) {
      const before = known.get(one)
      if (before !== undefined) return before
      const list = one.map(valueOf)
      known.set(one, list)
      return list
    }
    if (!isRecord(one)) return one
    const before = known.get(one)
    if (before !== undefined) return before
    if (isInNumbers(one)) {
      const list = READ[one['in numbers']](new NumberReader(numbers, words, one.at), one.count)
      known.set(one, list)
      return list
    }
    known.set(one, one)
    for (const key of Object.keys(one)) one[key] = valueOf(one[key])
    return one
  }
  return valueOf(tree)
}

const WRITE: { readonly [K in Kind]: (list: never, to: NumberWriter) => void } = {
  threads: (list: readonly Segment[], to) => list.forEach((one) => writeThread(one, to)),
  holes: (list: readonly Hole[], to) => list.forEach((one) => writeHole(one, to)),
  numbers: (list: readonly number[], to) => {
    to.room(list.length)
    list.forEach((one) => to.put(one))
  },
  places: (list: readonly Point3[], to) => to.putPlaces(list, false),
  'deep places': (list: readonly Point3[], to) => to.putPlaces(list, true),
}

const READ: { readonly [K in Kind]: (from: NumberReader, count: number) => unknown } = {
  threads: (from, count) => listOf(count, () => readThread(from)),
  holes: (from, count) => listOf(count, () => readHole(from)),
  numbers: (from, count) => listOf(count, () => from.take()),
  places: (from) => from.takePlaces(),
  'deep places': (from) => from.takeDeepPlaces(),
}

/** Fields of a thread and of a hole, more than there are. */
const FIELDS = 32

function writeThread(one: Segment, to: NumberWriter): void {
  to.room(FIELDS)
  to.putWord(one.side)
  to.putWord(one.thread)
  to.putWord(one.kind)
  to.putWord(one.lie)
  to.putPlaces(one.points, true)
  to.room(FIELDS)
  to.put(one.lengthMm)
  to.put(one.order)
  to.put(one.sequence)
  writeMade(one.made, to)
  to.putOrNull(one.row)
  to.putWord(one.label)
  to.put(one.from)
  to.put(one.to)
  to.putOrNull(one.heldBy)
  to.putPlaces(one.parted as Point3[], false)
  to.room(FIELDS)
  to.putWord(one.pierces)
  to.put(one.turns)
  to.putWord(one.wound)
  to.put(one.sizeMm)
  to.put(one.wrapMm)
  // Few are drawn in by others: as it lay before it travels whole.
  to.putWord(one.asLaid)
}

/** Read in the order in which it was written: fields of a literal are made in turn. */
function readThread(from: NumberReader): Segment {
  const thread: Segment = {
    side: from.takeWord(),
    thread: from.takeWord(),
    kind: from.takeWord(),
    lie: from.takeWord(),
    points: from.takeDeepPlaces(),
    lengthMm: from.take(),
    order: from.take(),
    sequence: from.take(),
    made: readMade(from),
    row: from.takeOrNull(),
    label: from.takeWord(),
    from: from.take(),
    to: from.take(),
    heldBy: from.takeOrNull(),
    parted: from.takePlaces(),
    pierces: from.takeWord(),
    turns: from.take(),
    wound: from.takeWord(),
    sizeMm: from.take(),
    wrapMm: from.take(),
  }
  const asLaid = from.takeWord<Segment['asLaid']>()
  if (asLaid) thread.asLaid = asLaid
  return thread
}

function writeHole(one: Hole, to: NumberWriter): void {
  to.room(FIELDS)
  to.put(one.x)
  to.put(one.y)
  to.putWord(one.move)
  to.putWord(one.thread)
  to.putOrNull(one.row)
  writeMade(one.made, to)
  to.put(one.same)
}

function readHole(from: NumberReader): Hole {
  return {
    x: from.take(),
    y: from.take(),
    move: from.takeWord(),
    thread: from.takeWord(),
    row: from.takeOrNull(),
    made: readMade(from),
    same: from.take(),
  }
}

function writeMade(one: MoveRef, to: NumberWriter): void {
  to.put(one.pass)
  to.putWord(one.block)
  to.put(one.list)
  to.put(one.repeat)
  to.put(one.move)
  to.putOrNull(one.inner)
}

function readMade(from: NumberReader): MoveRef {
  return { pass: from.take(), block: from.takeWord(), list: from.take(), repeat: from.take(), move: from.take(), inner: from.takeOrNull() }
}

function kindOf(list: readonly unknown[]): Kind | null {
  const [first] = list
  if (isRecord(first) && 'made' in first) {
    if ('wound' in first) return 'threads'
    if ('same' in first) return 'holes'
  }
  if (list.length < ENOUGH) return null
  if (typeof first === 'number') return list.every((one) => typeof one === 'number') ? 'numbers' : null
  if (arePlaces(list, 'x,y')) return 'places'
  return arePlaces(list, 'x,y,z') ? 'deep places' : null
}

function arePlaces(list: readonly unknown[], keys: string): boolean {
  return list.every((one) => {
    if (!isRecord(one) || typeof one.x !== 'number' || typeof one.y !== 'number') return false
    let own = ''
    for (const key in one) own = own === '' ? key : `${own},${key}`
    return own === keys && (one.z === undefined || typeof one.z === 'number')
  })
}

function listOf<One>(count: number, make: () => One): One[] {
  const list = new Array<One>(count)
  for (let at = 0; at < count; at += 1) list[at] = make()
  return list
}

/** A map, a set or a row of numbers is copied as it is. */
function isRecord(one: unknown): one is Record<string, unknown> {
  return typeof one === 'object' && one !== null && Object.getPrototypeOf(one) === Object.prototype
}

function isInNumbers(one: object): one is InNumbers {
  return 'in numbers' in one
}
