/** What is said of what is shown: phrases in the order act, thread, pull, what it is now; each only when it is new or matters. */
import { boxOf, distance, nearestPlace, placeAt, type Point } from '../geometry/index.ts'
import type { Move, StitchDocument } from '../notation/index.ts'
import type { Hole, WorkedStitch } from '../work/index.ts'
import type { Shown } from './choose.ts'
import type { Gesture, Happening } from './gestures.ts'
import type { Hand } from './hand.ts'
import { otherHand } from './hand.ts'
import type { Phrase, SaidHole, Where } from './phrases.ts'
import { holeAt, moveOfHole, previousHole, woundAt } from './holes-of.ts'
import { awayFrom, enteredFrom, passedThread } from './pass-way.ts'
import { directionOf, type Looking, sideOf, wayOf, whereAlong, whereOnGuide } from './where.ts'

export interface Saying {
  readonly document: StitchDocument
  readonly worked: WorkedStitch
  readonly hand: Hand
  readonly looking: Looking
  /** Of a hole, by its index: null where none is drawn. */
  readonly numberOf: (hole: number) => number | null
  /** It has been shown before this. */
  readonly wasShown: (hole: number) => boolean
  /** Names of passes whose thread was taken up already are not said again. */
  readonly isLastOfAll: boolean
}

/** Where one is until one leaves it. */
const ALONG: readonly Where['at'][] = ['line', 'middle-line', 'rail', 'beside-line', 'inside-rail', 'rim']

/** A stitch shorter than this many widths beside its own hole is "right beside it". */
const BESIDE_WIDTHS = 2.5

export function phrasesOf(shown: Shown, saying: Saying): readonly Phrase[] {
  const [gesture] = shown.gestures
  const before = shown.after.flatMap((one) => gesturePhrases(one, { ...shown, ends: false }, saying))
  const said = shown.moment === 'group' ? groupPhrases(shown, saying) : gesturePhrases(gesture, shown, saying)
  const ending: readonly Phrase[] = shown.ends && saying.isLastOfAll ? [{ key: 'ends' }] : []
  return [...before, ...said, ...ending]
}

function gesturePhrases(gesture: Gesture, shown: Shown, saying: Saying): readonly Phrase[] {
  const [first, second] = gesture.happenings
  const { moment, time } = shown
  switch (gesture.kind) {
    case 'up':
      return [...upPhrases(first, gesture, saying)]
    case 'down':
      return downPhrases(first, shown.ends && saying.isLastOfAll, saying)
    case 'straight':
      return second ? [straightPhrase(first, second, saying), ...lengthPhrases(first, second, saying)] : []
    case 'sew':
      return second ? (moment === 'in' ? sewPhrases(first, second, time, saying) : drawnPhrases(first, second, saying)) : []
    case 'half':
      return second ? [{ key: 'half-out', in: saidHole(first, saying), out: saidHole(second, saying) }] : []
    case 'wind':
      return windPhrases(first, shown, saying)
    case 'pass':
      if (moment === 'in') return passPhrases(first, gesture, saying)
      return leavesBow(first) ? [{ key: 'draw-bow' }] : [{ key: 'draw-pass', hitch: first.surface?.hitch ?? false, direction: awayFrom(first, saying) }]
    case 'weave':
      return [weavePhrase(gesture, saying)]
    default:
      return [{ key: gesture.kind }]
  }
}

function upPhrases(up: Happening, gesture: Gesture, saying: Saying): readonly Phrase[] {
  const isSplit = up.move !== null && 'up' in up.move && up.move.split !== undefined
  return [{ key: 'up', hole: saidHole(up, saying), begins: gesture.begins || gesture.piece > 0, split: isSplit }]
}

