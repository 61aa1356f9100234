/**
 * How much of what is marked no thread covers: what stays to be seen where the mark stays. Looked at along each mark, 0.4 mm at a
 * time, in three places across its width.
 */
import type { WorkedExercise } from '../exercise/index.ts'
import { CellIndex, leftOf, measurePath, placeAt, type Point, step } from '../geometry/index.ts'

export interface BareMarks {
  readonly exercise: WorkedExercise['exercise']
  /** Area marked, and of it what no thread lies over, mm2. */
  readonly markedMm2: number
  readonly bareMm2: number
}

const STEP_MM = 0.25
const LOOK_MM = 0.4
const CELL_MM = 1

/** All thread of the front counts, also of other exercises that lie over the marks of this one. */
export function bareMarks(done: readonly WorkedExercise[], lineMm: number): readonly BareMarks[] {
  return marksUnder(done)(lineMm)
}

/** For several widths of line: the thread is laid out once. */
export function marksUnder(done: readonly WorkedExercise[]): (lineMm: number) => readonly BareMarks[] {
  const isCovered = coverOfThread(done)
  return (lineMm) => marksBare(done, isCovered, lineMm)
}

function marksBare(done: readonly WorkedExercise[], isCovered: (at: Point) => boolean, lineMm: number): readonly BareMarks[] {
  return done.map(({ exercise, pieces }) => {
    let [marked, bare] = [0, 0]
    const look = (at: Point, area: number): void => {
      marked += area
      if (!isCovered(at)) bare += area
    }
    for (const mark of pieces.flatMap((piece) => piece.marks)) {
      if (mark.kind === 'dot') look(mark.at, Math.PI * (lineMm / 2) ** 2)
      if (mark.kind !== 'line') continue
      const path = measurePath(mark.points, mark.closed)
      if (!path) continue
      const steps = Math.max(1, Math.ceil(path.length / LOOK_MM))
      for (let index = 0; index < steps; index += 1) {
        const { at, direction } = placeAt(path, ((index + 0.5) * path.length) / steps)
        for (const across of [-lineMm / 3, 0, lineMm / 3]) look(step(at, leftOf(direction), across), ((path.length / steps) * lineMm) / 3)
      }
    }
    return { exercise, markedMm2: marked, bareMm2: bare }
  })
}

function coverOfThread(done: readonly WorkedExercise[]): (at: Point) => boolean {
  const index = new CellIndex()
  const places: (Point & { readonly reach: number })[] = []
  const cell = (value: number): number => Math.floor(value / CELL_MM)
  for (const one of done)
    for (const piece of one.pieces)
      for (const segment of piece.worked.segments) {
        if (segment.side !== 'front') continue
        const bundle = piece.assigned.threads.find((thread) => thread.role === segment.thread)?.bundle ?? piece.assigned.main.bundle
        const width = segment.kind === 'knot' || segment.kind === 'bead' ? segment.sizeMm : segment.lie === 'flat' ? bundle.flatWidthMm : bundle.lineWidthMm
        const path = measurePath(segment.points)
        const length = path?.length ?? 0
        const steps = Math.max(1, Math.ceil(length / STEP_MM))
        for (let place = 0; place <= steps; place += 1) {
          const at = path ? placeAt(path, (place * length) / steps).at : segment.points[0]
          if (!at) continue
          // Between two places looked at, thread reaches a little less far across.
          places.push({ x: at.x, y: at.y, reach: Math.min(CELL_MM, Math.max(STEP_MM, width / 2)) })
          index.add(cell(at.x), cell(at.y))
        }
      }
  return (at) => {
    for (const column of [-1, 0, 1])
      for (const row of [-1, 0, 1])
        for (let one = index.in(cell(at.x) + column, cell(at.y) + row); one >= 0; one = index.before(one)) {
          const place = places[one] as (typeof places)[number]
          if (Math.hypot(place.x - at.x, place.y - at.y) <= place.reach) return true
        }
    return false
  }
}

/** Less of the marks than this beside the thread is not seen. */
export const SEEN_SHARE = 0.1

/** Those of which some is seen beside the thread, the most first. */
export function seenMarks(all: readonly BareMarks[]): readonly BareMarks[] {
  const share = ({ bareMm2, markedMm2 }: BareMarks): number => (markedMm2 > 0 ? bareMm2 / markedMm2 : 0)
  return all.filter((one) => share(one) > SEEN_SHARE).sort((a, b) => share(b) - share(a))
}

/** Of all that is marked, 0 to 1; null where nothing is. */
export function bareShareOf(all: readonly BareMarks[]): number | null {
  const marked = all.reduce((total, one) => total + one.markedMm2, 0)
  return marked > 0 ? all.reduce((total, one) => total + one.bareMm2, 0) / marked : null
}
