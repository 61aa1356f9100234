/** Places where a needle goes wrongly: too far, too near, on the other side, into a hole that is there already; each a mistake that can be worked. */
import { distance, type Point } from '../geometry/index.ts'
import { applyMistake, type Mistake } from '../notation/index.ts'
import { workStitch } from '../work/index.ts'
import { type Motion, type Quiz, seenAt } from './quiz.ts'

export interface WrongHole {
  /** As seen. */
  readonly at: Point
  readonly mistake: Mistake
}

/** In the coordinates of the move: so far on, so far to the left. mm */
type Aside = readonly [number, number]

/** Never more of them than these. */
const MOST = 3

/**
 * `apartMm`: nearer to one another than this, two places could not be told apart by a finger. The worst mistakes first; fewer than three
 * where moves leave no more.
 */
export function wrongHoles(quiz: Quiz, motion: Motion, apartMm: number): readonly WrongHole[] {
  const { hole, made } = motion
  if (!hole || made.block === 'afterCorner') return []
  const { worked, work } = quiz
  const right = worked.holes[hole.hole] as Point
  const [onMm, acrossMm] = [farther(worked.fitted.pitchMm * 0.6, work.materials.W, apartMm), farther(worked.fitted.pitchMm * 0.5, work.materials.W, apartMm)]
  const place = (aside: Aside): Point | null => holeOf(quiz, motion, mistakeOf(motion, aside))
  const [on, across] = [place([onMm, 0]), place([0, acrossMm])]
  const found: WrongHole[] = []
  const add = (aside: Aside | null): void => {
    if (!aside || found.length >= MOST) return
    const mistake = mistakeOf(motion, aside)
    const worked = holeOf(quiz, motion, mistake)
    if (!worked) return
    const at = seenAt(quiz, worked)
    const taken = [seenAt(quiz, right), ...found.map((one) => one.at)]
    if (taken.every((other) => distance(other, at) >= apartMm)) found.push({ at, mistake })
  }
  const basis = on && across ? basisOf(right, [on, onMm], [across, acrossMm]) : null
  // Back into the hole it came from is what beginners do most; then the other side; then a stitch too long and too short.
  for (const before of [1, 2, 3]) {
    const other = worked.holes[hole.hole - before]
    if (basis && other && found.length < 1) add(basis({ x: other.x - right.x, y: other.y - right.y }))
  }
  add([0, acrossMm])
  add([onMm, 0])
  add([0, -acrossMm])
  add([-onMm, 0])
  return found
}

const farther = (mm: number, widthMm: number, apartMm: number): number => Math.max(mm, 3 * widthMm, 1.5, 1.1 * apartMm)

export function mistakeOf({ made }: Motion, aside: Aside): Mistake {
  return changeOf(made, { aside })
}

/** The change made to this motion alone, in the repeat in which it is asked. */
export function changeOf({ pass, block, list, move, repeat, inner }: Motion['made'], change: Mistake['change']): Mistake {
  const where = { pass, block: block === 'afterCorner' ? ('repeat' as const) : block, list, move }
  return { name: '', mend: '', ...where, ...(inner === null ? {} : { inner }), ...(block === 'repeat' ? { only: [repeat] } : {}), change }
}

/** Where the motion's hole comes to lie with the mistake in it; null where it cannot be worked so. */
function holeOf({ work }: Quiz, { hole }: Motion, mistake: Mistake): Point | null {
  const result = workStitch({ ...work, document: applyMistake(work.document, mistake), forgiving: true })
  const at = result.ok && hole ? result.value.holes[hole.hole] : undefined
  return at && Number.isFinite(at.x + at.y) ? { x: at.x, y: at.y } : null
}

/** How a way on the cloth is said in the coordinates of the move, learned from two places; null where both lie one way. */
function basisOf(origin: Point, [on, onMm]: readonly [Point, number], [across, acrossMm]: readonly [Point, number]): ((way: Point) => Aside) | null {
  const [a, c] = [(on.x - origin.x) / onMm, (on.y - origin.y) / onMm]
  const [b, d] = [(across.x - origin.x) / acrossMm, (across.y - origin.y) / acrossMm]
  const area = a * d - b * c
  if (Math.abs(area) < 0.2) return null
  return ({ x, y }) => [(d * x - b * y) / area, (a * y - c * x) / area]
}