function downPhrases(down: Happening, last: boolean, saying: Saying): readonly Phrase[] {
  const hole = saidHole(down, saying)
  const { move } = down
  const before = previousHole(down, saying)
  const moveBefore = before === null ? null : moveOfHole(before, saying)
  const holdsLoop = moveBefore !== null && 'up' in moveBefore && (moveBefore.round === 'inside' || moveBefore.round === 'cross')
  const how = move && 'down' in move && move.plunge ? 'plunge' : isSplit(move) ? 'split' : holdsLoop ? 'over-loop' : 'plain'
  return [{ key: 'down', hole, how, last }]
}

const isSplit = (move: Move | null): boolean => move !== null && ('up' in move || 'down' in move) && move.split !== undefined

function straightPhrase(up: Happening, down: Happening, saying: Saying): Phrase {
  const tied = down.made.inner !== null ? labelTied(down, saying) : null
  const over = tied ?? laidBelow(saying, down) ?? 'thread'
  const ties = tied !== null || isAcross(up, down, saying)
  return {
    key: 'straight',
    from: saidHole(up, saying),
    to: saidHole(down, saying),
    split: isSplit(up.move),
    tie: ties ? (slants(up, down, over, saying) ? 'slanting' : 'square') : null,
    over,
  }
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

/** A needle that goes in on one side of the line and comes out on the other. */
function isSquare(entry: Point, exit: Point, { guide }: Looking): boolean {
  if (guide.kind !== 'line') return false
  const { direction } = placeAt(guide.path, nearestPlace(guide.path, entry).travelled)
  const long = distance(entry, exit)
  return long > 1e-6 && Math.abs((exit.x - entry.x) * direction.x + (exit.y - entry.y) * direction.y) < 0.5 * long
}

const leavesBow = ({ move }: Happening): boolean => move !== null && ('under' in move || 'over' in move) && move.bight !== undefined

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

function sewPhrases(down: Happening, up: Happening, time: number, saying: Saying): readonly Phrase[] {
  const { looking, hand } = saying
  const [entry, exit] = [holeAt(down, saying), holeAt(up, saying)]
  const move = up.move && 'up' in up.move ? up.move : null
  const said: Phrase[] = []
  const kept = keptSide(down, up, saying)
  const loops = move?.round === 'inside' || move?.round === 'cross'
  if (loops && time === 0) said.push({ key: 'loop-held', side: loopSide(down, up, saying), hand: otherHand(hand) })
  if (kept && time === 0) said.push({ key: 'keep', side: keptOn(kept, entry, looking), hand: otherHand(hand) })
  said.push({ key: 'sew', in: saidHole(down, saying), out: saidHole(up, saying, down), split: isSplit(move) || isSplit(down.move) })
  if (loops) said.push({ key: move?.round === 'cross' ? (isSquare(entry, exit, looking) ? 'loop-knots' : 'loop-crossed') : 'loop-under' })
  if (move?.wraps !== undefined) said.push({ key: 'wound-at-point' })
  if (!loops && time === 0) said.push({ key: 'points', direction: directionOf(wayOf(entry, exit, looking)) })
  return said
}

/** On which side the thread is kept, as the picture lies. */
export function keptSide(down: Happening, up: Happening, { looking, worked }: Pick<Saying, 'looking' | 'worked'>): 'up' | 'down' | 'left' | 'right' | null {
  const move = up.move && 'up' in up.move ? up.move : null
  if (move?.round !== 'left' && move?.round !== 'right') return null
  const entry = worked.holes[down.hole ?? -1]
  const exit = worked.holes[up.hole ?? -1]
  if (!entry || !exit) return null
  // Left of the way of working, which a needle that goes back runs against.
  const [dx, dy] = [entry.x - exit.x, entry.y - exit.y]
  const left = { x: entry.x + dy, y: entry.y - dx }
  const right = { x: entry.x - dy, y: entry.y + dx }
  return sideOf(wayOf(entry, move.round === 'left' ? left : right, looking))
}

/** The side to which a loop is laid before it is caught: where the needle comes out. */
function loopSide(down: Happening, up: Happening, saying: Saying): 'up' | 'down' | 'left' | 'right' {
  const [entry, exit] = [holeAt(down, saying), holeAt(up, saying)]
  const before = previousHole(down, saying)
  const from = before === null ? entry : (saying.worked.holes[before] as Hole)
  return sideOf(wayOf({ x: (from.x + entry.x) / 2, y: (from.y + entry.y) / 2 }, exit, saying.looking))
}

function drawnPhrases(down: Happening, up: Happening, saying: Saying): readonly Phrase[] {
  const move = up.move && 'up' in up.move ? up.move : null
  if (move?.round === 'inside' && move.and !== undefined) return [{ key: 'draw-loop-open' }]
  if (move?.wraps !== undefined) return [{ key: 'draw-knot' }]
  if (move?.round === 'inside' || move?.round === 'cross') return [{ key: 'draw-loop', direction: loopSide(down, up, saying) }]
  return [{ key: saying.document.tension === 'loose' ? 'draw-easy' : 'draw-flat' }]
}

function windPhrases(down: Happening, { moment }: Shown, saying: Saying): readonly Phrase[] {
  const segment = woundAt(down, saying)
  const how = segment?.wound ?? 'wrap'
  const before = previousHole(down, saying)
  const moveBefore = before === null ? null : moveOfHole(before, saying)
  const half = moveBefore !== null && 'up' in moveBefore && moveBefore.half === true
  switch (moment) {
    case 'turn':
      return [{ key: 'wind-first', hand: otherHand(saying.hand), how, half }]
    case 'turns':
      return [{ key: 'wind-all', how, turns: segment?.turns ?? 0, half }]
    case 'in':
      return [{ key: 'wind-in', hole: saidHole(down, saying), beside: isBeside(down, saying), how }]
    default:
      return [{ key: 'wind-through', hand: otherHand(saying.hand), half, hole: saidHole(down, saying), how }]
  }
}

function passPhrases({ surface, kind }: Happening, { happenings: [first] }: Gesture, saying: Saying): readonly Phrase[] {
  if (!surface) return []
  const again = saying.worked.surfaceMoves.some(
    (one) =>
      one.made.pass === surface.made.pass &&
      one.made.repeat === surface.made.repeat &&
      one.afterHole === surface.afterHole &&
      one.kind === surface.kind &&
      one.made.move < first.made.move,
  )
  const said: Phrase[] = [
    { key: 'pass', side: enteredFrom(first, saying), under: surface.labels[0] ?? 'thread', count: surface.labels.length, again, over: kind === 'over' },
  ]
  if (surface.hitch) said.push({ key: 'hitch' })
  return said
}

function weavePhrase({ happenings, begins }: Gesture, { looking }: Saying): Phrase {
  const ways = happenings.map(({ kind }): 'over' | 'under' => (kind === 'over' ? 'over' : 'under'))
  return { key: 'weave', ways, first: begins || happenings[0].made.repeat === 0, round: looking.guide.kind === 'line' && looking.guide.centre !== undefined }
}

function groupPhrases({ gestures, times }: Shown, saying: Saying): readonly Phrase[] {
  const loops = gestures.some(
    ({ kind, happenings: [, up] }) => kind === 'sew' && up?.move && 'up' in up.move && (up.move.round === 'inside' || up.move.round === 'cross'),
  )
  const sewn = gestures.find(({ kind }) => kind === 'sew')
  const side = sewn?.happenings[1] ? keptSide(sewn.happenings[0], sewn.happenings[1], saying) : null
  const kept = side && sewn ? keptOn(side, holeAt(sewn.happenings[0], saying), saying.looking) : null
  const [first] = gestures
  const rows = first.row !== null
  const said: Phrase[] = []
  if (rows && (first.row ?? 0) >= 1 && gestures.every((one) => one.row !== 0)) said.push({ key: 'new-row', row: (first.row ?? 0) + 1 })
  said.push({
    key: 'same',
    times,
    kept,
    loop: loops,
    touching: touches(gestures, saying),
    row: rows,
    pieces: first.piece === 0 ? null : gestures.some((one) => sharesHole(one, saying)) ? 'sharing' : 'apart',
  })
  if (saying.looking.guide.kind === 'pins' && gestures.some((one) => one.kind === 'weave')) said.push({ key: 'pin-out' })
  return said
}

/** A hole as it is spoken of; `after`: the hole at which the same needle went in. */
function saidHole(happening: Happening, saying: Saying, after?: Happening): SaidHole {
  const index = happening.hole ?? -1
  const at = holeAt(happening, saying)
  const number = saying.numberOf(index)
  const again = saying.wasShown(index)
  const where: Where[] = []
  const before = previousHole(happening, saying)
  if (again && happening.kind === 'up' && endsThere(index, saying)) where.push({ at: 'stitch-end' })
  else if (!again) {
    const onGuide = whereOnGuide(at, saying.looking)
    if (after?.hole !== undefined && after.hole !== null) {
      const entry = saying.worked.holes[after.hole] as Hole
      const start = previousHole(after, saying)
      const along = whereAlong(
        at,
        start === null ? entry : (saying.worked.holes[start] as Hole),
        { at: entry, hole: saying.numberOf(after.hole) },
        saying.looking,
      )
      if (along) where.push(along)
    } else if (happening.kind === 'down' && before !== null) {
      const start = saying.worked.holes[before] as Hole
      const along = whereAlong(at, start, { at: start, hole: saying.numberOf(before) }, saying.looking)
      if (along) where.push(along)
    }
    // Where the last hole lies too, it is not said again.
    const beside = after?.hole ?? before
    const last = beside === null ? null : whereOnGuide(saying.worked.holes[beside] as Hole, saying.looking)
    if (onGuide && !(ALONG.includes(onGuide.at) && JSON.stringify(onGuide) === JSON.stringify(last))) where.push(onGuide)
  }
  return { number, again, where }
}

function endsThere(index: number, { worked }: Saying): boolean {
  const { same } = worked.holes[index] as Hole
  return worked.holes.some((hole, other) => other < index && hole.same === same && hole.move === 'down')
}

/** Beside a line it has a side; round a shape it is the outer side or the inner. */
function keptOn(side: 'up' | 'down' | 'left' | 'right', at: Point, { guide, seen }: Looking): 'up' | 'down' | 'left' | 'right' | 'outer' | 'inner' {
  if (guide.kind !== 'shape') return side
  const [here, middle] = [seen(at), seen(boxMiddle(guide.outline.points))]
  const away = { x: here.x - middle.x, y: here.y - middle.y }
  const way = side === 'up' ? -away.y : side === 'down' ? away.y : side === 'left' ? -away.x : away.x
  return way >= 0 ? 'outer' : 'inner'
}

function boxMiddle(points: readonly Point[]): Point {
  const box = boxOf(points) ?? { left: 0, right: 0, top: 0, bottom: 0 }
  return { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
}

/** Stitches of a fill, side by side. */
function touches(gestures: readonly Gesture[], saying: Saying): boolean {
  const [first, second] = gestures
  if (first?.kind !== 'straight' || second?.kind !== 'straight' || first.key !== second.key) return false
  const flat = saying.document.passes[first.pass]?.place
  if (!flat || !('across' in flat)) return false
  return distance(holeAt(first.happenings[0], saying), holeAt(second.happenings[0], saying)) < 2 * saying.looking.widthMm
}

/** It goes into a hole of an earlier piece. */
function sharesHole({ happenings, piece }: Gesture, { worked }: Saying): boolean {
  return happenings.some(({ hole }) => {
    const here = hole === null ? undefined : worked.holes[hole]
    return here !== undefined && (worked.holes[here.same]?.made.repeat ?? piece) !== here.made.repeat
  })
}

function isBeside(down: Happening, saying: Saying): boolean {
  const before = previousHole(down, saying)
  if (before === null) return false
  const gap = distance(saying.worked.holes[before] as Hole, holeAt(down, saying))
  return gap > 1e-6 && gap < BESIDE_WIDTHS * saying.looking.widthMm
}
