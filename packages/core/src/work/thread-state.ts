/**
 * The thread as it is worked: where the needle is, what lies open, what has been made. Each move changes it
 * and adds pieces of thread; a move that cannot be made is a problem that names it.
 */
import { distance, dot, leftOf, lengthOf, scale, subtract, type Point, type Point3, splineThrough } from '../geometry/index.ts'
import type { Round } from '../notation/index.ts'
import { wayRoundPost } from './post-rule.ts'
import { nearestOnThread, placeOnThread, type PassedThread, wayPast } from './pass-rule.ts'
import type { SurfacePass, Hole, Motion, MoveRef, Segment, SegmentKind, Side, ThreadRole } from './types.ts'
import { windUp } from './wrap-rule.ts'

export class MoveError extends Error {}

export interface ThreadSettings {
  readonly role: ThreadRole
  readonly lie: 'round' | 'flat'
  readonly diameterMm: number
  readonly lineWidthMm: number
  readonly shaftMm: number
}

export interface MoveContext {
  readonly made: MoveRef
  readonly label: string | null
  readonly direction: Point
  readonly mirror: 1 | -1
}

/** Two places nearer than this are one hole: a twentieth of the finest thread. */
const SAME_HOLE_MM = 0.01
/** A thread counts as pierced only when the hole lies on it to within half a millimetre. */
const PIERCED_MM = 0.5

/** A thread by its label: the latest, so many before it, or the k-th from the beginning; perhaps a place on it. */
export interface ThreadReference {
  readonly label: string
  readonly index: number | null
  readonly back: number
  readonly at: number | null
}

export interface PassHow {
  readonly from: 'left' | 'right' | 'near'
  readonly at: number
  readonly hitch: boolean
  readonly bightMm: number | null
  readonly advanceMm: number
}

/** Way-points of a running thread that a step shows: a few stitches; all of a long row would cost its square. */
const SHOWN_WAY = 24

interface OpenLoop {
  readonly from: number
  readonly to: number
  readonly way: readonly Point3[]
  readonly context: MoveContext
}

export class ThreadState {
  readonly segments: Segment[] = []
  readonly holes: Hole[] = []
  readonly counts = new Map<Motion, number>()
  wrapMm = 0
  trips = 0
  private settings: ThreadSettings
  /** In front: the way so far from the hole it came up by. */
  private way: Point3[] | null = null
  private lastHole = -1
  private open: OpenLoop | null = null
  private turns = 0
  private order = 0
  readonly passes: SurfacePass[] = []
  /** Parts of the way in front that lie under something: from and to way-point, and the order they take. */
  private unders: { from: number; to: number; order: number }[] = []
  private passSide: Point | null = null
  private passAt: Point | null = null
  private readonly byLabel = new Map<string, Segment[]>()
  private readonly byPlace = new Map<string, number>()

  constructor(settings: ThreadSettings) {
    this.settings = settings
  }

  /** A new needleful for another pass: the thread starts behind, at no hole. */
  beginPass(settings: ThreadSettings): void {
    this.settings = settings
    this.lastHole = -1
  }

  get lastPoint(): Point | null {
    return this.holes[this.lastHole] ?? null
  }

  count(label: string): number {
    return this.byLabel.get(label)?.length ?? 0
  }

  up(at: Point, round: Round | null, split: string | null, half: boolean, context: MoveContext): void {
    if (this.way) throw new MoveError('the needle comes up while the thread is already in front. Go down first.')
    const loop = this.open
    const from = this.lastHole
    if (loop && !round && !half)
      throw new MoveError('the loop that was left loose is not caught. Add "round" to the move that comes up, or do not leave it loose.')
    if (round && !loop) throw new MoveError('there is no loose loop for this move to catch. Leave one with "loose" first.')
    const hole = this.makeHole(at, 'up', context)
    const sameAsLast = from >= 0 && this.sameHole(from, hole)
    if (sameAsLast && !loop && !split) throw new MoveError('the needle comes up in the very hole it has just gone down by, so the stitch would pull out.')
    if (split) this.part(split, at)
    if (loop && round) {
      this.catchLoop(loop, at, round, context)
    }
    if (from >= 0) this.addSegment('back', 'straight', from, hole, [this.at3(from), this.at3(hole)], context, null)
    this.lastHole = hole
    this.way = [this.at3(hole)]
  }

  down(at: Point, loose: boolean, split: string | null, context: MoveContext): void {
    const way = this.way
    if (!way) throw new MoveError('the needle goes down while the thread is already behind. Come up first.')
    const from = this.lastHole
    const hole = this.makeHole(at, 'down', context)
    if (this.sameHole(from, hole) && way.length === 1 && !loose && this.turns === 0) {
      throw new MoveError('the needle goes down the very hole it came up by, so the stitch would pull out.')
    }
    if (split) this.part(split, at)
    this.way = null
    this.lastHole = hole
    if (this.turns > 0) {
      this.wind(from, hole, context)
      return
    }
    if (loose) {
      this.note('leave-loop')
      this.open = { from, to: hole, way: [...way, this.at3(hole)], context }
      return
    }
    this.addWay(from, hole, [...way, this.at3(hole)], context)
  }

