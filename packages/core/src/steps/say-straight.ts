/** What is said of a stitch that goes up and down in one: its holes, what it ties, how long it is, where it is laid. */
import { distance } from '../geometry/index.ts'
import type { Move } from '../notation/index.ts'
import type { Gesture, Happening } from './gestures.ts'
import { holeAt } from './holes-of.ts'
import { passedThread } from './pass-way.ts'
import type { Phrase } from './phrases.ts'
import { saidHole, type Saying } from './said-hole.ts'
import { directionOf, sideOf, wayOf } from './where.ts'

/** Empty for anything else than up and down. */
export function straightPhrases(gesture: Gesture, saying: Saying): readonly Phrase[] {
  const [up, down] = gesture.happenings
  return down ? [straightPhrase(up, down, saying), ...lengthPhrases(up, down, saying), ...besidePhrases(gesture, saying)] : []
}

export const isSplit = (move: Move | null): boolean => move !== null && ('up' in move || 'down' in move) && move.split !== undefined

function straightPhrase(up: Happening, down: Happening, saying: Saying): Phrase {
  const tied = down.made.inner !== null ? labelTied(down, saying) : isAtCrossing(down, saying) ? 'crossing' : null
  const over = tied ?? laidBelow(saying, down) ?? 'thread'
  const ties = tied !== null || isAcross(up, down, saying)
  const [from, to] = [saidHole(up, saying), saidHole(down, saying)]
  const { guide } = saying.looking
  const isSaid = ties || from.where.length + to.where.length > 0 || (guide.kind !== 'grid' && guide.kind !== 'spots')
  return {
    key: 'straight',
    from,
    to,
    toward: isSaid ? null : directionOf(wayOf(holeAt(up, saying), holeAt(down, saying), saying.looking)),
    split: isSplit(up.move),
    tie: ties ? (slants(up, down, over, saying) ? 'slanting' : 'square') : null,
    over,
  }
}

/** Led to one side on its way, so that it lies beside those before it. */
function besidePhrases({ happenings: [up, down, led] }: Gesture, saying: Saying): readonly Phrase[] {
  if (!down || led?.kind !== 'lead' || !led.surface) return []
  const [from, to] = [holeAt(up, saying), holeAt(down, saying)]
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  if (distance(middle, led.surface.at) < 0.5 * saying.looking.widthMm) return []
  return [{ key: 'laid-beside', side: sideOf(wayOf(middle, led.surface.at, saying.looking)) }]
}

/** Placed wherever two threads cross: it ties them. */
function isAtCrossing({ made }: Happening, { document }: Saying): boolean {
  const place = document.passes[made.pass]?.place
  return place !== undefined && 'crossings' in place
}

/** Of a right angle so much is still square, rad. */
const SQUARE_RAD = 0.25

function slants(up: Happening, down: Happening, label: string, saying: Saying): boolean {
  const [from, to] = [holeAt(up, saying), holeAt(down, saying)]
  const below = passedThread({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, [label], saying.worked.segments, down.made.pass)
  const long = distance(from, to)
  if (!below || long < 1e-6) return false
  return Math.abs(((to.x - from.x) * below.x + (to.y - from.y) * below.y) / long) > Math.sin(SQUARE_RAD)
}

/** In the first row of an interlocking fill stitches are long and short in turn. */
function lengthPhrases(up: Happening, down: Happening, saying: Saying): readonly Phrase[] {
  const { worked } = saying
  if (up.row !== 0) return []
  const long = distance(holeAt(up, saying), holeAt(down, saying))
  const row = worked.segments.filter((one) => one.side === 'front' && one.row === 0 && one.made.pass === down.made.pass).map((one) => one.lengthMm)
  const [least, most] = [Math.min(...row), Math.max(...row)]
  return most > 1.15 * least ? [{ key: 'length', long: long > (least + most) / 2 }] : []
}

/** A stitch of a later pass, short and across what an earlier one laid. */
function isAcross(up: Happening, down: Happening, saying: Saying): boolean {
  const { guide, advanceMm } = saying.looking
  if (down.made.pass === 0 || guide.kind !== 'line' || guide.centre) return false
  const [from, to] = [holeAt(up, saying), holeAt(down, saying)]
  return distance(from, to) < Math.max(3, advanceMm) && laidBelow(saying, down) !== null
}

function laidBelow({ worked }: Saying, down: Happening): string | null {
  const laid = worked.segments.find((one) => one.made.pass < down.made.pass && one.side === 'front' && one.label !== null)
  return laid?.label ?? null
}

function labelTied({ made }: Happening, { document }: Saying): string | null {
  const moves = document.passes[made.pass]?.repeat.flat() as readonly Move[] | undefined
  const each = moves?.find((one) => 'each' in one)
  return each && 'each' in each && typeof each.each.along === 'string' ? each.each.along.replace(/\W.*/, '') : null
}
