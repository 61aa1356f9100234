/** Where a point of the document lies on the cloth. */
import { leftOf, lerp, type Point, step, subtract, unit } from '../geometry/index.ts'
import type { Compiled } from '../notation/index.ts'
import type { CompiledPoint } from './compiled.ts'
import type { Frame } from './frames.ts'
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
  readonly value: (compiled: Compiled) => number
  /** Where the needle last went through. */
  readonly last: () => Point | null
}

/** Null for a named point of a frame beyond the ends, and for a line that misses the edge. */
export function findPoint(form: CompiledPoint, frame: Frame, around: Around): FoundPoint | null {
  const { value } = around
  switch (form.kind) {
    case 'frame': {
      const t = value(form.t)
      const place = frame.at(value(form.s), t)
      const reach = t > 0 ? frame.values['wl'] : frame.values['wr']
      const side = t !== 0 && reach !== undefined && Math.abs(t) > 0.9 * reach
      return { at: place.at, direction: place.direction, edge: frame.outlined === true && side, side }
    }
    case 'last': {
      const last = around.last()
      if (!last) throw new MoveError('move.no-last')
      return { at: last, direction: frame.at(0, 0).direction, edge: false }
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
