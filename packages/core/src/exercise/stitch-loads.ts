/** What a stitch asks of hands and memory, whichever way its document writes it. */
import type { Assigned } from '../assign/index.ts'
import type { Point } from '../geometry/index.ts'
import type { StitchLoads } from '../measure/index.ts'
import { cycleOf, kindOfMove, type Move } from '../notation/index.ts'
import type { MotionCounts, Segment } from '../work/index.ts'
import type { WorkedPiece } from './work-piece.ts'

/** What the stitch asks, of all pieces together. */
export function stitchLoads({ base, document }: Assigned, pieces: readonly WorkedPiece[]): StitchLoads {
  const efforts = pieces.map((piece) => piece.worked.efforts)
  return {
    passes: document.passes.map((pass, index) => {
      const all = efforts.flatMap((one) => one[index] ?? [])
      const over = timesOver(cycleOf(pass))
      return {
        repeats: over * all.reduce((total, one) => total + one.repeats, 0),
        motions: sumMotions([...all.map((one) => one.motions), ...(over > 1 ? [{ angle: turns(pieces, index) }] : [])]),
        moves: countMoves(cycleOf(pass).flat()) / over,
      }
    }),
    composite: base !== null,
    special: document.passes.reduce((total, pass) => total + (pass.start ? 1 : 0) + (pass.end ? 1 : 0), 0),
  }
}

/**
 * How often one repeat has the hands do the same: eight spokes to one middle are one spoke, eight times over, whether the
 * document writes them as one place or as eight. Twice is not yet a habit: the arms of a cross are two things to remember.
 */
function timesOver([repeat = [], ...others]: readonly (readonly Move[])[]): number {
  if (others.length > 0) return 1
  const kinds = repeat.map(kindOfMove)
  for (let long = 1; long <= kinds.length / 3; long += 1)
    if (kinds.length % long === 0 && kinds.every((kind, index) => kind === kinds[index % long])) return kinds.length / long
  return 1
}

/** Moves to remember; those over a laid thread count as well. */
function countMoves(moves: readonly Move[]): number {
  return moves.reduce((total, move) => total + ('each' in move ? move.moves.length : 1), 0)
}

/** Two stitches side by side are drawn in as one: less than this is no other direction. 10 degrees. */
const TURN_RAD = 0.175

/** How often a stitch of the pass points another way than the one before it. */
function turns(pieces: readonly WorkedPiece[], pass: number): number {
  const all = pieces.flatMap((piece) => piece.worked.segments.filter((one) => one.made.pass === pass && one.side === 'front' && one.kind === 'straight'))
  const ways = all.map(wayOf)
  // A thread has no front end: down the middle and up from it lie alike.
  return ways.filter((way, index) => index > 0 && Math.abs(Math.sin(way - (ways[index - 1] as number))) > Math.sin(TURN_RAD)).length
}

function wayOf({ points }: Segment): number {
  const [a, b] = [points[0] as Point, points[points.length - 1] as Point]
  return Math.atan2(b.y - a.y, b.x - a.x)
}

export function sumMotions(all: readonly MotionCounts[]): MotionCounts {
  const total: Record<string, number> = {}
  for (const motions of all) for (const [motion, count] of Object.entries(motions)) total[motion] = (total[motion] ?? 0) + count
  return total
}
