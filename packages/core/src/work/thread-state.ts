/**
 * The thread as it is worked: where the needle is, what lies open, what has been made. Each move changes it
 * and adds pieces of thread; a move that cannot be made is a problem that names it.
 */
import { type Figures, mm } from '../base/index.ts'
import { distance, lengthOf, type Point, type Point3, splineThrough } from '../geometry/index.ts'
import type { Round } from '../notation/index.ts'
import { cutUnders, type FrontPiece, type Under } from './front-way.ts'
import { nearestOnThread } from './pass-rule.ts'
import { wayRoundPost, wayRoundTwo } from './post-rule.ts'
import { lifted, sortAlong, unnamed } from './thread-lie.ts'
import { ThreadLog } from './thread-log.ts'
import { MoveError, type MoveContext, type ThreadReference, type ThreadSettings } from './thread-settings.ts'
import type { Fault, Patch, SurfaceKind, SurfaceMove } from './types.ts'
import { WaitingThreads } from './waiting-threads.ts'
import { addKnotAt, addLink, addWound, type Winding } from './wound.ts'

/** A thread counts as pierced only when the hole lies on it to within half a millimetre. */
const PIERCED_MM = 0.5
/** The thread has not left its hole. */
const HERE_MM = 1e-6
interface OpenLoop {
  readonly from: number
  readonly to: number
  readonly way: readonly Point3[]
  readonly context: MoveContext
  readonly settings: ThreadSettings
}

export class ThreadState {
  readonly log: ThreadLog
  readonly surfaceMoves: SurfaceMove[] = []
  readonly patches: Patch[] = []
  settings: ThreadSettings
  /** In front: the way so far from the hole it came up by. */
  private way: Point3[] | null = null
  lastHole = -1
  private open: OpenLoop | null = null
  private winding: Winding | null = null
  private held = false
  private readonly waiting = new WaitingThreads()
  /** A leg of the thread in front lies already: it may go down where it came up. */
  private lies = false
  /** The thread in front came up through another. */
  private pierced = false
  /** How high what is worked now stands over padding. */
  private padMm = 0
  /** Of the way in front: what lies under something, and the side and place of the last thread it slid past. */
  readonly slid: { unders: Under[]; side: Point | null; at: Point | null } = { unders: [], side: null, at: null }

  /** How much more than an advance what was passed lay from where the guide had it, at most. mm. */
  driftMm = 0

  /** What would not hold; only a forgiving thread goes on past it. */
  readonly faults: Fault[] = []

  constructor(
    settings: ThreadSettings,
    seekable: ReadonlySet<string>,
    private readonly how: { readonly forgiving: boolean; readonly tight: boolean },
  ) {
    this.log = new ThreadLog(seekable)
    this.settings = settings
  }

  /**
   * Another pass: with a new needleful, which starts behind at no hole, or going on with the same. A thread that is held in front
   * waits while another is worked, and is taken up by the first pass of its role that goes on.
   */
  beginPass(settings: ThreadSettings, goesOn: boolean): void {
    const staysInHand = this.held && goesOn && settings.role === this.settings.role
    if (this.held && !staysInHand) this.putAside()
    this.settings = settings
    this.held = false
    if (staysInHand) return
    if (!goesOn) {
      this.lastHole = -1
      this.waiting.forget(settings.role)
    } else this.takeUpAgain(settings.role)
  }

  /** Within a pass: another needle, whose thread goes on where it was left, or begins behind. */
  take(settings: ThreadSettings): void {
    if (settings.role === this.settings.role) return
    this.putAside()
    this.settings = settings
    this.lastHole = -1
    this.takeUpAgain(settings.role)
  }

  private takeUpAgain(role: ThreadSettings['role']): void {
    const taken = this.waiting.takeUp(role)
    if (!taken) return
    this.way = taken.way
    this.lastHole = taken.lastHole
    this.pierced = taken.pierced
    this.lies = taken.lies
    this.slid.unders = taken.unders
  }

  private putAside(): void {
    const { settings, way, lastHole, pierced, lies, slid } = this
    if (way || lastHole >= 0) this.waiting.put({ role: settings.role, way, lastHole, pierced, lies, unders: slid.unders })
    this.way = null
    this.slid.unders = []
    this.slid.side = this.slid.at = null
  }

  /** After the last pass: nothing may be left in front. */
  end(): void {
    if (this.held || this.waiting.anyInFront) throw new MoveError('move.not-continued')
  }

  get lastPoint(): Point | null {
    const inFront = this.way?.[this.way.length - 1]
    return this.way && this.way.length > 1 && inFront ? inFront : (this.log.holes[this.lastHole] ?? null)
  }

