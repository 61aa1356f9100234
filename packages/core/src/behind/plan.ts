/**
 * What goes on behind the cloth, lesson by lesson and thread by thread: in which order and from which end the pieces are
 * worked, what is carried from one to the next and what is finished off, and where needlefuls end. Pieces keep to their
 * exercise, and exercises to the order in which they are taught.
 */
import type { ExerciseId, LessonId, PieceId } from '../base/index.ts'
import { threadOfRow, usedThreads, type WorkedExercise, type WorkedPiece } from '../exercise/index.ts'
import { distance, nearestPlace, type Point } from '../geometry/index.ts'
import { carryLimit, findClothKind } from '../materials/index.ts'
import { TAILS_MM } from '../measure/index.ts'
import type { ThreadRole } from '../notation/index.ts'
import type { Sampler, SamplerThread } from '../sampler/index.ts'
import { bestWay, type Leg } from './best-way.ts'
import { needlefulStops, type NeedlefulEnd, type Spent } from './needlefuls.ts'

export interface WorkedRun {
  readonly exercise: ExerciseId
  readonly piece: PieceId
  /** Worked from its other end. */
  readonly turned: boolean
  readonly from: Point
  readonly to: Point
}

export interface Carry {
  readonly from: Point
  readonly to: Point
  readonly mm: number
  /** Carried on behind, or finished off and begun anew. */
  readonly kind: 'carried' | 'begun-anew'
  readonly before: { readonly exercise: ExerciseId; readonly piece: PieceId }
  readonly after: { readonly exercise: ExerciseId; readonly piece: PieceId }
}

/** Thread that a stitch itself takes further behind than this cloth hides: from spot to spot, say. */
export interface LongHop {
  readonly exercise: ExerciseId
  readonly piece: PieceId
  readonly from: Point
  readonly to: Point
  readonly mm: number
}

export interface NeedlefulPlace {
  readonly exercise: ExerciseId
  readonly piece: PieceId
  readonly at: Point
  readonly why: NeedlefulEnd
}

export interface ThreadBehind {
  readonly thread: SamplerThread
  readonly strands: number
  readonly role: ThreadRole
  /** This thread may go so far behind this cloth, mm. */
  readonly limitMm: number
  readonly runs: readonly WorkedRun[]
  readonly carries: readonly Carry[]
  readonly longHops: readonly LongHop[]
  readonly needlefuls: readonly NeedlefulPlace[]
}

export interface LessonBehind {
  /** Null: taught in no lesson. */
  readonly lesson: LessonId | null
  readonly threads: readonly ThreadBehind[]
}

interface Run extends Leg {
  readonly done: WorkedExercise
  readonly piece: WorkedPiece
}

interface Group {
  readonly thread: SamplerThread
  readonly strands: number
  readonly role: ThreadRole
  readonly needlefulMm: number
  /** Exercise by exercise, as taught. */
  readonly exercises: (readonly Run[])[]
}

/** `done`: worked exercises, in any order. Those that could not be worked are left out. */
export function planBehind(sampler: Pick<Sampler, 'cloth' | 'lessons'>, done: readonly WorkedExercise[]): readonly LessonBehind[] {
  const byId = new Map(done.map((one) => [one.exercise.id, one] as const))
  const taught = sampler.lessons.map((lesson) => ({ lesson: lesson.id, list: lesson.exercises.flatMap((id) => byId.get(id) ?? []) }))
  const placed = new Set(taught.flatMap((one) => one.list))
  const rest = done.filter((one) => !placed.has(one))
  return [...taught, { lesson: null, list: rest }]
    .filter((one) => one.list.length > 0)
    .map(({ lesson, list }) => ({ lesson, threads: groupsOf(list).map((group) => planThread(group, sampler)) }))
}

function groupsOf(list: readonly WorkedExercise[]): readonly Group[] {
  const groups = new Map<string, Group>()
  for (const done of list)
    for (const used of done.threads) {
      const runs = done.pieces.flatMap((piece) => runOf(done, piece, used.role, used.thread) ?? [])
      if (runs.length === 0) continue
      const strands = used.strands.value
      const key = `${used.thread.id} ${strands} ${used.role}`
      const known = groups.get(key)
      if (known) known.exercises.push(runs)
      else groups.set(key, { thread: used.thread, strands, role: used.role, needlefulMm: used.needlefulMm, exercises: [runs] })
    }
  return [...groups.values()]
}

function runOf(done: WorkedExercise, piece: WorkedPiece, role: ThreadRole, thread: SamplerThread): Run | null {
  const isIts = ofThread(piece, role, thread)
  const holes = piece.worked.holes.filter(isIts)
  const [first, last] = [holes[0], holes.at(-1)]
  return first && last ? { done, piece, from: first, to: last, canTurn: canTurn(piece, role) } : null
}

/** A role may have a thread for each row: what is worked in another shade is not this thread's. */
function ofThread(piece: WorkedPiece, role: ThreadRole, thread: SamplerThread) {
  const assigned = piece.assigned.threads.find((one) => one.role === role)
  return (one: { readonly thread: ThreadRole; readonly row: number | null }): boolean =>
    one.thread === role && assigned !== undefined && threadOfRow(assigned, one.row).id === thread.id
}

/** Stitches that lie straight on their line look the same from either end; legs, loops and slants do not. */
function canTurn({ guide, worked }: WorkedPiece, role: ThreadRole): boolean {
  if (guide.kind !== 'line' || guide.path.closed || guide.width) return false
  const front = worked.segments.filter((segment) => segment.side === 'front')
  return front.every(
    ({ thread, kind, pierces, points }) =>
      thread === role && kind === 'straight' && !pierces && points.every((at) => nearestPlace(guide.path, at).distance < ON_LINE_MM),
  )
}

