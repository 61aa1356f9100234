/** Sliding under threads on the front, or passing over them, without entering the cloth. */
import { cross, distance, dot, leftOf, length, type Point, type Point3, subtract } from '../../geometry/index.ts'
import type { OverMove, PassSide, UnderMove } from '../../notation/index.ts'
import type { CompiledSlide } from '../compiled.ts'
import { nearestOnThread, type PassedThread, placeOnThread, wayPast } from '../pass-rule.ts'
import { wayRoundPost } from '../post-rule.ts'
import { sideOf } from '../thread-lie.ts'
import type { MoveContext, ThreadReference } from '../thread-settings.ts'
import type { ThreadState } from '../thread-state.ts'
import type { Segment, SurfaceMove } from '../types.ts'
import type { Hand, MoveReader, MoveRule } from './rule.ts'

export const under: MoveRule<UnderMove, CompiledSlide<'under'>> = {
  read: (move, common, reader) => ({ ...common, kind: 'under', ...readSlide(move, move.under, reader) }),
  work: slide,
}

export const over: MoveRule<OverMove, CompiledSlide<'over'>> = {
  read: (move, common, reader) => ({ ...common, kind: 'over', ...readSlide(move, move.over, reader) }),
  work: slide,
}

function readSlide(move: UnderMove | OverMove, references: readonly string[], reader: MoveReader) {
  if (references.length === 0) reader.wrong('move.names-no-thread')
  return {
    references: references.map((reference) => reader.reference(reference, 'passed')),
    from: move.from ?? ('near' as const),
    at: reader.maybe(move.at),
    hitch: move.round === 'inside',
    bight: reader.maybe(move.bight),
  }
}

function slide(move: CompiledSlide<'under' | 'over'>, hand: Hand): void {
  const { frame, thread } = hand
  const here = frame.at(0, 0)
  const next = frame.at(1, 0).at
  const how: SlideHow = {
    from: move.from,
    at: hand.maybe(move.at) ?? 0.5,
    hitch: move.hitch,
    bightMm: hand.maybe(move.bight),
    // The frame may be stretched to fit.
    advanceMm: hand.advanceMm * Math.hypot(next.x - here.at.x, next.y - here.at.y),
  }
  const context = hand.context(move, here.direction)
  const centre = hand.guide.kind === 'line' ? (hand.guide.centre ?? null) : null
  slidePast(thread, move.kind, move.references.map(hand.reference), how, { near: here.at, centre }, context)
}

interface SlideHow {
  readonly from: PassSide
  readonly at: number
  readonly hitch: boolean
  readonly bightMm: number | null
  readonly advanceMm: number
}

function slidePast(
  thread: ThreadState,
  kind: 'under' | 'over',
  references: readonly ThreadReference[],
  how: SlideHow,
  { near, centre }: { readonly near: Point; readonly centre: Point | null },
  context: MoveContext,
): void {
  const way = thread.inFront('move.nothing-to-slide')
  const { settings, slid } = thread
  const segments = references.map((one) => thread.log.find(one, near))
  const lead = leadOf(references[0] as ThreadReference, segments[0] as Segment, how.at, near)
  const passed: PassedThread[] = [
    lead,
    ...segments.slice(1).map((segment, index) => {
      const share = references[index + 1]?.at ?? null
      return share === null ? nearestOnThread(segment.points, lead.at) : placeOnThread(segment.points, share)
    }),
  ]
  // What is hooked into its own last stitch cannot lose its place.
  if (how.advanceMm > 0 && segments[0]?.made.pass !== context.made.pass) thread.driftMm = Math.max(thread.driftMm, distance(lead.at, near) - how.advanceMm)
  const before = way[way.length - 1] as Point3
  const side = sideOf(lead, how.from, before, context)
  const past = wayPast({
    kind,
    passed,
    side,
    direction: context.direction,
    rho: settings.diameterMm,
    before,
    beforeSide: slid.side,
    beforeAt: slid.at,
    advanceMm: how.advanceMm,
    bightMm: how.bightMm,
  })
  if (way.length > 1 && (past.slantBack.x !== 0 || past.slantBack.y !== 0))
    way[way.length - 1] = { ...before, x: before.x + past.slantBack.x, y: before.y + past.slantBack.y }
  if (centre && slid.at && references.length === 1) way.push(...roundAbout(centre, slid.at, lead.at))
  if (how.hitch) {
    const [entry, exit] = [past.through[0] as Point3, past.through[past.through.length - 1] as Point3]
    const { diameterMm, lineWidthMm } = settings
    const { direction, mirror } = context
    way.push(...wayRoundPost({ a: before, b: entry, c: exit, direction, round: 'inside', mirror, diameterMm, lineWidthMm }).slice(1, -1))
    thread.note('catch-loop')
  } else way.push(...past.approach)
  const from = way.length
  way.push(...past.through)
  if (kind === 'under') slid.unders.push({ from, to: way.length - 1, order: Math.min(...segments.map((segment) => segment.order)) - 0.5 })
  thread.note(kind === 'under' ? 'pass-under' : 'pass-over', segments.length)
  slid.side = { x: -side.x, y: -side.y }
  slid.at = lead.at
  const last = lastPast(thread)
  const aside = dot(side, leftOf(context.direction))
  // Past what lies square to the way of working the needle comes from neither side.
  const fromSide = Math.abs(aside) < SQUARE ? (last?.from ?? 'right') : aside > 0 ? 'left' : 'right'
  if (last && last.labels.length > 0 && last.from !== fromSide) thread.note('alternate')
  thread.surface(kind, lead.at, context, { from: fromSide, side, hitch: how.hitch, labels: references.map((one) => one.label) })
  if (context.label !== null && references[0]?.label !== undefined) thread.cutWay(context)
}

const SQUARE = 0.2

/** What was passed before; led across the cloth in between or not. */
function lastPast({ surfaceMoves }: ThreadState): SurfaceMove | undefined {
  let index = surfaceMoves.length - 1
  while (surfaceMoves[index]?.kind === 'lead') index -= 1
  return surfaceMoves[index]
}

/** Rows of weaving are pressed against each other until they lie round, not straight from spoke to spoke. */
function roundAbout(centre: Point, from: Point, to: Point): Point3[] {
  const [a, b] = [subtract(from, centre), subtract(to, centre)]
  const [near, far] = [length(a), length(b)]
  const turn = Math.atan2(cross(a, b), dot(a, b))
  if (near < LEAST_ROUND_MM || far < LEAST_ROUND_MM || Math.abs(turn) > MOST_ROUND_RAD || Math.abs(turn) < LEAST_ROUND_RAD) return []
  const begin = Math.atan2(a.y, a.x)
  return [1 / 3, 2 / 3].map((share) => {
    const radius = near + (far - near) * share
    return { x: centre.x + radius * Math.cos(begin + turn * share), y: centre.y + radius * Math.sin(begin + turn * share), z: 0 }
  })
}

/** In the very middle, and from one side to the other, the thread goes straight. */
const LEAST_ROUND_MM = 0.8
const LEAST_ROUND_RAD = 0.35
const MOST_ROUND_RAD = 1.7

function leadOf(reference: ThreadReference, segment: Segment, at: number, near: Point): PassedThread {
  return reference.nearest && reference.at === null ? nearestOnThread(segment.points, near) : placeOnThread(segment.points, reference.at ?? at)
}
