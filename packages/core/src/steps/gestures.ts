/**
 * Moves joined to what the hand does in one go: in at one place and out at the next is one gesture of a needle that sews, a
 * stitch up and down again is one of a needle that stabs. A picture and a sentence belong to a gesture, never to a bare move.
 */
import { distance, type Point, placeAt, nearestPlace } from '../geometry/index.ts'
import type { ReadGuide } from '../guide/index.ts'
import { cycleOf, MAIN_ROLE, type Move, type StitchDocument, type ThreadRole } from '../notation/index.ts'
import type { Hole, MoveRef, SurfaceKind, SurfaceMove, WorkedStitch } from '../work/index.ts'

/**
 * `up`, `down`: alone. `straight`: up and down again. `sew`: in and out in one. `half`: the needle left half out. `wind`: turns on
 * the needle and down. `pass`: under thread. `weave`: one way over and under. The rest: the move itself.
 */
export type GestureKind = 'up' | 'down' | 'straight' | 'sew' | 'half' | 'wind' | 'pass' | 'weave' | Exclude<SurfaceKind, 'under' | 'over'>

/** One hole, or one thing done on the surface. */
export interface Happening {
  readonly kind: 'up' | 'down' | SurfaceKind
  /** Index into the worked holes; null on the surface. */
  readonly hole: number | null
  readonly surface: SurfaceMove | null
  readonly move: Move | null
  readonly made: MoveRef
  readonly row: number | null
}

export interface Gesture {
  readonly kind: GestureKind
  readonly happenings: readonly [Happening, ...Happening[]]
  readonly pass: number
  readonly thread: ThreadRole
  /** The same for gestures made by the same moves of the document. */
  readonly key: string
  /** The first gesture after the thread of its pass begins. */
  readonly begins: boolean
  /** Which of the pieces that are worked once each it belongs to; 0 where there is one. */
  readonly piece: number
  readonly row: number | null
}

/** What is farther from hole to hole cannot be taken up in one with the needle, mm. */
const SEWN_MM = 12
/** A stitch across its guide as short as this is a tie: stabbed. mm. */
const TIE_MM = 3

export function gesturesOf(document: StitchDocument, worked: WorkedStitch, guide: ReadGuide): readonly Gesture[] {
  const all = happeningsOf(document, worked)
  const wound = new Set(worked.segments.flatMap((segment) => (segment.turns > 0 ? [segment.to] : [])))
  const gestures: Gesture[] = []
  let index = 0
  while (index < all.length) {
    const found = gestureAt(all, index, { document, worked, guide, wound })
    gestures.push(found)
    index += found.happenings.length
  }
  return gestures
}

interface On {
  readonly document: StitchDocument
  readonly worked: WorkedStitch
  readonly guide: ReadGuide
  /** Holes at which turns on the needle end. */
  readonly wound: ReadonlySet<number>
}

function gestureAt(all: readonly Happening[], index: number, on: On): Gesture {
  const first = all[index] as Happening
  const { document, worked } = on
  const before = all[index - 1]
  const begins = before === undefined || before.made.pass !== first.made.pass
  const as = (kind: GestureKind, count: number, ordered = all.slice(index, index + count)): Gesture => {
    const happenings = ordered as unknown as readonly [Happening, ...Happening[]]
    return {
      kind,
      happenings,
      pass: first.made.pass,
      thread: threadOf(first, document, worked),
      key: `${kind} ${happenings.map(keyOf).join(' ')}`,
      begins,
      piece: isOnce(document, first.made.pass) ? first.made.repeat : 0,
      row: first.row,
    }
  }
  switch (first.kind) {
    case 'up': {
      const next = all[index + 1]
      if (next?.kind === 'lead' && isBowed(all, index, on)) return as('straight', 3, [all[index] as Happening, all[index + 2] as Happening, next])
      const stays = next?.kind === 'down' && next.made.pass === first.made.pass && !('half' in (first.move ?? {})) && !isWound(next, on)
      return stays && !isSewn(all, index + 1, on) ? as('straight', 2) : as('up', 1)
    }
    case 'down': {
      if (isWound(first, on)) return as('wind', 1)
      const out = all[index + 1]
      if (out?.move && 'half' in out.move && out.move.half) return as('half', 2)
      return isSewn(all, index, on) ? as('sew', 2) : as('down', 1)
    }
    case 'under':
    case 'over': {
      const count = wovenRun(all, index, on)
      return count > 1 ? as('weave', count) : as('pass', 1)
    }
    default:
      return as(first.kind, 1)
  }
}

/** Up, a little aside and down again: a stitch laid beside others in the same holes. */
function isBowed(all: readonly Happening[], index: number, on: On): boolean {
  const [up, lead, down] = [all[index] as Happening, all[index + 1], all[index + 2]]
  if (!lead?.surface || down?.kind !== 'down' || down.made.pass !== up.made.pass || isWound(down, on)) return false
  const [from, to] = [holeOf(up, on), holeOf(down, on)]
  return from !== null && to !== null && distance(from, lead.surface.at) + distance(lead.surface.at, to) < BOWED * distance(from, to)
}

/** Longer than the straight way by no more than this, a stitch is still a stitch and no loop. */
const BOWED = 1.35

