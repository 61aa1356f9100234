/**
 * The thread as it is worked: where the needle is, what lies open, what has been made. Each move changes it
 * and adds pieces of thread; a move that cannot be made is a problem that names it.
 */
import { distance, dot, leftOf, lengthOf, type Point, type Point3, splineThrough } from '../geometry/index.ts'
import type { Round } from '../notation/index.ts'
import { cutUnders, type FrontPiece, type Under } from './front-way.ts'
import { nearestOnThread, placeOnThread, type PassedThread, wayPast } from './pass-rule.ts'
import { wayRoundPost, wayRoundTwo } from './post-rule.ts'
import { lifted, sideOf, sortAlong, unnamed } from './thread-lie.ts'
import { ThreadLog } from './thread-log.ts'
import { MoveError, type MoveContext, type PassHow, type ThreadReference, type ThreadSettings } from './thread-settings.ts'
import type { Fault, Patch, Segment, SurfaceKind, SurfacePass, Wound } from './types.ts'
import { windUp } from './wrap-rule.ts'

/** A thread counts as pierced only when the hole lies on it to within half a millimetre. */
const PIERCED_MM = 0.5
interface OpenLoop {
  readonly from: number
  readonly to: number
  readonly way: readonly Point3[]
  readonly context: MoveContext
}

export class ThreadState {
  readonly log: ThreadLog
  readonly passes: SurfacePass[] = []
  readonly patches: Patch[] = []
  private settings: ThreadSettings
  /** In front: the way so far from the hole it came up by. */
  private way: Point3[] | null = null
  private lastHole = -1
  private open: OpenLoop | null = null
  private turns = 0
  private wound: Wound = 'wrap'
  private freeMm: number | null = null
  private held = false
  /** The thread in front came up through another. */
  private pierced = false
  /** How high what is worked now stands over padding. */
  private padMm = 0
  /** Parts of the way in front that lie under something. */
  private unders: Under[] = []
  private passSide: Point | null = null
  private passAt: Point | null = null

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

  /** Another pass: with a new needleful, which starts behind at no hole, or going on with the same. */
  beginPass(settings: ThreadSettings, goesOn: boolean): void {
    this.settings = settings
    if (!goesOn) {
      if (this.held) throw new MoveError('the pass before holds its thread in front, but this one does not go on with it. Write "continues".')
      this.lastHole = -1
    }
    this.held = false
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
    if (this.way) throw new MoveError('the needle comes up while the thread is already in front. Go down first.')
    const loop = this.open
    const from = this.lastHole
    const { round, split } = how
    if (loop && !round && !how.half) {
      this.fault('loop-lost', at, context, 'the loop that was left loose is not caught. Add "round" to the move that comes up, or do not leave it loose.')
      this.dropLoop(loop)
    }
    if (round && !loop) throw new MoveError('there is no loose loop for this move to catch. Leave one with "loose" first.')
    const hole = this.log.makeHole(at, 'up', context, this.settings)
    const sameAsLast = from >= 0 && this.log.sameHole(from, hole)
    if (sameAsLast && !loop && !split)
      this.fault('pulled-through', at, context, 'the needle comes up in the very hole it has just gone down by, so the stitch would pull out.')
    if (split) this.part(split, at, context)
    this.pierced = split !== null
    if (loop && round) this.catchLoop(loop, hole, round, how.and, context)
    if (from >= 0)
      this.log.add({ side: 'back', kind: 'straight', from, to: hole, way: [this.log.at3(from), this.log.at3(hole)], context, label: null }, this.settings)
    this.lastHole = hole
    this.way = [this.log.at3(hole)]
    if (how.wraps > 0) this.knotHere(how.wraps, hole, context)
  }