  up(
    at: Point,
    how: { readonly round: Round | null; readonly split: ThreadReference | null; readonly half: boolean; readonly wraps: number; readonly and: Point | null },
    context: MoveContext,
  ): void {
    if (this.way) throw new MoveError('move.already-in-front')
    const loop = this.open
    const from = this.lastHole
    const { round, split } = how
    if (loop && !round && !how.half) {
      this.fault('loop-lost', at, context)
      this.dropLoop(loop)
    }
    if (round && !loop) throw new MoveError('move.no-loop')
    const hole = this.log.makeHole(at, 'up', context, this.settings)
    const sameAsLast = from >= 0 && this.log.sameHole(from, hole)
    if (sameAsLast && !loop && !split) this.fault('pulled-through', at, context, 'move.up-same-hole')
    if (split) this.part(split, at, context)
    this.pierced = split !== null
    if (loop && round) this.catchLoop(loop, hole, round, how.and, context)
    if (from >= 0)
      this.log.add({ side: 'back', kind: 'straight', from, to: hole, way: [this.log.at3(from), this.log.at3(hole)], context, label: null }, this.settings)
    this.lastHole = hole
    this.lies = false
    this.way = [this.log.at3(hole)]
    if (how.wraps > 0) addKnotAt(this.log, how.wraps, hole, this.settings, context)
  }

  down(
    at: Point,
    how: { readonly loose: boolean; readonly split: ThreadReference | null; readonly plunge: boolean; readonly wraps: number },
    context: MoveContext,
  ): void {
    const way = this.way
    if (!way) throw new MoveError(this.waiting.anyInFront ? 'move.not-continued' : 'move.already-behind')
    const from = this.lastHole
    const hole = this.log.makeHole(at, 'down', context, this.settings)
    // A labelled leg that has slid under something begins the way anew, away from its hole: it is held there.
    const atItsHole = !this.lies && way.length === 1 && distance(way[0] as Point, this.log.holes[from] as Point) < HERE_MM
    if (this.log.sameHole(from, hole) && atItsHole && !how.loose && !this.winding) {
      this.fault('pulled-through', at, context, 'move.down-same-hole')
    }
    if (how.split) this.part(how.split, at, context)
    if (how.plunge) this.note('plunge')
    this.way = null
    this.lastHole = hole
    if (this.winding) {
      addWound(this.log, this.winding, { from, to: hole }, this.settings, context)
      this.winding = null
      return
    }
    if (how.loose) {
      if (this.open) throw new MoveError('move.two-loops')
      this.note('leave-loop')
      if (how.wraps > 0) {
        addLink(this.log, how.wraps, { from, to: hole, way: [...way, this.log.at3(hole)] }, this.settings, context)
        this.open = { from: hole, to: hole, way: [this.log.at3(hole), this.log.at3(hole)], context, settings: this.settings }
        return
      }
      // What has slid under something already lies; only what follows is loose.
      if (this.slid.unders.length > 0) {
        this.addWay(from, from, way, unnamed(context))
        this.open = { from, to: hole, way: [way[way.length - 1] as Point3, this.log.at3(hole)], context, settings: this.settings }
      } else this.open = { from, to: hole, way: [...way, this.log.at3(hole)], context, settings: this.settings }
      return
    }
    this.addWay(from, hole, [...way, this.log.at3(hole)], context)
  }

  /** On across the front, over these places, against no thread. */
  lead(points: readonly Point[], otherwise: string): void {
    const way = this.inFront(otherwise)
    for (const at of points) way.push({ x: at.x, y: at.y, z: 0 })
    this.slid.side = null
  }

  /** Turns taken up on the needle; an open loop becomes them, for it has no length of its own. */
  takeUp(winding: Winding): void {
    this.open = null
    this.winding = winding
  }

  /** What is worked from here on stands so much higher, mm. */
  raise(heightMm: number): void {
    this.padMm += heightMm
  }

  /** What has a name lies as it is, under whatever is worked while it waits. */
  hold(context: MoveContext): void {
    this.inFront('move.nothing-to-hold')
    if (context.label !== null) this.cutWay(context)
    this.held = true
  }

  /** A thread that lies already is drawn out of its way. */
  drawIn(reference: ThreadReference, near: Point, way: (points: readonly Point3[]) => readonly Point3[]): void {
    const segment = this.log.find(reference, near)
    segment.asLaid ??= { points: segment.points, holes: this.log.holes.length, surfaceMoves: this.surfaceMoves.length }
    segment.points = way(segment.points)
    segment.lengthMm = lengthOf(segment.points)
  }

  /** Everything is behind and nothing is left open. */
  finish(): void {
    if (this.open) {
      if (!this.how.forgiving) throw new MoveError('move.loop-open')
      const { to, context } = this.open
      this.fault('loop-lost', this.log.holes[to] as Point, context)
      this.dropLoop(this.open)
    }
    if (this.way && !this.held) throw new MoveError('move.left-in-front')
  }

  private fault(kind: Fault['kind'], at: Point, context: MoveContext, otherwise = `move.${kind}`, figures: Figures = {}): void {
    if (!this.how.forgiving) throw new MoveError(otherwise, figures)
    this.faults.push({ kind, at: { x: at.x, y: at.y }, repeat: context.made.repeat })
  }

  /** A loop that nothing catches slips to the back until its thread lies straight. */
  private dropLoop(loop: OpenLoop): void {
    this.open = null
    if (this.log.sameHole(loop.from, loop.to)) return
    const way = [this.log.at3(loop.from), this.log.at3(loop.to)]
    this.log.add({ side: 'front', kind: 'straight', from: loop.from, to: loop.to, way, context: loop.context, label: loop.context.label }, loop.settings)
  }

