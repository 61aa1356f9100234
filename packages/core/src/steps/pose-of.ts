/** The pose of each moment that is shown: from the gesture to the geometry of needle and loose thread. */
import { type Point, shareMet } from '../geometry/index.ts'
import type { StitchDocument } from '../notation/index.ts'
import { isCast, type WorkedStitch } from '../work/index.ts'
import { type Clock, isBeforeDrawn, placeBefore } from './as-laid.ts'
import type { Shown } from './choose.ts'
import type { Gesture, Happening } from './gestures.ts'
import type { Hand } from './hand.ts'
import { drawnOut, type Needle, NOTHING_IN_HAND, passed, type Pose, sewn, stabbed, woundHalfOut, woundInAir, woundUpright } from './pose.ts'
import { moveOfHole, woundAt } from './holes-of.ts'
import { passWay } from './pass-way.ts'
import { keptSide } from './say.ts'
import type { Looking } from './where.ts'

export interface Posing {
  readonly worked: WorkedStitch
  readonly hand: Hand
  readonly looking: Looking
  readonly document: StitchDocument
  readonly clock: Clock
}

const SIDES = { up: { x: 0, y: -1 }, down: { x: 0, y: 1 }, left: { x: -1, y: 0 }, right: { x: 1, y: 0 } } as const

export function poseOf(shown: Shown, posing: Posing): Pose {
  const gesture = shown.moment === 'group' ? (shown.gestures[shown.gestures.length - 1] as Gesture) : shown.gestures[0]
  const right = posing.hand === 'right' ? 1 : -1
  const W = posing.looking.widthMm
  const [first, second] = gesture.happenings
  const last = gesture.happenings[gesture.happenings.length - 1] as Happening
  const away = { x: right * 0.82, y: -0.57 }
  if (shown.moment === 'group') return last.kind === 'up' ? drawnOut(seenHole(last, posing), away, right, W) : NOTHING_IN_HAND
  switch (gesture.kind) {
    case 'up':
      return drawnOut(seenHole(first, posing), away, right, W)
    case 'down':
      return stabbed(seenHole(first, posing), right, W)
    case 'straight':
      return stabbed(seenHole(second ?? first, posing), right, W)
    case 'sew':
      if (!second) return NOTHING_IN_HAND
      return shown.moment === 'in' ? sewnPose(first, second, posing) : drawnOut(seenHole(second, posing), pulled(first, second, posing) ?? away, right, W)
    case 'half':
      return second ? sewnPose(first, second, posing, 9) : NOTHING_IN_HAND
    case 'wind':
      return windPose(first, shown, posing)
    case 'pass':
      return passPose(first, shown, posing)
    default:
      return NOTHING_IN_HAND
  }
}

function seenHole({ hole }: Happening, { worked, looking }: Posing): Point {
  const at = worked.holes[hole ?? 0] ?? { x: 0, y: 0 }
  return plain(looking.seen({ x: at.x, y: at.y }))
}

const plain = ({ x, y }: Point): Point => ({ x, y })

/** The hole at which the thread in hand came up. */
function cameUp({ hole }: Happening, { worked, looking }: Posing): Point {
  for (let index = (hole ?? 0) - 1; index >= 0; index -= 1) {
    const at = worked.holes[index]
    if (at?.move === 'up') return plain(looking.seen({ x: at.x, y: at.y }))
  }
  const here = worked.holes[hole ?? 0] ?? { x: 0, y: 0 }
  return plain(looking.seen({ x: here.x, y: here.y }))
}

const loopsAt = (up: Happening): boolean => up.move !== null && 'up' in up.move && (up.move.round === 'inside' || up.move.round === 'cross')

function sewnPose(down: Happening, up: Happening, posing: Posing, pointWidths?: number): Pose {
  const side = keptSide(down, up, posing)
  return sewn({
    from: cameUp(down, posing),
    entry: seenHole(down, posing),
    exit: seenHole(up, posing),
    loops: loopsAt(up),
    kept: side ? SIDES[side] : null,
    ...(pointWidths === undefined ? {} : { pointWidths }),
    right: posing.hand === 'right' ? 1 : -1,
    W: posing.looking.widthMm,
  })
}

