/** Places where a needle goes wrongly: too far, too near, on the other side, into a hole that is there already; each a mistake that can be worked. */
import { distance, type Point } from '../geometry/index.ts'
import { applyMistake, type Mistake } from '../notation/index.ts'
import { workStitch } from '../work/index.ts'
import { type Motion, type Quiz, seenAt } from './quiz.ts'

/** How it is shown: places so far from one another that a finger tells them apart, and none where the picture ends. */
export interface Shown {
  readonly apartMm: number
  readonly isSeen: (at: Point) => boolean
}

export interface WrongHole {
  /** As seen. */
  readonly at: Point
  readonly mistake: Mistake
}

/** In the coordinates of the move: so far on, so far to the left. mm */
type Aside = readonly [number, number]

/** Nearer than this, two holes are one. */
const MET_MM = 0.6
/** So many times as far, where a place is taken. */
const TRIED = [1, 1.4, 1.8]
/** Never more of them than these. */
const MOST = 3

/** The worst mistakes first; fewer than three where moves or the picture leave no more. */
export function wrongHoles(quiz: Quiz, motion: Motion, { apartMm, isSeen }: Shown): readonly WrongHole[] {
  const { hole, made } = motion
  if (!hole || made.block === 'afterCorner') return []
  const { worked, work } = quiz
  const right = worked.holes[hole.hole] as Point
  const [onMm, acrossMm] = [farther(worked.fitted.pitchMm * 0.6, work.materials.W, apartMm), farther(worked.fitted.pitchMm * 0.5, work.materials.W, apartMm)]
  const place = (aside: Aside): Point | null => holeOf(quiz, motion, mistakeOf(motion, aside))
  const [on, across] = [place([onMm, 0]), place([0, acrossMm])]
  const found: WrongHole[] = []
  const add = (aside: Aside | null): boolean => {
    if (!aside || found.length >= MOST) return false
    const mistake = mistakeOf(motion, aside)
    const worked = holeOf(quiz, motion, mistake)
    if (!worked) return false
    const at = seenAt(quiz, worked)
    const taken = [seenAt(quiz, right), ...found.map((one) => one.at)]
    const isApart = isSeen(at) && taken.every((other) => distance(other, at) >= apartMm)
    if (isApart) found.push({ at, mistake })
    return isApart
  }
  // A stitch too long that happens to end where the next begins would come undone for a reason of its own.
  const isFree = ([s, t]: Aside): boolean => {
    const at = holeOf(quiz, motion, mistakeOf(motion, [s, t]))
    return at !== null && worked.holes.every((one) => distance(one, at) > MET_MM)
  }
  const addFree = ([s, t]: Aside): void => {
    for (const times of TRIED) {
      const aside: Aside = [s * times, t * times]
      if (isFree(aside) && add(aside)) return
    }
  }
  const basis = on && across ? basisOf(right, [on, onMm], [across, acrossMm]) : null
  // Back into the hole it came from is what beginners do most; then the other side; then a stitch too long and too short.
  for (const before of [1, 2, 3]) {
    const other = worked.holes[hole.hole - before]
    if (basis && other && found.length < 1) add(basis({ x: other.x - right.x, y: other.y - right.y }))
  }
  addFree([0, acrossMm])
  addFree([onMm, 0])
  addFree([0, -acrossMm])
  addFree([-onMm, 0])
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
