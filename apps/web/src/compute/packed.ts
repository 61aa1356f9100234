/**
 * Worked exercises on their way from the worker to the page: the places of all their thread in one row of numbers, which is
 * handed over whole. Copied place by place, as objects are, they would take longer than working them did.
 */
import type { Result } from '@lemmata/core/base'
import type { WorkedExercise } from '@lemmata/core/exercise'
import type { Segment } from '@lemmata/core/work'

export interface Packed {
  /** Their threads without places. */
  readonly results: Result<WorkedExercise>[]
  /** x, y and z of every place in turn, mm. */
  readonly places: Float64Array
  /** Places of each thread in turn. */
  readonly counts: Int32Array
}

/** Takes the places out of what it is given: it is packed to be sent away. */
export function pack(results: Result<WorkedExercise>[]): Packed {
  const segments = segmentsOf(results)
  const places = new Float64Array(3 * segments.reduce((sum, one) => sum + one.points.length, 0))
  const counts = new Int32Array(segments.length)
  let next = 0
  segments.forEach((segment, index) => {
    counts[index] = segment.points.length
    for (const { x, y, z } of segment.points) {
      places[next] = x
      places[next + 1] = y
      places[next + 2] = z
      next += 3
    }
    segment.points = []
  })
  return { results, places, counts }
}

export function unpack({ results, places, counts }: Packed): Result<WorkedExercise>[] {
  let next = 0
  segmentsOf(results).forEach((segment, index) => {
    const points = new Array<{ x: number; y: number; z: number }>(counts[index] as number)
    for (let at = 0; at < points.length; at += 1) {
      points[at] = { x: places[next] as number, y: places[next + 1] as number, z: places[next + 2] as number }
      next += 3
    }
    segment.points = points
  })
  return results
}

/** Each once, in one order on both sides: copying keeps what is the same object the same. */
function segmentsOf(results: readonly Result<WorkedExercise>[]): readonly Segment[] {
  const found = new Set<Segment>()
  for (const result of results) {
    if (!result.ok) continue
    for (const piece of result.value.pieces) for (const segment of piece.worked.segments) found.add(segment)
  }
  return [...found]
}