  /** Slides past labelled threads on the front: under or over them, or with a hitch. */
  pass(kind: 'under' | 'over', references: readonly ThreadReference[], how: PassHow, context: MoveContext): void {
    const way = this.way
    if (!way) throw new MoveError('there is no thread in front to slide. Come up first.')
    const segments = references.map((one) => this.find(one))
    const first = segments[0] as Segment
    const lead = placeOnThread(first.points, references[0]?.at ?? how.at)
    const passed: PassedThread[] = [lead, ...segments.slice(1).map((segment) => nearestOnThread(segment.points, lead.at))]
    const before = way[way.length - 1] as Point3
    const side = this.sideOf(lead, how.from, before, context)
    const rho = this.settings.diameterMm
    const pass = wayPast({
      kind,
      passed,
      side,
      direction: context.direction,
      rho,
      before,
      beforeSide: this.passSide,
      beforeAt: this.passAt,
      advanceMm: how.advanceMm,
      bightMm: how.bightMm,
    })
    if (way.length > 1 && (pass.slantBack.x !== 0 || pass.slantBack.y !== 0))
      way[way.length - 1] = { ...before, x: before.x + pass.slantBack.x, y: before.y + pass.slantBack.y }
    const entry = pass.through[0] as Point3
    const exit = pass.through[pass.through.length - 1] as Point3
    if (how.hitch) {
      const { diameterMm, lineWidthMm } = this.settings
      way.push(
        ...wayRoundPost({ a: before, b: entry, c: exit, direction: context.direction, round: 'inside', mirror: context.mirror, diameterMm, lineWidthMm }).slice(
          1,
          -1,
        ),
      )
      this.note('catch-loop')
    } else way.push(...pass.approach)
    const from = way.length
    way.push(...pass.through)
    if (kind === 'under') this.unders.push({ from, to: way.length - 1, order: Math.min(...segments.map((segment) => segment.order)) - 0.5 })
    this.note(kind === 'under' ? 'pass-under' : 'pass-over', segments.length)
    this.passSide = { x: -side.x, y: -side.y }
    this.passAt = lead.at
    const left = dot(side, leftOf(context.direction)) >= 0
    this.passes.push({
      kind,
      at: lead.at,
      from: left ? 'left' : 'right',
      hitch: how.hitch,
      labels: references.map((one) => one.label),
      made: context.made,
      afterHole: this.lastHole,
      soFar: splineThrough(way.slice(-SHOWN_WAY)),
    })
  }

  private find({ label, index, back }: ThreadReference): Segment {
    const made = this.byLabel.get(label) ?? []
    const segment = index === null ? made[made.length - 1 - back] : made[index]
    if (!segment) throw new MoveError(`there is no "${label}${index === null ? '' : `[${index}]`}" to pass; ${made.length} of them have been made.`)
    return segment
  }

  /** Towards the side that the needle enters from, square to the thread that is passed. */
  private sideOf(lead: PassedThread, from: 'left' | 'right' | 'near', before: Point3, context: MoveContext): Point {
    const normal = leftOf(lead.tangent)
    const wanted = from === 'near' ? subtract(before, lead.at) : scale(leftOf(context.direction), (from === 'left' ? 1 : -1) * context.mirror)
    const agrees = dot(normal, wanted)
    // The thread passed runs across the working: take the side it comes from.
    const decided = Math.abs(agrees) > 0.05 ? agrees : dot(normal, subtract(before, lead.at))
    return decided >= 0 ? normal : scale(normal, -1)
  }

  /** The way in front as one curve, cut where it goes under something. */
  private addWay(from: number, to: number, way: readonly Point3[], context: MoveContext): void {
    const unders = this.unders
    this.unders = []
    this.passSide = null
    this.passAt = null
    if (unders.length === 0) {
      this.addSegment('front', 'straight', from, to, way, context, context.label)
      return
    }
    const curve = splineThrough(way)
    const perStep = (curve.length - 1) / (way.length - 1)
    let done = 0
    for (const under of unders) {
      this.addPiece(from, to, curve.slice(Math.round(done * perStep), Math.round(under.from * perStep) + 1), context, null)
      this.addPiece(from, to, curve.slice(Math.round(under.from * perStep), Math.round(under.to * perStep) + 1), context, under.order)
      done = under.to
    }
    this.addPiece(from, to, curve.slice(Math.round(done * perStep)), context, null)
  }

  private addPiece(from: number, to: number, points: readonly Point3[], context: MoveContext, order: number | null): void {
    if (points.length < 2) return
    const segment = this.addSegment('front', 'straight', from, to, [points[0] as Point3, points[points.length - 1] as Point3], context, context.label)
    segment.points = points
    segment.lengthMm = lengthOf(points)
    if (order !== null) segment.order = order
  }

  by(at: Point): void {
    if (!this.way) throw new MoveError('the thread is behind, so it cannot be led across the front. Come up first.')
    this.way.push({ x: at.x, y: at.y, z: 0 })
    this.passSide = null
  }

