/** What is said of what is shown: phrases in the order act, thread, pull, what it is now; each only when it is new or matters. */
import { boxOf, distance, nearestPlace, placeAt, type Point } from '../geometry/index.ts'
import type { Move } from '../notation/index.ts'
import type { Hole } from '../work/index.ts'
import type { Shown } from './choose.ts'
import type { Gesture, Happening } from './gestures.ts'
import { otherHand } from './hand.ts'
import type { Phrase } from './phrases.ts'
import { holeAt, moveOfHole, previousHole, woundAt } from './holes-of.ts'
import { awayFrom, enteredFrom } from './pass-way.ts'
import { saidHole, type Saying } from './said-hole.ts'
import { isSplit, straightPhrases } from './say-straight.ts'
import { directionOf, type Looking, sideOf, wayOf } from './where.ts'

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
      return straightPhrases(gesture, saying)
    case 'sew':
      return second ? (moment === 'in' ? sewPhrases(first, second, time, saying) : drawnPhrases(first, second, saying)) : []
    case 'half':
      return second ? [{ key: 'half-out', in: saidHole(first, saying), out: saidHole(second, saying) }] : []
    case 'wind':
      return windPhrases(first, shown, saying)
    case 'pass':
      if (moment === 'in') return passPhrases(first, gesture, saying)
      return leavesBow(first)
        ? [{ key: 'draw-bow' }]
        : [{ key: 'draw-pass', hitch: first.surface?.hitch ?? false, drawsIn: drawsIn(first, saying), direction: awayFrom(first, saying) }]
    case 'weave':
      return [weavePhrase(gesture, saying)]
    default:
      return [{ key: gesture.kind }]
  }
}

const isLoose = (move: Move | null): boolean => move !== null && 'down' in move && move.loose === true

function upPhrases(up: Happening, gesture: Gesture, saying: Saying): readonly Phrase[] {
  const isSplit = up.move !== null && 'up' in up.move && up.move.split !== undefined
  const inLoop = up.move !== null && 'up' in up.move && (up.move.round === 'inside' || up.move.round === 'cross')
  return [{ key: 'up', hole: saidHole(up, saying), begins: gesture.begins || gesture.piece > 0, split: isSplit, inLoop }]
}

function downPhrases(down: Happening, last: boolean, saying: Saying): readonly Phrase[] {
  const hole = saidHole(down, saying)
  const { move } = down
  const before = previousHole(down, saying)
  const moveBefore = before === null ? null : moveOfHole(before, saying)
  const holdsLoop = moveBefore !== null && 'up' in moveBefore && (moveBefore.round === 'inside' || moveBefore.round === 'cross')
  const how = move && 'down' in move && move.plunge ? 'plunge' : isSplit(move) ? 'split' : isLoose(move) ? 'loose' : holdsLoop ? 'over-loop' : 'plain'
  return [{ key: 'down', hole, how, last }]
}

/** A needle that goes in on one side of the line and comes out on the other. */
function isSquare(entry: Point, exit: Point, { guide }: Looking): boolean {
  if (guide.kind !== 'line') return false
  const { direction } = placeAt(guide.path, nearestPlace(guide.path, entry).travelled)
  const long = distance(entry, exit)
  return long > 1e-6 && Math.abs((exit.x - entry.x) * direction.x + (exit.y - entry.y) * direction.y) < 0.5 * long
}

/** The move before it in the document draws in what it passes. */
function drawsIn({ surface }: Happening, { worked }: Saying): boolean {
  if (!surface) return false
  const index = worked.surfaceMoves.indexOf(surface)
  return worked.segments.some(({ asLaid }) => asLaid?.surfaceMoves === index && asLaid.holes === surface.afterHole + 1)
}

const leavesBow = ({ move }: Happening): boolean => move !== null && ('under' in move || 'over' in move) && move.bight !== undefined

function sewPhrases(down: Happening, up: Happening, time: number, saying: Saying): readonly Phrase[] {
  const { looking, hand } = saying
  const [entry, exit] = [holeAt(down, saying), holeAt(up, saying)]
  const move = up.move && 'up' in up.move ? up.move : null
  const said: Phrase[] = []
  const kept = keptSide(down, up, saying)
  const loops = move?.round === 'inside' || move?.round === 'cross'
  if (loops && time === 0) said.push({ key: 'loop-held', side: loopSide(down, up, saying), hand: otherHand(hand) })
  if (kept && time === 0) said.push({ key: 'keep', side: keptOn(kept, entry, looking), hand: otherHand(hand) })
  if (down.move && 'down' in down.move && down.move.wraps !== undefined) said.push({ key: 'wound-before' })
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
    // Pieces are counted as pieces, however many loops each has.
    times: first.piece === 0 ? times : new Set(gestures.map((one) => one.piece)).size,
    kept,
    loop: loops,
    touching: touches(gestures, saying),
    row: rows,
    pieces: first.piece === 0 ? null : gestures.some((one) => sharesHole(one, saying)) ? 'sharing' : 'apart',
  })
  if (saying.looking.guide.kind === 'pins' && gestures.some((one) => one.kind === 'weave')) said.push({ key: 'pin-out' })
  return said
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