  note(motion: Parameters<ThreadLog['note']>[0], times = 1): void {
    this.log.note(motion, times)
  }

  inFront(otherwise: string): Point3[] {
    if (!this.way) throw new MoveError(otherwise)
    return this.way
  }

  /** Something of the ground is changed. */
  patch(kind: Patch['kind'], outline: readonly Point[]): void {
    this.patches.push({ kind, outline, sequence: this.log.sequence, holes: this.log.holes.length, surfaceMoves: this.surfaceMoves.length })
  }

  surface(kind: SurfaceKind, at: Point, context: MoveContext, more?: Pick<SurfaceMove, 'from' | 'side' | 'hitch' | 'labels'>): void {
    const inHand = { way: this.way ?? [], points: this.way?.length ?? 0, unders: this.slid.unders, count: this.slid.unders.length }
    this.surfaceMoves.push({
      kind,
      at,
      thread: this.settings.role,
      sequence: this.log.sequence,
      from: 'right',
      side: null,
      hitch: false,
      labels: [],
      ...more,
      made: context.made,
      afterHole: this.log.holes.length - 1,
      inHand,
    })
  }

  /** The leg so far becomes a piece of its own, which later moves can name; the thread stays in hand. */
  cutWay(context: MoveContext): void {
    const way = this.way
    if (!way || way.length < 2) return
    this.addWay(this.lastHole, this.lastHole, way, context, true)
    const last = this.surfaceMoves[this.surfaceMoves.length - 1]
    if (last) last.sequence = this.log.sequence
    this.lies = true
    this.way = [way[way.length - 1] as Point3]
  }

  /** The way in front as one curve, cut where it goes under something. */
  private addWay(from: number, to: number, given: readonly Point3[], context: MoveContext, endsHere = false): void {
    const { unders } = this.slid
    // Down where it lies already: nothing is added.
    if (unders.length === 0 && lengthOf(given) < HERE_MM) return
    this.slid.unders = []
    const way = this.padMm > 0 && given.length === 2 ? lifted(given, this.padMm) : given
    if (unders.length === 0) {
      this.log.add({ side: 'front', kind: 'straight', from, to, way, context, label: context.label, pierces: this.pierced }, this.settings)
      if (this.way === null) this.slid.side = this.slid.at = null
      return
    }
    if (this.way === null) this.slid.side = this.slid.at = null
    const last = unders.length - 1
    for (const piece of cutUnders(way, unders)) {
      // The label names the leg that ends here: what led to the last pass, or at a hole what follows it.
      const ends = endsHere ? piece.before === last : piece.before === null && piece.order === null
      this.addPiece(from, to, piece, ends ? context : unnamed(context))
    }
  }

  private addPiece(from: number, to: number, { points, order }: FrontPiece, context: MoveContext): void {
    const segment = this.log.add({ side: 'front', kind: 'straight', from, to, way: [], curve: points, context, label: context.label }, this.settings)
    if (order !== null) segment.order = order
  }

  private catchLoop(loop: OpenLoop, hole: number, round: Round, and: Point | null, context: MoveContext): void {
    const at = this.log.holes[hole] as Point
    const side = round === 'left' || round === 'right'
    if (side) {
      // Kept to one side is its own motion; no loop was held.
      this.note('leave-loop', -1)
      this.note('keep-side')
    } else this.note(round === 'cross' ? 'cross-loop' : 'catch-loop')
    const a = loop.way[loop.way.length - 2] as Point3
    const b = loop.way[loop.way.length - 1] as Point3
    const { diameterMm, lineWidthMm } = loop.settings
    const post = { a, b, c: at, direction: context.direction, round, mirror: context.mirror, diameterMm, lineWidthMm, ease: this.how.tight ? 0.25 : 1 }
    const way = and ? wayRoundTwo(post, and) : wayRoundPost(post)
    const whole = [...loop.way.slice(0, -2), ...way]
    this.open = null
    const kind = side ? 'kept' : 'loop'
    const { from, to, context: made } = loop
    this.log.add({ side: 'front', kind, from, to, way: whole, context: made, label: made.label, ...(side ? {} : { heldBy: hole }) }, loop.settings)
  }

  /** The thread opens where the needle pierces it, and is drawn bent there. */
  private part(reference: ThreadReference, at: Point, context: MoveContext): void {
    const segment = this.log.find(reference, at)
    const [first, last] = [segment.points[0] as Point3, segment.points[segment.points.length - 1] as Point3]
    const gap = distance(nearestOnThread(segment.points, at).at, at)
    if (gap > PIERCED_MM + 0.25 * distance(first, last)) {
      this.fault('not-split', at, context, 'move.not-split', { gap: mm(gap), label: reference.label })
      return
    }
    this.note('split')
    segment.parted.push(at)
    segment.points = splineThrough([first, ...sortAlong(first, last, segment.parted), last])
    segment.lengthMm = lengthOf(segment.points)
  }
}
