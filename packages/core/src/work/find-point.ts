/** Where a point of the document lies on the cloth. */
import { leftOf, lerp, type Point, step, subtract, unit } from '../geometry/index.ts'
import type { Compiled } from '../notation/index.ts'
import type { CompiledPoint, CompiledReference } from './compiled.ts'
import { crossingNearest } from './thread-crossing.ts'
import type { Frame, Reach } from './frames.ts'
import { MoveError } from './thread-settings.ts'

export interface FoundPoint {
  readonly at: Point
  readonly direction: Point
  /** On the edge of a shape, where the eye sees every slip. */
  readonly edge: boolean
  /** As far to the side as the guide reaches: on a rail of a band, or anywhere beside a line. */
  readonly side?: boolean
}

/** What a point may refer to besides its own frame. */
export interface Around {
  readonly index: number
  readonly frames: readonly Frame[]
  readonly value: (compiled: Compiled, over?: (name: string) => number | undefined) => number
  /** Where the needle last went through. */
  readonly last: () => Point | null
  /** The way of a thread that was made before. */
  readonly thread: (reference: CompiledReference) => readonly Point[]
}

/** Null for a named point of a frame beyond the ends, and for a line that misses the edge. */
export function findPoint(form: CompiledPoint, frame: Frame, around: Around): FoundPoint | null {
  const { value } = around
  switch (form.kind) {
    case 'frame': {
      const s = value(form.s)
      // Rails and outlines reach as far as they do where the point lies, not where its frame begins.
      const there = frame.reachAt && s !== 0 ? once(frame, s) : null
      const wanted = value(form.t, there ? (name) => (isReach(name) ? there()[name] : undefined) : undefined)
      const reach = wanted === 0 ? undefined : (there ? there() : frame.values)[wanted > 0 ? 'wl' : 'wr']
      // A shape is not to be left: what its tip has no room for lies on its edge.
      const t = frame.outlined && reach !== undefined ? Math.sign(wanted) * Math.min(Math.abs(wanted), reach) : wanted
      const place = frame.at(s, t)
      const side = t !== 0 && reach !== undefined && Math.abs(t) > 0.9 * reach
      return { at: place.at, direction: place.direction, edge: frame.outlined === true && side, side }
    }
    case 'last': {
      const last = around.last()
      if (!last) throw new MoveError('move.no-last')
      return { at: last, direction: frame.at(0, 0).direction, edge: false }
    }
    case 'cross': {
      const here = frame.at(0, 0)
      const at = crossingNearest(around.thread(form.threads[0]), around.thread(form.threads[1]), here.at)
      if (!at) throw new MoveError('move.no-crossing', { labels: form.threads.map((one) => one.label).join(' and ') })
      return { at, direction: here.direction, edge: false }
    }
    case 'edge': {
      const at = frame.toEdge?.(form.side, (value(form.lean) * Math.PI) / 180) ?? null
      return at ? { at, direction: frame.at(0, 0).direction, edge: true } : null
    }
    case 'named': {
      const other = form.shift === 0 ? frame : around.frames[around.index + form.shift]
      if (!other) return null
      const at = other.named(form.name)
      if (!at) throw new MoveError('move.no-point', { name: form.name })
      const edge = form.name === 'b' || (form.name === 'a' && (other.values['row'] ?? 0) === 0)
      return { at, direction: other.at(0, 0).direction, edge }
    }
    case 'between': {
      const from = findPoint(form.from, frame, around)
      const to = findPoint(form.to, frame, around)
      if (!from || !to) return null
      const direction = unit(subtract(to.at, from.at)) ?? from.direction
      const share = form.at ? value(form.at) : 0.5
      let at: Point = form.mm ? step(from.at, direction, value(form.mm)) : lerp(from.at, to.at, share)
      if (form.by) at = step(step(at, direction, value(form.by[0])), leftOf(direction), value(form.by[1]) * frame.mirror)
      return { at, direction, edge: false }
    }
  }
}

function isReach(name: string): name is keyof Reach {
  return name === 'wl' || name === 'wr' || name === 'w'
}

/** Measuring an outline costs: only when it is asked for, and once. */
function once(frame: Frame, s: number): () => Reach {
  let reach: Reach | undefined
  return () => (reach ??= frame.reachAt?.(s) ?? NOWHERE)
}

const NOWHERE: Reach = { wl: 0, wr: 0, w: 0 }