  down(at: Point, how: { readonly loose: boolean; readonly split: ThreadReference | null; readonly plunge: boolean }, context: MoveContext): void {
    const way = this.way
    if (!way) throw new MoveError('the needle goes down while the thread is already behind. Come up first.')
    const from = this.lastHole
    const hole = this.log.makeHole(at, 'down', context, this.settings)
    if (this.log.sameHole(from, hole) && way.length === 1 && !how.loose && this.turns === 0) {
      this.fault('pulled-through', at, context, 'the needle goes down the very hole it came up by, so the stitch would pull out.')
    }
    if (how.split) this.part(how.split, at, context)
    if (how.plunge) this.note('plunge')
    this.way = null
    this.lastHole = hole
    if (this.turns > 0) {
      this.wind(from, hole, context)
      return
    }
    if (how.loose) {
      if (this.open) throw new MoveError('a second loop is left loose while the first is still open. Catch the first one before.')
      this.note('leave-loop')
      // What has slid under something already lies; only what follows is loose.
      if (this.unders.length > 0) {
        this.addWay(from, from, way, unnamed(context))
        this.open = { from, to: hole, way: [way[way.length - 1] as Point3, this.log.at3(hole)], context }
      } else this.open = { from, to: hole, way: [...way, this.log.at3(hole)], context }
      return
    }
    this.addWay(from, hole, [...way, this.log.at3(hole)], context)
  }