/** A loop is drawn toward where the needle came out of it. */
function pulled(down: Happening, up: Happening, posing: Posing): Point | null {
  if (!loopsAt(up)) return null
  const [A, P, Q] = [cameUp(down, posing), seenHole(down, posing), seenHole(up, posing)]
  const way = { x: Q.x - (A.x + P.x) / 2, y: Q.y - (A.y + P.y) / 2 }
  const size = Math.hypot(way.x, way.y)
  return size < 1e-6 ? null : { x: way.x / size, y: way.y / size }
}

function windPose(down: Happening, { moment }: Shown, posing: Posing): Pose {
  const { worked, looking, hand } = posing
  const right = hand === 'right' ? 1 : -1
  const W = looking.widthMm
  const segment = woundAt(down, posing)
  const turns = segment?.turns ?? 1
  const before = worked.holes[(down.hole ?? 0) - 1]
  const from = cameUp(down, posing)
  const shownTurns = moment === 'turn' ? 1 : turns
  const move = before ? moveOfHole((down.hole ?? 0) - 1, posing) : null
  if (before && move && 'half' in move && move.half) {
    const entry = worked.holes[(down.hole ?? 0) - 2]
    if (moment === 'drawn' || !entry) return NOTHING_IN_HAND
    const few = moment === 'turn' ? Math.min(3, turns) : turns
    return woundHalfOut({ from, turns: few, right, W, entry: plain(looking.seen(entry)), exit: plain(looking.seen(before)), all: Math.min(turns, 14) })
  }
  if (moment === 'drawn') return NOTHING_IN_HAND
  if (moment === 'in' || (segment && isCast(segment.wound))) return woundUpright({ from, turns: shownTurns, right, W, at: seenHole(down, posing) })
  return woundInAir({ from, turns: shownTurns, right, W })
}

function passPose(first: Happening, { moment }: Shown, posing: Posing): Pose {
  const { surface } = first
  const { looking, worked, hand, clock } = posing
  const right = hand === 'right' ? 1 : -1
  const W = looking.widthMm
  if (!surface) return NOTHING_IN_HAND
  const at = plain(looking.seen(placeBefore(surface.at, worked.segments, clock)))
  const way = passWay(first, posing)
  if (moment === 'drawn') return drawnOut(endOfHand(first, posing) ?? at, way, right, W)
  const index = worked.surfaceMoves.indexOf(surface)
  const earlier = worked.surfaceMoves[index - 1]
  const hole = worked.holes[surface.afterHole]
  const from = earlier && earlier.afterHole === surface.afterHole ? earlier.at : hole
  const ahead = plain(looking.seen({ x: surface.at.x + 1, y: surface.at.y }))
  return passed({
    from: from ? plain(looking.seen({ x: from.x, y: from.y })) : at,
    at,
    way,
    onward: { x: ahead.x - at.x, y: ahead.y - at.y },
    hitch: surface.hitch,
    hidden: (eye, tip) => crossings(eye, tip, surface.labels, posing, surface.made.pass),
    right,
    W,
  })
}

function endOfHand({ surface }: Happening, { looking }: Posing): Point | null {
  const end = surface?.inHand.way[surface.inHand.points - 1]
  return end ? plain(looking.seen({ x: end.x, y: end.y })) : null
}

/** Where the needle lies under threads of these labels, as shares of its length. */
function crossings(eye: Point, tip: Point, labels: readonly string[], { worked, looking, clock }: Posing, pass: number): Needle['hidden'] {
  const long = Math.hypot(tip.x - eye.x, tip.y - eye.y)
  const found: [number, number][] = []
  for (const segment of worked.segments) {
    if (segment.side !== 'front' || segment.label === null || !labels.includes(segment.label) || segment.made.pass > pass) continue
    const points = segment.asLaid && isBeforeDrawn(segment.asLaid, clock) ? segment.asLaid.points : segment.points
    for (const [index, point] of points.entries()) {
      const before = points[index - 1]
      if (!before) continue
      const [a, b] = [plain(looking.seen({ x: before.x, y: before.y })), plain(looking.seen({ x: point.x, y: point.y }))]
      const share = shareMet(eye, tip, a, b)
      if (share === null) continue
      const halfWide = (0.75 * looking.widthMm) / long
      found.push([Math.max(0, share - halfWide), Math.min(1, share + halfWide)])
    }
  }
  return found
}