/** The thread in the needle: a pass may change needles as it goes. */
function threadOf({ hole, surface, made }: Happening, document: StitchDocument, { holes }: WorkedStitch): ThreadRole {
  const own = document.passes[made.pass]?.thread ?? MAIN_ROLE
  return (hole === null ? surface?.thread : holes[hole]?.thread) ?? own
}

/** Small stitches along several threads in turn are the same thing done again. */
const keyOf = ({ kind, made: { pass, block, list, move, inner } }: Happening): string =>
  inner !== null && (kind === 'up' || kind === 'down') ? `${kind}${pass}${block}.${inner}` : `${kind}${pass}${block}${list}.${move}.${inner ?? ''}`

const isOnce = (document: StitchDocument, pass: number): boolean => 'once' in (document.passes[pass]?.place ?? {})

const isWound = ({ hole }: Happening, { wound }: On): boolean => hole !== null && wound.has(hole)

/** In at this hole and out at the next, in one: nothing lies between, it is near enough, and no thread is held down by it. */
function isSewn(all: readonly Happening[], index: number, on: On): boolean {
  const [down, up, before] = [all[index] as Happening, all[index + 1], all[index - 1]]
  if (!up || down.kind !== 'down' || up.kind !== 'up' || up.made.pass !== down.made.pass || isWound(down, on)) return false
  // Another needle is taken up between them.
  if (holeOf(down, on)?.thread !== holeOf(up, on)?.thread) return false
  if (isOnce(on.document, down.made.pass) && up.made.repeat !== down.made.repeat) return false
  const { move } = down
  if (move && 'down' in move && move.plunge) return false
  if (move && 'down' in move && move.loose) return true
  if (up.made.block === 'afterCorner' || down.made.inner !== null) return false
  const [from, to] = [holeOf(down, on), holeOf(up, on)]
  if (!from || !to || distance(from, to) > SEWN_MM) return false
  if (on.guide.kind !== 'line' || on.guide.centre || on.guide.width?.kind === 'outline') return false
  const holdsLoop = before?.move && 'up' in before.move && (before.move.round === 'inside' || before.move.round === 'cross')
  if (holdsLoop) return false
  const start = before?.kind === 'up' ? holeOf(before, on) : null
  return !(start && isTie(start, from, on.guide))
}

/** Square across its guide, and short. */
function isTie(from: Point, to: Point, guide: Extract<ReadGuide, { kind: 'line' }>): boolean {
  const long = distance(from, to)
  if (long > TIE_MM || long < 1e-6) return false
  const { direction } = placeAt(guide.path, nearestPlace(guide.path, from).travelled)
  return Math.abs(((to.x - from.x) * direction.x + (to.y - from.y) * direction.y) / long) < 0.3
}

/** So many passes over and under are one way: to the turn, or once round; 1 where nothing is passed over. */
function wovenRun(all: readonly Happening[], index: number, { guide, worked }: On): number {
  const first = all[index] as Happening
  let end = index + 1
  while (all[end]?.made.pass === first.made.pass && (all[end]?.kind === 'under' || all[end]?.kind === 'over')) end += 1
  const run = all.slice(index, end)
  const round = guide.kind === 'line' && guide.centre ? worked.segments.filter((one) => one.made.pass < first.made.pass && one.side === 'front').length : 0
  if (!run.some((one) => one.kind === 'over')) return round > 2 ? Math.min(run.length, round) : 1
  if (round > 2) return Math.min(run.length, round)
  for (let next = 2; next < run.length; next += 1) {
    const [a, b, c] = [run[next - 2], run[next - 1], run[next]].map((one) => (one as Happening).surface?.at ?? { x: 0, y: 0 }) as [Point, Point, Point]
    // It turns where it comes back.
    if ((b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y) < 0 || distance(b, c) < 1e-6) return next
  }
  return run.length
}

const holeOf = ({ hole }: Happening, { worked }: On): Hole | null => (hole === null ? null : (worked.holes[hole] ?? null))

function happeningsOf(document: StitchDocument, worked: WorkedStitch): readonly Happening[] {
  const between = new Map<number, SurfaceMove[]>()
  for (const move of worked.surfaceMoves) between.set(move.afterHole, [...(between.get(move.afterHole) ?? []), move])
  const onSurface = (after: number): Happening[] =>
    shapedOnce(between.get(after) ?? []).map((surface) => ({
      kind: surface.kind,
      hole: null,
      surface,
      move: moveOf(document, surface.made),
      made: surface.made,
      row: null,
    }))
  return [
    ...onSurface(-1),
    ...worked.holes.flatMap((hole, index): Happening[] => [
      { kind: hole.move, hole: index, surface: null, move: moveOf(document, hole.made), made: hole.made, row: hole.row },
      ...onSurface(index),
    ]),
  ]
}

/** A thread led by way of several places is one thing to do; on the way to a bead or past another thread, it is none. */
function shapedOnce(moves: readonly SurfaceMove[]): readonly SurfaceMove[] {
  const others = moves.filter((move) => move.kind !== 'lead')
  return others.length > 0 ? others : moves.slice(-1)
}

/** The move of the document by which something was made. */
export function moveOf(document: StitchDocument, { pass: index, block, list, move, inner }: MoveRef): Move | null {
  const pass = document.passes[index]
  if (!pass) return null
  const moves = block === 'repeat' ? cycleOf(pass)[list] : pass[block]
  const outer = moves?.[move] ?? null
  return outer && 'each' in outer && inner !== null ? (outer.moves[inner] ?? null) : outer
}
