/** What has been made so far: pieces of thread by label, holes by place, motions counted. */
import { CellIndex, distance, lengthOf, type Point, type Point3, splineThrough } from '../geometry/index.ts'
import { nearestOnThread } from './pass-rule.ts'
import { MoveError, type MoveContext, type ThreadReference, type ThreadSettings } from './thread-settings.ts'
import type { Hole, Motion, Segment, SegmentKind, Side, Wound } from './types.ts'

/** Two places nearer than this are one hole: a twentieth of the finest thread. */
const SAME_HOLE_MM = 0.01
/** Threads are found again by the cells they come into: a cell is about a stitch wide. */
const CELL_MM = 2

export interface NewSegment {
  readonly side: Side
  readonly kind: SegmentKind
  readonly from: number
  readonly to: number
  readonly way: readonly Point3[]
  /** Of a piece of a longer curve: as it lies. */
  readonly curve?: readonly Point3[]
  readonly context: MoveContext
  readonly label: string | null
  readonly pierces?: boolean
  readonly heldBy?: number
  readonly turns?: number
  readonly wound?: Wound
  readonly sizeMm?: number
  readonly wrapMm?: number
}

export class ThreadLog {
  readonly segments: Segment[] = []
  readonly holes: Hole[] = []
  readonly counts = new Map<Motion, number>()
  private order = 0
  /** Labels that some move looks for by place: only these are entered in cells. */
  constructor(private readonly seekable: ReadonlySet<string>) {}
  private readonly byLabel = new Map<string, Segment[]>()
  private readonly byCell = new Map<string, Segment[]>()
  private readonly byPlace = new CellIndex()

  note(motion: Motion, times = 1): void {
    this.counts.set(motion, (this.counts.get(motion) ?? 0) + times)
  }

  get sequence(): number {
    return this.order
  }

  /** What follows is a piece of its own and cannot name what was made before. */
  forgetLabels(): void {
    this.byLabel.clear()
    this.byCell.clear()
  }

  labelled(label: string): readonly Segment[] {
    return this.byLabel.get(label) ?? []
  }

  find({ label, index, back, nearest }: ThreadReference, to: Point): Segment {
    const made = this.labelled(label)
    if (nearest) return this.nearest(label, to)
    const segment = index === null ? made[made.length - 1 - back] : made[index]
    if (!segment) throw new MoveError('move.no-thread', { label: `${label}${index === null ? '' : `[${index}]`}`, made: made.length })
    return segment
  }

  private nearest(label: string, to: Point): Segment {
    const near: Segment[] = []
    for (let reach = 1; reach <= 4 && near.length === 0; reach *= 2) near.push(...this.about(label, to, reach))
    let best: Segment | null = null
    let away = Number.POSITIVE_INFINITY
    for (const segment of near.length > 0 ? near : this.labelled(label)) {
      const gap = distance(nearestOnThread(segment.points, to).at, to)
      if (gap < away - 1e-9) {
        best = segment
        away = gap
      }
    }
    if (!best) throw new MoveError('move.no-thread-yet', { label })
    return best
  }

  /** Threads of a label that come into the cells about a place. */
  private about(label: string, to: Point, reach: number): Set<Segment> {
    const found = new Set<Segment>()
    const [x, y] = [Math.floor(to.x / CELL_MM), Math.floor(to.y / CELL_MM)]
    for (let dx = -reach; dx <= reach; dx += 1) {
      for (let dy = -reach; dy <= reach; dy += 1) for (const segment of this.byCell.get(`${label} ${x + dx} ${y + dy}`) ?? []) found.add(segment)
    }
    return found
  }

  private enterCells(label: string, segment: Segment): void {
    const entered = new Set<string>()
    for (const [index, to] of segment.points.entries()) {
      const from = segment.points[index - 1] ?? to
      const steps = Math.max(1, Math.ceil(distance(from, to) / CELL_MM))
      for (let step = 1; step <= steps; step += 1) {
        const share = step / steps
        const key = `${label} ${Math.floor((from.x + (to.x - from.x) * share) / CELL_MM)} ${Math.floor((from.y + (to.y - from.y) * share) / CELL_MM)}`
        if (entered.has(key)) continue
        entered.add(key)
        const list = this.byCell.get(key)
        if (list) list.push(segment)
        else this.byCell.set(key, [segment])
      }
    }
  }

  makeHole(at: Point, move: 'up' | 'down', context: MoveContext, { role }: ThreadSettings): number {
    const index = this.holes.length
    const [column, row] = [Math.round(at.x / SAME_HOLE_MM), Math.round(at.y / SAME_HOLE_MM)]
    const same = this.holeIn(column, row) ?? index
    this.byPlace.add(column, row)
    if (same !== index) this.note('shared-hole')
    this.holes.push({ x: at.x, y: at.y, move, thread: role, row: context.row, made: context.made, same })
    this.note(move)
    return index
  }

  /** The first hole that was made in this cell. */
  private holeIn(column: number, row: number): number | null {
    for (let index = this.byPlace.in(column, row); index >= 0; index = this.byPlace.before(index)) {
      const { x, y, same } = this.holes[index] as Hole
      if (Math.round(x / SAME_HOLE_MM) === column && Math.round(y / SAME_HOLE_MM) === row) return same
    }
    return null
  }

  sameHole(a: number, b: number): boolean {
    return distance(this.holes[a] as Hole, this.holes[b] as Hole) < SAME_HOLE_MM
  }

  at3(hole: number): Point3 {
    const { x, y } = this.holes[hole] as Hole
    return { x, y, z: 0 }
  }

  add(given: NewSegment, { role, lie }: ThreadSettings): Segment {
    const points = given.curve ? [...given.curve] : splineThrough(given.way)
    this.order += 1
    const segment: Segment = {
      side: given.side,
      thread: role,
      kind: given.kind,
      lie,
      points,
      lengthMm: lengthOf(points),
      order: this.order,
      sequence: this.order,
      made: given.context.made,
      row: given.context.row,
      label: given.label,
      from: given.from,
      to: given.to,
      heldBy: given.heldBy ?? null,
      parted: [],
      pierces: given.pierces ?? false,
      turns: given.turns ?? 0,
      wound: given.wound ?? 'wrap',
      sizeMm: given.sizeMm ?? 0,
      wrapMm: given.wrapMm ?? 0,
    }
    this.segments.push(segment)
    if (given.label !== null) {
      const made = this.byLabel.get(given.label)
      if (made) made.push(segment)
      else this.byLabel.set(given.label, [segment])
      if (this.seekable.has(given.label)) this.enterCells(given.label, segment)
    }
    return segment
  }
}