  /** Slides past labelled threads on the front: under or over them, or with a hitch. */
  pass(kind: 'under' | 'over', references: readonly ThreadReference[], how: PassHow, near: Point, context: MoveContext): void {
    const way = this.inFront('there is no thread in front to slide. Come up first.')
    const segments = references.map((one) => this.log.find(one, near))
    const first = segments[0] as Segment
    const { label, at } = references[0] as ThreadReference
    const lead = references[0]?.nearest && at === null ? nearestOnThread(first.points, near) : placeOnThread(first.points, at ?? how.at)
    const passed: PassedThread[] = [
      lead,
      ...segments.slice(1).map((segment, index) => {
        const share = references[index + 1]?.at ?? null
        return share === null ? nearestOnThread(segment.points, lead.at) : placeOnThread(segment.points, share)
      }),
    ]
    const before = way[way.length - 1] as Point3
    const side = sideOf(lead, how.from, before, context)
    const pass = wayPast({
      kind,
      passed,
      side,
      direction: context.direction,
      rho: this.settings.diameterMm,
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
    const lastPass = this.passes.at(-1)
    if (lastPass && lastPass.labels.length > 0 && lastPass.from !== (left ? 'left' : 'right')) this.note('alternate')
    this.surface(kind, lead.at, context, { from: left ? 'left' : 'right', hitch: how.hitch, labels: references.map((one) => one.label) })
    if (context.label !== null && label !== undefined) this.cutWay(context)
  }

  by(at: Point): void {
    this.inFront('the thread is behind, so it cannot be led across the front. Come up first.').push({ x: at.x, y: at.y, z: 0 })
    this.passSide = null
  }

  /** Follows the guide on the surface. */
  lay(points: readonly Point[], context: MoveContext): void {
    const way = this.inFront('the thread is behind, so it cannot be laid. Come up first.')
    for (const at of points) way.push({ x: at.x, y: at.y, z: 0 })
    this.passSide = null
    this.note('lay')
    this.surface('lay', points[points.length - 1] ?? (way[0] as Point), context)
  }

  /** Round a pin, and on towards another place. */
  roundPost(post: Point, to: Point, context: MoveContext): void {
    const way = this.inFront('there is no thread in front to take round the pin. Come up first.')
    const { diameterMm, lineWidthMm } = this.settings
    const before = way[way.length - 1] as Point3
    const turn = wayRoundPost({ a: before, b: to, c: post, direction: context.direction, round: 'inside', mirror: context.mirror, diameterMm, lineWidthMm })
    // Up to the far side of the pin the thread is one leg; what follows is the next.
    const contact = Math.floor((turn.length - 1) / 2)
    way.push(...turn.slice(1, contact + 1))
    this.note('round-pin')
    this.surface('round', post, context)
    this.cutWay(context)
    this.way?.push(...turn.slice(contact + 1, -1))
  }

  wrap(turns: number, wound: Wound, freeMm: number | null): void {
    this.inFront('there is nothing to wrap: come up first.')
    if (!(turns >= 1) || turns > 200)
      throw new MoveError(`${Number(turns.toFixed(2))} ${wound === 'cast' ? 'loops' : 'wraps'} cannot be made; ask for 1 to 200.`)
    // An open loop becomes the wraps: it has no length of its own.
    this.open = null
    this.turns = Math.round(turns)
    this.wound = wound
    this.freeMm = freeMm
    this.note('wind')
    this.note(wound === 'cast' ? 'cast' : 'wrap', this.turns)
    if (wound === 'eight') this.note('eight')
    if (freeMm !== null) this.note('stand')
  }

  bead(sizeMm: number, context: MoveContext): void {
    const way = this.inFront('there is no thread in front to take a bead on. Come up first.')
    if (!(sizeMm > 0)) throw new MoveError(`a bead of ${Number(sizeMm.toFixed(2))} mm cannot be taken; give it a width above 0.`)
    const at = way[way.length - 1] as Point3
    const from = { ...at, x: at.x - 0.01 }
    this.log.add({ side: 'front', kind: 'bead', from: this.lastHole, to: this.lastHole, way: [from, at], context, label: null, sizeMm }, this.settings)
    this.note('bead')
    this.surface('bead', at, context)
  }

  pad(heightMm: number, outline: readonly Point[] | null, context: MoveContext): void {
    if (!(heightMm > 0 && heightMm <= 20))
      throw new MoveError(`padding ${Number(heightMm.toFixed(2))} mm high cannot be laid; give it a height above 0 and up to 20 mm.`)
    this.padMm += heightMm
    this.note('pad')
    const at = outline?.[0] ?? this.lastPoint
    if (outline) this.patches.push({ kind: 'felt', outline, sequence: this.log.sequence })
    if (at) this.surface('pad', at, context)
  }

  /** The ground is cut, or threads of it are drawn out. */
  openGround(kind: 'cut' | 'withdraw', outline: readonly Point[], context: MoveContext): void {
    this.patches.push({ kind: kind === 'cut' ? 'gap' : 'drawn', outline, sequence: this.log.sequence })
    this.note(kind)
    this.surface(kind, outline[0] as Point, context)
  }

  pin(at: Point, context: MoveContext): void {
    this.note('pin')
    this.surface('pin', at, context)
  }

  hold(): void {
    this.inFront('there is no thread in front to hold. Come up first.')
    this.held = true
  }

  /** Everything is behind and nothing is left open. */
  finish(): void {
    if (this.open) {
      if (!this.how.forgiving) throw new MoveError('a loop is left open at the end. Catch it, or tie it down.')
      const { to, context } = this.open
      this.fault('loop-lost', this.log.holes[to] as Point, context, '')
      this.dropLoop(this.open)
    }
    if (this.way && !this.held) throw new MoveError('the thread is left in front at the end. Go down once more.')
  }

  private fault(kind: Fault['kind'], at: Point, context: MoveContext, otherwise: string): void {
    if (!this.how.forgiving) throw new MoveError(otherwise)
    this.faults.push({ kind, at: { x: at.x, y: at.y }, repeat: context.made.repeat })
  }

  /** A loop that nothing catches slips to the back until its thread lies straight. */
  private dropLoop(loop: OpenLoop): void {
    this.open = null
    if (this.log.sameHole(loop.from, loop.to)) return
    const way = [this.log.at3(loop.from), this.log.at3(loop.to)]
    this.log.add({ side: 'front', kind: 'straight', from: loop.from, to: loop.to, way, context: loop.context, label: loop.context.label }, this.settings)
  }

  note(motion: Parameters<ThreadLog['note']>[0], times = 1): void {
    this.log.note(motion, times)
  }

  private inFront(otherwise: string): Point3[] {
    if (!this.way) throw new MoveError(otherwise)
    return this.way
  }

  private surface(kind: SurfaceKind, at: Point, context: MoveContext, more?: Pick<SurfacePass, 'from' | 'hitch' | 'labels'>): void {
    const inHand = { way: this.way ?? [], points: this.way?.length ?? 0, unders: this.unders, count: this.unders.length }
    this.passes.push({ kind, at, from: 'right', hitch: false, labels: [], ...more, made: context.made, afterHole: this.log.holes.length - 1, inHand })
  }

  /** The leg so far becomes a piece of its own, which later moves can name; the thread stays in hand. */
  private cutWay(context: MoveContext): void {
    const way = this.way
    if (!way || way.length < 2) return
    this.addWay(this.lastHole, this.lastHole, way, context, true)
    this.way = [way[way.length - 1] as Point3]
  }

  /** The way in front as one curve, cut where it goes under something. */
  private addWay(from: number, to: number, given: readonly Point3[], context: MoveContext, endsHere = false): void {
    const unders = this.unders
    this.unders = []
    const way = this.padMm > 0 && given.length === 2 ? lifted(given, this.padMm) : given
    if (unders.length === 0) {
      this.log.add({ side: 'front', kind: 'straight', from, to, way, context, label: context.label, pierces: this.pierced }, this.settings)
      if (this.way === null) this.passSide = this.passAt = null
      return
    }
    if (this.way === null) this.passSide = this.passAt = null
    const last = unders.length - 1
    for (const piece of cutUnders(way, unders)) {
      // The label names the leg that ends here: what led to the last pass, or at a hole what follows it.
      const ends = endsHere ? piece.before === last : piece.before === null && piece.order === null
      this.addPiece(from, to, piece, ends ? context : unnamed(context))
    }
  }

  private addPiece(from: number, to: number, { points, order }: FrontPiece, context: MoveContext): void {
    const ends = [points[0] as Point3, points[points.length - 1] as Point3]
    const segment = this.log.add({ side: 'front', kind: 'straight', from, to, way: ends, context, label: context.label }, this.settings)
    segment.points = points
    segment.lengthMm = lengthOf(points)
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
    const { diameterMm, lineWidthMm } = this.settings
    const post = { a, b, c: at, direction: context.direction, round, mirror: context.mirror, diameterMm, lineWidthMm, ease: this.how.tight ? 0.25 : 1 }
    const way = and ? wayRoundTwo(post, and) : wayRoundPost(post)
    const whole = [...loop.way.slice(0, -2), ...way]
    this.open = null
    const kind = side ? 'kept' : 'loop'
    const { from, to, context: made } = loop
    this.log.add({ side: 'front', kind, from, to, way: whole, context: made, label: made.label, ...(side ? {} : { heldBy: hole }) }, this.settings)
  }

  private wind(from: number, hole: number, context: MoveContext): void {
    const { diameterMm, lineWidthMm, shaftMm } = this.settings
    const wraps = { turns: this.turns, wound: this.wound, freeMm: this.freeMm, diameterMm, lineWidthMm, shaftMm }
    const made = windUp(wraps, this.log.at3(from), this.log.at3(hole), context.direction, context.mirror)
    const { kind, way, sizeMm, wrapMm } = made
    const segment = this.log.add(
      { side: 'front', kind, from, to: hole, way, context, label: context.label, turns: this.turns, wound: this.wound, sizeMm, wrapMm },
      this.settings,
    )
    segment.lengthMm = made.coreMm
    this.turns = 0
    this.freeMm = null
  }

  /** Turns round the needle's tip, drawn up to a knot at the hole it came out of. */
  private knotHere(turns: number, hole: number, context: MoveContext): void {
    const { diameterMm, lineWidthMm, shaftMm } = this.settings
    const at = this.log.at3(hole)
    const made = windUp(
      { turns: Math.max(1, Math.round(turns)), wound: 'wrap', freeMm: null, diameterMm, lineWidthMm, shaftMm },
      at,
      at,
      context.direction,
      context.mirror,
    )
    this.note('wind')
    this.note('wrap', Math.max(1, Math.round(turns)))
    const way = [at, { x: at.x + context.direction.x * 0.02, y: at.y + context.direction.y * 0.02, z: 0 }]
    this.log.add(
      { side: 'front', kind: 'knot', from: hole, to: hole, way, context, label: null, turns: Math.round(turns), sizeMm: made.sizeMm, wrapMm: made.wrapMm },
      this.settings,
    )
  }

  /** The thread opens where the needle pierces it, and is drawn bent there. */
  private part(reference: ThreadReference, at: Point, context: MoveContext): void {
    const segment = this.log.find(reference, at)
    const [first, last] = [segment.points[0] as Point3, segment.points[segment.points.length - 1] as Point3]
    const gap = distance(nearestOnThread(segment.points, at).at, at)
    if (gap > PIERCED_MM + 0.25 * distance(first, last)) {
      this.fault('not-split', at, context, `the hole lies ${gap.toFixed(2)} mm beside "${reference.label}", so the needle would not split it.`)
      return
    }
    this.note('split')
    segment.parted.push(at)
    segment.points = splineThrough([first, ...sortAlong(first, last, segment.parted), last])
    segment.lengthMm = lengthOf(segment.points)
  }
}