  wrap(turns: number): void {
    if (!this.way) throw new MoveError('there is nothing to wrap: come up first.')
    if (!(turns >= 1) || turns > 200) throw new MoveError(`${turns} wraps cannot be made; ask for 1 to 200.`)
    // An open loop becomes the wraps: it has no length of its own.
    this.open = null
    this.turns = Math.round(turns)
    this.note('wrap', this.turns)
  }

  /** Everything is behind and nothing is left open. */
  finish(): void {
    if (this.open) throw new MoveError('a loop is left open at the end. Catch it, or tie it down.')
    if (this.way) throw new MoveError('the thread is left in front at the end. Go down once more.')
  }

  note(motion: Motion, times = 1): void {
    this.counts.set(motion, (this.counts.get(motion) ?? 0) + times)
  }

  private catchLoop(loop: OpenLoop, at: Point, round: Round, context: MoveContext): void {
    const side = round === 'left' || round === 'right'
    if (side) {
      // Kept to one side is its own motion; no loop was held.
      this.note('leave-loop', -1)
      this.note('keep-side')
    } else this.note(round === 'cross' ? 'cross-loop' : 'catch-loop')
    const a = loop.way[loop.way.length - 2] as Point3
    const b = loop.way[loop.way.length - 1] as Point3
    const { diameterMm, lineWidthMm } = this.settings
    const way = wayRoundPost({ a, b, c: at, direction: context.direction, round, mirror: context.mirror, diameterMm, lineWidthMm })
    const whole = [...loop.way.slice(0, -2), ...way]
    this.open = null
    this.addSegment('front', side ? 'kept' : 'loop', loop.from, loop.to, whole, loop.context, loop.context.label)
  }

  private wind(from: number, hole: number, context: MoveContext): void {
    const { diameterMm, lineWidthMm, shaftMm } = this.settings
    const wound = windUp({ turns: this.turns, diameterMm, lineWidthMm, shaftMm }, this.at3(from), this.at3(hole), context.mirror)
    this.wrapMm += wound.wrapMm
    const segment = this.addSegment('front', wound.kind, from, hole, wound.way, context, context.label, this.turns, wound.sizeMm)
    segment.lengthMm = wound.coreMm
    this.turns = 0
  }

  /** The newest thread of that label opens where the needle pierces it, and is drawn bent there. */
  private part(label: string, at: Point): void {
    const made = this.byLabel.get(label) ?? []
    const segment = made.at(-1)
    if (!segment) throw new MoveError(`there is no "${label}" yet to split.`)
    const [first, last] = [segment.points[0] as Point3, segment.points[segment.points.length - 1] as Point3]
    const gap = distance(nearestOnThread(segment.points, at).at, at)
    if (gap > PIERCED_MM + 0.25 * distance(first, last))
      throw new MoveError(`the hole lies ${gap.toFixed(2)} mm beside "${label}", so the needle would not split it.`)
    this.note('split')
    segment.parted.push(at)
    segment.points = splineThrough([first, ...sortAlong(first, last, segment.parted), last])
    segment.lengthMm = lengthOf(segment.points)
  }

  private makeHole(at: Point, move: 'up' | 'down', context: MoveContext): number {
    const index = this.holes.length
    const key = `${Math.round(at.x / SAME_HOLE_MM)},${Math.round(at.y / SAME_HOLE_MM)}`
    const same = this.byPlace.get(key) ?? index
    if (same === index) this.byPlace.set(key, index)
    else this.note('shared-hole')
    this.holes.push({ x: at.x, y: at.y, move, made: context.made, same })
    this.note(move)
    this.trips += 1
    return index
  }

  private sameHole(a: number, b: number): boolean {
    return distance(this.holes[a] as Hole, this.holes[b] as Hole) < SAME_HOLE_MM
  }

  private at3(hole: number): Point3 {
    const { x, y } = this.holes[hole] as Hole
    return { x, y, z: 0 }
  }

  private addSegment(
    side: Side,
    kind: SegmentKind,
    from: number,
    to: number,
    way: readonly Point3[],
    context: MoveContext,
    label: string | null,
    turns = 0,
    sizeMm = 0,
  ): Segment {
    const points = splineThrough(way)
    this.order += 1
    const { role, lie } = this.settings
    const lengthMm = lengthOf(points)
    const segment: Segment = {
      side,
      thread: role,
      kind,
      lie,
      points,
      lengthMm,
      order: this.order,
      sequence: this.order,
      made: context.made,
      label,
      from,
      to,
      parted: [],
      turns,
      sizeMm,
    }
    this.segments.push(segment)
    if (label !== null) {
      const made = this.byLabel.get(label)
      if (made) made.push(segment)
      else this.byLabel.set(label, [segment])
    }
    return segment
  }
}

function sortAlong(from: Point, to: Point, places: readonly Point[]): Point3[] {
  const dx = to.x - from.x
  const dy = to.y - from.y
  return [...places].sort((a, b) => (a.x - b.x) * dx + (a.y - b.y) * dy).map((at) => ({ x: at.x, y: at.y, z: 0 }))
}