const ON_LINE_MM = 0.2

function planThread({ thread, strands, role, needlefulMm, exercises }: Group, { cloth }: Pick<Sampler, 'cloth'>): ThreadBehind {
  const limitMm = carryLimit(findClothKind(cloth.kind)?.seeThrough ?? 'medium', thread.colour.hex, cloth.colour.hex)
  const cost = (from: Point, to: Point): number => carryCost(distance(from, to), limitMm)
  const order: (Run & { readonly turned: boolean })[] = []
  for (const runs of exercises) {
    const before = order.at(-1)
    const way = bestWay(runs, cost, before ? exitOf(before) : null)
    order.push(...way.steps.map(({ leg, turned }) => ({ ...(runs[leg] as Run), turned })))
  }
  const idOf = ({ done, piece }: Run) => ({ exercise: done.exercise.id, piece: piece.id })
  const carries = order.slice(1).map((after, index): Carry => {
    const before = order[index] as (typeof order)[number]
    const [from, to] = [exitOf(before), entryOf(after)]
    const mm = distance(from, to)
    return { from, to, mm, kind: mm <= limitMm ? 'carried' : 'begun-anew', before: idOf(before), after: idOf(after) }
  })
  const hops = order.map((_, index) => {
    const carry = carries[index - 1]
    return carry ? carryCost(carry.mm, limitMm) : 0
  })
  const stops = needlefulStops(
    order.map((run) => spentOn(run, role, thread)),
    hops,
    Math.max(50, needlefulMm - TAILS_MM),
  )
  return {
    thread,
    strands,
    role,
    limitMm,
    runs: order.map((run) => ({ ...idOf(run), turned: run.turned, from: plain(entryOf(run)), to: plain(exitOf(run)) })),
    // Where a needleful ends nothing is carried on.
    carries: carries.map((carry, index) => (stops.some((stop) => stop.why === 'between' && stop.piece === index) ? { ...carry, kind: 'begun-anew' } : carry)),
    longHops: order.flatMap((run) => longHopsOf(run, role, thread, limitMm)),
    needlefuls: stops.map(({ piece, at, why }) => ({ ...idOf(order[piece] as Run), at, why })),
  }
}

/** Thread that goes behind lies a little longer than the way. */
const CARRY_SLACK = 1.05

/** Thread for it, mm: carried, or the two tails of finishing off and beginning anew. Where both cost as much, nearer is better. */
export function carryCost(mm: number, limitMm: number): number {
  return mm <= limitMm ? CARRY_SLACK * mm : TAILS_MM + mm / 1000
}

const plain = ({ x, y }: Point): Point => ({ x, y })
const entryOf = (run: Run & { readonly turned: boolean }): Point => plain(run.turned ? run.to : run.from)
const exitOf = (run: Run & { readonly turned: boolean }): Point => plain(run.turned ? run.from : run.to)

function longHopsOf({ done, piece }: Run, role: ThreadRole, thread: SamplerThread, limitMm: number): readonly LongHop[] {
  const isIts = ofThread(piece, role, thread)
  // A stitch's own back, as satin has it across a shape or a band, lies under its front and is not seen.
  if (piece.guide.kind === 'shape' || (piece.guide.kind === 'line' && piece.guide.width)) return []
  return piece.worked.segments.flatMap((segment) => {
    if (segment.side !== 'back' || !isIts(segment)) return []
    const [from, to] = [segment.points[0], segment.points.at(-1)]
    if (!from || !to) return []
    const mm = distance(from, to)
    return mm > limitMm ? [{ exercise: done.exercise.id, piece: piece.id, from: plain(from), to: plain(to), mm }] : []
  })
}

/** What the piece takes of this thread, as it is measured everywhere, spread along its way as thread lies there. */
function spentOn(run: Run & { readonly turned: boolean }, role: ThreadRole, thread: SamplerThread): readonly Spent[] {
  const { piece } = run
  const { guide } = piece
  const corners = guide.kind === 'line' ? guide.path.corners : []
  const segments = piece.worked.segments.filter(ofThread(piece, role, thread))
  const ordered = run.turned ? [...segments].reverse() : segments
  const lies = segments.reduce((total, segment) => total + segment.lengthMm + segment.wrapMm, 0)
  const use = usedThreads([piece]).find((one) => one.role === role && one.thread.id === thread.id)?.use
  const share = use && lies > 0 ? (use.total - use.tails) / lies : 1
  let usedMm = 0
  return ordered.map((segment) => {
    usedMm += share * (segment.lengthMm + segment.wrapMm)
    const at = plain((run.turned ? segment.points[0] : segment.points.at(-1)) ?? run.to)
    const along = guide.kind === 'line' && corners.length > 0 ? nearestPlace(guide.path, at).travelled : -1
    return { usedMm, at, isCorner: corners.some((corner) => Math.abs(corner - along) < ON_LINE_MM) }
  })
}

export interface BehindTotals {
  readonly carriedMm: number
  readonly carries: number
  readonly begunAnew: number
  readonly longestMm: number
  readonly longHops: number
}

export function totalsBehind(threads: readonly ThreadBehind[]): BehindTotals {
  const all = threads.flatMap((one) => one.carries)
  const carried = all.filter((one) => one.kind === 'carried')
  return {
    carriedMm: carried.reduce((total, one) => total + one.mm, 0),
    carries: carried.length,
    begunAnew: all.length - carried.length,
    longestMm: Math.max(0, ...carried.map((one) => one.mm)),
    longHops: threads.reduce((total, one) => total + one.longHops.length, 0),
  }
}
