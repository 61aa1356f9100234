/**
 * Would it hold? What comes undone when a thread is cut, or when an end that was never fastened is pulled.
 *
 * Three things hold a piece of thread: a loop is held by the thread that comes up inside it; a knot or a coil
 * by its own turns; anything else by the cloth, whose grip grows with every further passage through it. A
 * loop whose holder goes is free, and drawn from behind it lets go of the loop before it, and so on back along
 * the line. A thread that only slides past others on the front is held at its two ends alone.
 */
import type { Segment, WorkedStitch } from '../work/index.ts'

/** Stitches on each side of a cut that loosen before the cloth grips: two, as teachers weave an end under. */
const LOOSENED = 2
/** An end must be this long to be threaded again and woven in, mm. */
export const END_MM = 50

export interface Undone {
  /** Sequences of the pieces that come out. */
  readonly undone: ReadonlySet<number>
  /** Those beside the cut that work loose. */
  readonly loosened: ReadonlySet<number>
  readonly sentence: string
}

/** What follows when this piece of thread is cut. */
export function cutThread(worked: WorkedStitch, sequence: number): Undone | null {
  const cut = worked.segments.find((segment) => segment.sequence === sequence)
  if (!cut) return null
  const undone = new Set(legOf(worked, cut).map((piece) => piece.sequence))
  const links = freeLoops(worked, undone)
  return { undone, loosened: loosenedBeside(worked, cut, undone), sentence: sentenceFor(worked, undone, links, 'cut') }
}

/** What follows when the end was not fastened and is pulled: its last stitch goes, and what that one held. */
export function pullEnd(worked: WorkedStitch): Undone {
  const front = worked.segments.filter((segment) => segment.side === 'front')
  const last = front.reduce<Segment | null>((latest, segment) => (latest === null || segment.to > latest.to ? segment : latest), null)
  if (!last) return { undone: new Set(), loosened: new Set(), sentence: 'There is nothing to pull.' }
  const knotted = last.kind === 'knot' || last.kind === 'coil'
  const undone = new Set(knotted ? [] : legOf(worked, last).map((piece) => piece.sequence))
  const links = freeLoops(worked, undone)
  return { undone, loosened: loosenedBeside(worked, last, undone), sentence: sentenceFor(worked, undone, links, 'pull') }
}

/** All pieces of the way between the same two holes: a thread that slides past others is one length. */
function legOf({ segments }: WorkedStitch, piece: Segment): readonly Segment[] {
  return piece.side === 'back' ? [piece] : segments.filter((other) => other.side === 'front' && other.from === piece.from && other.kind === piece.kind)
}

/** Loops that have lost their holder, and those that they held in turn. */
function freeLoops({ segments }: WorkedStitch, undone: Set<number>): number {
  let links = 0
  const byHolder = new Map<number, Segment>()
  for (const segment of segments) if (segment.heldBy !== null) byHolder.set(segment.heldBy, segment)
  const queue = segments.filter((segment) => undone.has(segment.sequence) && segment.side === 'front')
  for (let next = queue.pop(); next; next = queue.pop()) {
    // The thread that came up by this hole is gone, so what it held is free.
    const freed = byHolder.get(next.from)
    if (!freed || undone.has(freed.sequence)) continue
    undone.add(freed.sequence)
    links += 1
    queue.push(freed)
  }
  return links
}

function loosenedBeside({ segments }: WorkedStitch, cut: Segment, undone: ReadonlySet<number>): Set<number> {
  const loosened = new Set<number>()
  for (const segment of segments) {
    const away = Math.min(Math.abs(segment.from - cut.to), Math.abs(segment.to - cut.from))
    // A knot grips its own thread.
    if (segment.thread === cut.thread && away <= LOOSENED * 2 && !undone.has(segment.sequence) && segment.turns === 0) loosened.add(segment.sequence)
  }
  return loosened
}

function sentenceFor({ segments }: WorkedStitch, undone: ReadonlySet<number>, links: number, how: 'cut' | 'pull'): string {
  const gone = segments.filter((segment) => undone.has(segment.sequence) && segment.side === 'front')
  const start = how === 'cut' ? 'Cut here' : 'Pulled at its end'
  if (gone.length === 0) {
    const knotted = segments.some((segment) => segment.turns > 0)
    return how === 'cut'
      ? 'Cut behind, nothing on the front comes out at once; the stitches beside it work loose.'
      : knotted
        ? `${start}, it holds: the knot grips its own thread.`
        : `${start}, it holds.`
  }
  if (links > 1) return `${start}, ${links} loops come undone one after the other, back to the beginning of the row: each was held only by the next.`
  if (links === 1) return `${start}, one loop opens and no more: the next is tied down by itself.`
  const stitches = new Set(gone.map((segment) => segment.from)).size
  if (gone.length > 4 && stitches === 1) return `${start}, the whole of the second thread comes away: it is in the cloth only at its two ends.`
  return `${start}, one stitch comes out; the stitches beside it loosen, and the cloth grips the rest.`
}

export interface SafeCut {
  /** The piece behind the cloth to cut. */
  readonly cut: number
  /** Pieces to draw back so that both ends are long enough to weave in. */
  readonly drawBack: ReadonlySet<number>
  readonly sentence: string
}

/**
 * The shortest safe way to take out one stitch from behind: cut the thread behind it, then draw stitches back
 * on both sides until each end is long enough to thread and weave in. Loops must be taken back to the end.
 */
export function safeCut(worked: WorkedStitch, sequence: number): SafeCut | null {
  const { segments } = worked
  const target = segments.find((segment) => segment.sequence === sequence)
  if (!target) return null
  const mine = segments.filter((segment) => segment.thread === target.thread)
  const behind = mine.filter((segment) => segment.side === 'back')
  const cut = behind.find((segment) => segment.to === target.from) ?? behind.find((segment) => segment.from === target.to) ?? behind[0]
  if (!cut) return null
  const drawBack = new Set(legOf(worked, target).map((piece) => piece.sequence))
  const after = mine.filter((segment) => segment.from >= target.to).sort((a, b) => a.sequence - b.sequence)
  const before = mine.filter((segment) => segment.to <= target.from).sort((a, b) => b.sequence - a.sequence)
  const isLooped = target.heldBy !== null || segments.some((segment) => segment.heldBy === target.from)
  if (isLooped) for (const segment of after) drawBack.add(segment.sequence)
  else drawBackTo(after, drawBack)
  drawBackTo(before, drawBack)
  const stitches = new Set(segments.filter((segment) => drawBack.has(segment.sequence) && segment.side === 'front').map((segment) => segment.from)).size
  const sentence = isKnot(target)
    ? 'A knot is not drawn out: cut it off on the front, close to the cloth, and pick the ends out behind. Work it again with a new thread.'
    : isLooped
      ? `Loops hold only from one side: undo the end of the row and take the loops back one by one, ${stitches} of them, to this one. Do not cut.`
      : `Turn the work over, cut the thread behind this stitch, and draw ${stitches} ${stitches === 1 ? 'stitch' : 'stitches'} out: both ends are then ${END_MM} mm long and can be woven in.`
  return { cut: cut.sequence, drawBack, sentence }
}

/** Its turns hold it: what is wound does not come back through the cloth. */
function isKnot({ kind }: Segment): boolean {
  return kind === 'knot' || kind === 'coil'
}

function drawBackTo(pieces: readonly Segment[], drawBack: Set<number>): void {
  let free = 0
  for (const piece of pieces) {
    if (free >= END_MM) return
    free += piece.lengthMm
    drawBack.add(piece.sequence)
  }
}
